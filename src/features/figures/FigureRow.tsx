import { View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { Outcome } from '@/core/evaluate/figure';
import { figureText } from '@/core/evaluate/figureText';
import { useUnits } from '@/features/display/useUnits';
import { useStrata } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

import { useOpenFigure } from './WorkingPanel';

/** One figure in a list; opens to its working, or says what it still needs. */
export function FigureRow({ outcome }: { readonly outcome: Outcome }) {
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
}
