import { useState } from 'react';
import { Divider, Menu, TouchableRipple } from 'react-native-paper';

import type { Quantity, UnitId } from '@/core/units/quantity';
import { shownUnit } from '@/core/units/quantity';
import { useAppDispatch, useAppSelector } from '@/store/store';
import { useStrata } from '@/ui/theme';
import { Digits } from '@/ui/Words';

import type { ThemeChoice } from './displaySlice';
import { displayActions } from './displaySlice';

/** What goes together: choosing inches for lengths leaves forces and torques as they are. */
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
];

const THEMES: readonly { readonly theme: ThemeChoice; readonly label: string }[] = [
  { theme: 'system', label: 'Light as the device' },
  { theme: 'limestone', label: 'Limestone, light' },
  { theme: 'peat', label: 'Peat, dark' },
];

/** Units and theme, one tap from every screen. */
export function DisplayMenu() {
  const [open, setOpen] = useState(false);
  const strata = useStrata();
  const dispatch = useAppDispatch();
  const { units, theme } = useAppSelector((state) => state.display);
  const shown = shownUnit('length', units).symbol;
  return (
    <Menu
      visible={open}
      onDismiss={() => setOpen(false)}
      anchorPosition="bottom"
      anchor={
        <TouchableRipple
          role="button"
          aria-label={`Units and theme, now ${shown}`}
          onPress={() => setOpen(true)}
          style={{
            minWidth: 56,
            height: 48,
            alignItems: 'center',
            justifyContent: 'center',
            borderRadius: 6,
          }}
        >
          <Digits bold style={{ color: strata.slate }}>
            {shown}
          </Digits>
        </TouchableRipple>
      }
    >
      {UNIT_CHOICES.map(({ quantity, unit, label }) => (
        <Menu.Item
          key={unit}
          title={label}
          leadingIcon={
            shownUnit(quantity, units).id === unit ? 'radiobox-marked' : 'radiobox-blank'
          }
          aria-label={`${label}${shownUnit(quantity, units).id === unit ? ', chosen' : ''}`}
          onPress={() => {
            dispatch(displayActions.unitChosen({ quantity, unit }));
            setOpen(false);
          }}
        />
      ))}
      <Divider />
      {THEMES.map((t) => (
        <Menu.Item
          key={t.theme}
          title={t.label}
          leadingIcon={theme === t.theme ? 'radiobox-marked' : 'radiobox-blank'}
          aria-label={`${t.label}${theme === t.theme ? ', chosen' : ''}`}
          onPress={() => {
            dispatch(displayActions.themeChosen(t.theme));
            setOpen(false);
          }}
        />
      ))}
    </Menu>
  );
}
