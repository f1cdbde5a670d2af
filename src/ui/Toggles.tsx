import { Icon } from 'react-native-paper';

import { Chip, ChipGroup } from './Chip';
import { useStrata } from './theme';

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
  const strata = useStrata();
  return (
    <ChipGroup role="group" label={label} bare={bare}>
      {options.map((option) => {
        const on = chosen.includes(option.value);
        return (
          <Chip
            key={option.value}
            role="checkbox"
            label={option.label}
            on={on}
            onPress={() => onToggle(option.value)}
            mark={on ? <Icon source="check" size={18} color={strata.slate} /> : undefined}
          />
        );
      })}
    </ChipGroup>
  );
}
