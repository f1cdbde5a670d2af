import { memo } from 'react';
import { View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { Figure, Outcome } from '@/core/evaluate/figure';
import type { UnitChoice } from '@/core/units/quantity';
import { formatValue, formatWithUnit, shownUnit } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { useStrata } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

import { useOpenFigure } from './WorkingPanel';

/** A figure as text in the builder's units, with its range where there is one. */
export function figureText(
  figure: Figure,
  units: UnitChoice,
): { readonly value: string; readonly range?: string } {
  const { value, quantity, decimals, range } = figure;
  // Decimals are given for the base unit; another unit has its own resolution.
  const places = shownUnit(quantity, units).factor === 1 ? decimals : undefined;
  return {
    value: formatWithUnit(value, quantity, units, places),
    ...(range
      ? {
          range: `${formatValue(range.low, quantity, units, places)} to ${formatValue(range.high, quantity, units, places)}`,
        }
      : {}),
  };
}

/** One figure in a list; opens to its working, or says what it still needs. */
export const FigureRow = memo(
  function FigureRow({ outcome }: { readonly outcome: Outcome }) {
    const units = useUnits();
    const strata = useStrata();
    const open = useOpenFigure();
    if (outcome.status === 'unknown') {
      return (
        <View style={{ paddingVertical: 10, borderTopWidth: 1, borderColor: strata.line, gap: 2 }}>
          <Words size={15}>{outcome.label}</Words>
          <Words soft size={14}>
            {outcome.reason}
          </Words>
        </View>
      );
    }
    const { value, range } = figureText(outcome, units);
    return (
      <TouchableRipple
        role="button"
        aria-label={`${outcome.label}: ${value}. Show the working.`}
        onPress={() => open(outcome.id)}
        style={{
          minHeight: 52,
          justifyContent: 'center',
          borderTopWidth: 1,
          borderColor: strata.line,
        }}
      >
        <View
          style={{
            flexDirection: 'row',
            justifyContent: 'space-between',
            alignItems: 'center',
            gap: 10,
          }}
        >
          <View style={{ flexShrink: 1 }}>
            <Words size={15}>{outcome.label}</Words>
            {outcome.estimated ? (
              <Words soft size={13}>
                rests on a design estimate
              </Words>
            ) : null}
          </View>
          <View style={{ alignItems: 'flex-end' }}>
            <Digits bold size={17}>
              {value}
            </Digits>
            {range ? (
              <Digits soft size={13}>
                {range}
              </Digits>
            ) : null}
          </View>
        </View>
      </TouchableRipple>
    );
  },
  ({ outcome: a }, { outcome: b }) => a === b || faceOf(a) === faceOf(b),
);

/** What a row shows of an outcome, which is made anew at each change of the job. */
const faceOf = (outcome: Outcome): string =>
  outcome.status === 'unknown'
    ? `${outcome.id} ${outcome.label} ${outcome.reason}`
    : `${outcome.id} ${outcome.label} ${outcome.value} ${outcome.range?.low ?? ''} ${outcome.range?.high ?? ''} ${outcome.estimated}`;
