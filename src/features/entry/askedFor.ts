import { router } from 'expo-router';

import type { FieldPath } from '@/core/job/fieldPath';
import { fieldAsked } from '@/state/askedSlice';
import { useAppDispatch, useAppSelector } from '@/state/store';

/* A field requested from elsewhere: its part of the screen opens, and it gets the focus. */

/** Whether a field below this path is requested. */
export const useAskedUnder = (beginning: string): boolean =>
  useAppSelector(({ asked }) => asked.path?.startsWith(beginning) ?? false);

/** The Specify tabs with the fields of a path. */
const TABS: readonly (readonly [RegExp, string])[] = [
  [/^(engine|startClutch|expanding|fittings)\./, 'machine'],
  [/^pack\./, 'pack'],
  [/^(springs|assist)\./, 'springs'],
  [/^release\./, 'release'],
];

/** Horizontal order of the tab with a field. */
export const placeOf = (path: string): number =>
  TABS.findIndex(([beginning]) => beginning.test(path));

/** Whether Specify contains the field. */
export const hasPlace = (path: string): path is FieldPath => placeOf(path) >= 0;

/** Rendering takes a few frames; a field missing after these does not exist. */
const FRAMES = 40;

/** Opens the Specify tab of a field and focuses it. */
export function useGoToField(): (path: FieldPath) => void {
  const focusField = useFocusField();
  return (path) => {
    const tab = TABS[placeOf(path)]?.[1];
    if (tab) router.setParams({ stage: 'specify', tab });
    focusField(path);
  };
}

/** Gives the focus to a field of this page, one that is only about to be drawn too. */
export function useFocusField(): (path: FieldPath) => void {
  const dispatch = useAppDispatch();
  return (path) => {
    dispatch(fieldAsked(path));
    let left = FRAMES;
    const look = () => {
      const field = document.querySelector<HTMLElement>(`[data-testid="${CSS.escape(path)}"]`);
      if (field?.offsetParent) {
        field.focus();
        field.scrollIntoView({ block: 'center' });
        dispatch(fieldAsked(null));
      } else if (left-- > 0) requestAnimationFrame(look);
      else dispatch(fieldAsked(null));
    };
    requestAnimationFrame(look);
  };
}
