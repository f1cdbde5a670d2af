import { Chip, ChipGroup } from './Chip';

interface Props<T extends string> {
  readonly label: string;
  readonly chosen: readonly T[];
  readonly options: readonly { readonly value: T; readonly label: string }[];
  readonly onToggle: (value: T) => void;
  /** The label is read out but not shown. */
  readonly bare?: boolean;
}

/** Any of several, all in view. */
export function Toggles<T extends string>({ label, chosen, options, onToggle, bare }: Props<T>) {
  return (
    <ChipGroup role="group" label={label} bare={bare}>
      {options.map((option) => (
        <Chip
          key={option.value}
          role="checkbox"
          label={option.label}
          on={chosen.includes(option.value)}
          onPress={() => onToggle(option.value)}
        />
      ))}
    </ChipGroup>
  );
}
