import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { Outcome } from '@/core/evaluate/engine/figure';
import { figureText } from '@/core/text/figureText';
import { useUnits } from '@/features/display/useUnits';
import { SPACE, useRuled } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

import { useOpenFigure } from './WorkingPanel';
import { flow } from '@/ui/flow';

/** One figure of a list; opens its working, or names its missing inputs. */
export function FigureRow({ outcome }: { readonly outcome: Outcome }) {
  const units = useUnits();
  const ruled = useRuled();
  const open = useOpenFigure();
  if (outcome.status === 'unknown') {
    return (
      <View style={[ruled, styles.padded]}>
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
      style={[ruled, styles.place]}
    >
      <View style={styles.row}>
        <View style={flow.shrink}>
          <Words size={15}>{outcome.label}</Words>
          {outcome.estimated ? (
            <Words soft size={13}>
              includes an assumed value
            </Words>
          ) : null}
        </View>
        <View style={styles.figureRowPlace}>
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

const styles = StyleSheet.create({
  padded: { paddingVertical: SPACE.gap, gap: SPACE.hair },
  place: { minHeight: 52, justifyContent: 'center' },
  row: {
    flexDirection: 'row',
    justifyContent: 'space-between',
    alignItems: 'center',
    gap: SPACE.gap,
  },
  figureRowPlace: { alignItems: 'flex-end' },
});
