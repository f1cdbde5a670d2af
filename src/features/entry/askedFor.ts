import { router } from 'expo-router';

import type { FieldPath } from '@/core/job/fieldPath';
import { fieldAsked } from '@/state/askedSlice';
import { useAppDispatch, useAppSelector } from '@/state/store';

/* A field that is asked for from elsewhere: the part of the screen that holds it opens, and it gets the focus. */

/** Whether a field is asked for whose path begins so. */
export const useAskedUnder = (beginning: string): boolean =>
  useAppSelector(({ asked }) => asked.path?.startsWith(beginning) ?? false);

/** The parts of Specify that hold the fields of a path. */
const TABS: readonly (readonly [RegExp, string])[] = [
  [/^(engine|startClutch|expanding|fittings)\./, 'machine'],
  [/^pack\./, 'pack'],
  [/^(springs|assist)\./, 'springs'],
  [/^release\./, 'release'],
];

/** How far to the right the part that holds a field stands. */
export const placeOf = (path: string): number =>
  TABS.findIndex(([beginning]) => beginning.test(path));

/** Whether a field stands in a part of Specify, so that there is a way to it. */
export const hasPlace = (path: string): path is FieldPath => placeOf(path) >= 0;

/** What is drawn meanwhile takes a few frames; a field that is not there after these never comes. */
const FRAMES = 40;

/** The way to a field in the part of Specify that holds it; it gets the focus. */
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
