import { StyleSheet } from 'react-native';
import { Divider, Menu, TouchableRipple } from 'react-native-paper';

import type { Quantity, UnitId } from '@/core/units/quantity';
import { shownUnit } from '@/core/units/format';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { DropMenu } from '@/ui/DropMenu';
import { useStrata } from '@/ui/theme';
import { Digits } from '@/ui/Words';

import type { ThemeChoice } from '@/state/displaySlice';
import { displayActions } from '@/state/displaySlice';

/** Grouped units: inches for lengths leave forces and torques unchanged. */
const UNIT_CHOICES: readonly {
  readonly quantity: Quantity;
  readonly unit: UnitId;
  readonly label: string;
}[] = [
  { quantity: 'length', unit: 'mm', label: 'Lengths in millimetres' },
  { quantity: 'length', unit: 'in', label: 'Lengths in inches' },
  { quantity: 'length', unit: 'thou', label: 'Lengths in thousandths' },
  { quantity: 'torque', unit: 'Nm', label: 'Torque in N·m' },
  { quantity: 'torque', unit: 'ftlb', label: 'Torque in ft·lb' },
  { quantity: 'torque', unit: 'inlb', label: 'Torque in in·lb' },
  { quantity: 'force', unit: 'N', label: 'Force in N' },
  { quantity: 'force', unit: 'lbf', label: 'Force in lbf' },
  { quantity: 'distance', unit: 'km', label: 'Distance in kilometres' },
  { quantity: 'distance', unit: 'mi', label: 'Distance in miles' },
];

const THEMES: readonly { readonly theme: ThemeChoice; readonly label: string }[] = [
  { theme: 'system', label: 'Theme of the device' },
  { theme: 'limestone', label: 'Limestone, light' },
  { theme: 'peat', label: 'Peat, dark' },
];

/** Units and theme, one tap from every screen. */
export function DisplayMenu() {
  const strata = useStrata();
  const dispatch = useAppDispatch();
  const { units, theme } = useAppSelector((state) => state.display);
  const shown = shownUnit('length', units).symbol;
  return (
    <DropMenu
      anchor={(open) => (
        <TouchableRipple
          role="button"
          aria-label={`Units and theme: ${shown}`}
          onPress={open}
          style={styles.place}
        >
          <Digits bold style={{ color: strata.slate }}>
            {shown}
          </Digits>
        </TouchableRipple>
      )}
    >
      {(close) => (
        <>
          {UNIT_CHOICES.map(({ quantity, unit, label }) => (
            <ChoiceItem
              key={unit}
              label={label}
              chosen={shownUnit(quantity, units).id === unit}
              onPress={() => {
                dispatch(displayActions.unitChosen({ quantity, unit }));
                close();
              }}
            />
          ))}
          <Divider />
          {THEMES.map((t) => (
            <ChoiceItem
              key={t.theme}
              label={t.label}
              chosen={theme === t.theme}
              onPress={() => {
                dispatch(displayActions.themeChosen(t.theme));
                close();
              }}
            />
          ))}
        </>
      )}
    </DropMenu>
  );
}

interface ItemProps {
  readonly label: string;
  readonly chosen: boolean;
  readonly onPress: () => void;
}

function ChoiceItem({ label, chosen, onPress }: ItemProps) {
  return (
    <Menu.Item
      title={label}
      leadingIcon={chosen ? 'radiobox-marked' : 'radiobox-blank'}
      accessibilityLabel={chosen ? `${label}, selected` : label}
      onPress={onPress}
    />
  );
}

const styles = StyleSheet.create({
  place: {
    minWidth: 56,
    height: 48,
    alignItems: 'center',
    justifyContent: 'center',
    borderRadius: 6,
  },
});
