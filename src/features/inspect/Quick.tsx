import { StyleSheet, View } from 'react-native';

import { quickReadings } from '@/core/inspect/quick';
import type { RunStep } from '@/core/inspect/runStep';
import { fieldAt } from '@/core/job/fields';
import { formatValue, formatWithUnit, withoutZeros } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useJob } from '@/state/jobs/useJob';
import { Key } from './Key';
import { SPACE } from '@/ui/theme';

interface Props {
  readonly step: RunStep;
  readonly steps: readonly RunStep[];
  /** Takes a text as a gauge sends it. */
  readonly onTake: (text: string) => void;
}

/** Readings that are likely to be the next one: each is taken by one key. */
export function Quick({ step, steps, onTake }: Props) {
  const job = useJob();
  const units = useUnits();
  const { quantity } = fieldAt(step.path);
  const values = quickReadings(job, step, steps);
  return (
    // The same room with and without keys, so that nothing moves under the thumb.
    <View role="group" aria-label="Likely readings" style={styles.row}>
      {values.map((value) => {
        const shown = formatValue(value, quantity, units);
        const same = step.part !== 'flatness';
        const words = same ? `Same: ${shown}` : value === 0 ? 'None' : withoutZeros(shown);
        return (
          <Key
            key={value}
            label={same ? `Same as last: ${shown}` : value === 0 ? 'No blade fits' : words}
            height={48}
            onPress={() => onTake(formatWithUnit(value, quantity, {}))}
          >
            {words}
          </Key>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', gap: SPACE.gap, height: 48, paddingHorizontal: SPACE.gap },
});
