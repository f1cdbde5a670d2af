import { useState } from 'react';

import type { EntrySpec } from '@/core/units/entrySpec';
import { parseEntry } from '@/core/units/parseEntry';
import { unitsFor } from '@/core/units/entrySpec';
import { shownUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useAppDispatch, useAppStore } from '@/state/store';
import { NumberField } from '@/ui/NumberField';

import { typedActions } from '@/state/typedSlice';

interface Props {
  readonly label: string;
  readonly spec: EntrySpec;
  /** Initial text. */
  readonly initial?: string | undefined;
  /** The value in the base unit, or undefined for invalid text; and the text. */
  readonly onValue: (
    value: number | undefined,
    text: string,
    range?: { readonly low: number; readonly high: number },
  ) => void;
  /** A message from elsewhere, while the text itself is good. */
  readonly asked?: string | undefined;
  readonly onSubmit?: () => void;
  /** Key for storing the draft, so that it survives a reload. */
  readonly keepAs?: string;
  /** A form stores its values on submit: the draft is kept until then. */
  readonly inForm?: boolean;
}

/** A number outside a job: a question, or a shelf item. */
export function LooseField({
  label,
  spec,
  initial = '',
  onValue,
  asked,
  onSubmit,
  keepAs,
  inForm = false,
}: Props) {
  const units = useUnits();
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const [text, setText] = useState(
    () => (keepAs === undefined ? undefined : store.getState().typed[keepAs]) ?? initial,
  );
  const parsed = parseEntry(text, spec, units);
  const message = parsed.kind === 'refused' || parsed.kind === 'question' ? parsed.message : asked;
  const { symbol } = shownUnit(spec.quantity, unitsFor(spec, units));
  return (
    <NumberField
      label={label}
      name={symbol ? `${label}, ${symbol}` : label}
      value={text}
      unit={symbol}
      whole={spec.bounds.integer ?? false}
      message={message}
      onChangeText={(next) => {
        setText(next);
        const read = parseEntry(next, spec, units);
        if (keepAs !== undefined)
          dispatch(
            read.kind === 'value' && !inForm
              ? typedActions.typedDropped(keepAs)
              : typedActions.textTyped({ name: keepAs, text: next }),
          );
        onValue(
          read.kind === 'value' ? read.value : undefined,
          next,
          read.kind === 'value' ? read.range : undefined,
        );
      }}
      {...(onSubmit ? { onSubmit } : {})}
    />
  );
}
