import { useState } from 'react';

import type { EntrySpec } from '@/core/units/parseEntry';
import { parseEntry } from '@/core/units/parseEntry';
import { useUnits } from '@/features/display/useUnits';
import { useAppDispatch, useAppStore } from '@/store/store';

import { typedActions } from './typedSlice';

interface Form {
  /** Another one each time the form is done: as the key of its fields it empties them. */
  readonly round: number;
  /** What a field of it is given, so that its text is kept until the form is done. */
  readonly field: (name: string) => { readonly keepAs: string; readonly inForm: true };
  /** The value of a text that was kept of a field. */
  readonly kept: (name: string, spec: EntrySpec) => number | undefined;
  readonly done: () => void;
}

/** A form whose values are stored only once it is finished; what was typed into it outlasts the page. */
export function useForm(form: string): Form {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const units = useUnits();
  const [round, setRound] = useState(0);
  const nameOf = (field: string) => `${form}.${field}`;
  return {
    round,
    field: (name) => ({ keepAs: nameOf(name), inForm: true }),
    kept: (name, spec) => {
      const read = parseEntry(store.getState().typed[nameOf(name)] ?? '', spec, units);
      return read.kind === 'value' ? read.value : undefined;
    },
    done: () => {
      dispatch(typedActions.typedDropped(`${form}.`));
      setRound(round + 1);
    },
  };
}
