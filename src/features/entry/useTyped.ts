import { useAppDispatch, useAppSelector } from '@/state/store';

import { typedActions } from '@/state/typedSlice';

/** The text of a field that is stored only with the rest of its form; it is there again after the page was gone. */
export function useTyped(name: string): readonly [string, (text: string) => void] {
  const dispatch = useAppDispatch();
  const text = useAppSelector((state) => state.typed[name]) ?? '';
  const set = (next: string) =>
    dispatch(
      next === '' ? typedActions.typedDropped(name) : typedActions.textTyped({ name, text: next }),
    );
  return [text, set];
}
