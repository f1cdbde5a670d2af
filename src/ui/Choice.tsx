import { Chip, ChipGroup } from './Chip';

interface Props<T extends string> {
  readonly label: string;
  readonly value: T;
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onChange: (value: T) => void;
  /** The label is read out but not shown. */
  readonly bare?: boolean;
}

/** What can be chosen, from what each is called. */
export const optionsOf = <T extends string>(
  names: Readonly<Record<T, string>>,
): { readonly value: T; readonly label: string }[] =>
  (Object.keys(names) as T[]).map((value) => ({ value, label: names[value] }));

/** One of a few, all in view. */
export function Choice<T extends string>({ label, value, options, onChange, bare }: Props<T>) {
  return (
    <ChipGroup role="radiogroup" label={label} bare={bare}>
      {options.map((option) => (
        <Chip
          key={option.value}
          role="radio"
          label={option.label}
          on={option.value === value}
          onPress={() => onChange(option.value)}
        />
      ))}
    </ChipGroup>
  );
}
