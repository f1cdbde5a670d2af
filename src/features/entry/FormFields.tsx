import type { Control } from 'react-hook-form';
import { useController } from 'react-hook-form';

import type { EntrySpec } from '@/core/units/entrySpec';
import { unitsFor } from '@/core/units/entrySpec';
import { shownUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { Choice } from '@/ui/Choice';
import type { FieldProps } from '@/ui/Field';
import { Field } from '@/ui/Field';
import { NumberField } from '@/ui/NumberField';

interface Props<Values> {
  readonly control: Control<Record<string, string>, unknown, Values>;
  readonly name: string;
  readonly label: string;
}

/** State and message of a form field. */
function useFormField<Values>({ control, name }: Pick<Props<Values>, 'control' | 'name'>) {
  const { field, fieldState } = useController({ control, name });
  return {
    ref: field.ref,
    value: field.value ?? '',
    message: fieldState.error?.message,
    onChangeText: field.onChange as (text: string) => void,
    onBlur: field.onBlur,
  };
}

/** A number of a form. */
export function FormNumber<Values>({
  control,
  name,
  label,
  spec,
  onSubmit,
}: Props<Values> & Pick<FieldProps, 'onSubmit'> & { readonly spec: EntrySpec }) {
  const units = useUnits();
  const { symbol } = shownUnit(spec.quantity, unitsFor(spec, units));
  return (
    <NumberField
      label={label}
      name={symbol ? `${label}, ${symbol}` : label}
      unit={symbol}
      whole={spec.bounds.integer ?? false}
      {...(onSubmit ? { onSubmit } : {})}
      {...useFormField({ control, name })}
    />
  );
}

/** A text of a form. */
export function FormText<Values>({
  control,
  name,
  ...rest
}: Props<Values> & Pick<FieldProps, 'alone' | 'label' | 'maxLength'>) {
  return <Field {...rest} {...useFormField({ control, name })} />;
}

/** One of a few in a form. */
export function FormChoice<Values, T extends string>({
  control,
  name,
  label,
  options,
}: Props<Values> & { readonly options: readonly { readonly value: T; readonly label: string }[] }) {
  const { field } = useController({ control, name });
  return (
    <Choice label={label} value={field.value as T} options={options} onChange={field.onChange} />
  );
}
