import { Pressable, StyleSheet, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import type { Bench, BenchPart } from '@/core/exercises/model';
import { useUnits } from '@/features/display/useUnits';
import { RoundKeys } from './RoundKeys';
import { SPACE, useRuled, useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  readonly bench: Bench;
  readonly taken: readonly string[];
  readonly disabled: boolean;
  readonly onMeasure: (spot: string) => void;
}

const ROUND = 300;

/** Parts on the bench with measuring points; readings stay visible. */
export function BenchView({ bench, taken, disabled, onMeasure }: Props) {
  return (
    <View style={flow.stack} testID="bench">
      <Heading level={2}>{bench.gauge}</Heading>
      {bench.parts.map((part) =>
        bench.shape === 'round' ? (
          <Round
            key={part.id}
            part={part}
            taken={taken}
            disabled={disabled}
            onMeasure={onMeasure}
          />
        ) : (
          <Listed
            key={part.id}
            part={part}
            taken={taken}
            disabled={disabled}
            onMeasure={onMeasure}
          />
        ),
      )}
    </View>
  );
}

interface PartProps extends Omit<Props, 'bench'> {
  readonly part: BenchPart;
}

function Round({ part, taken, disabled, onMeasure }: PartProps) {
  const units = useUnits();
  return (
    <RoundKeys
      label={`Places round the ${part.name.toLowerCase()}`}
      size={ROUND}
      disabled={disabled}
      keys={part.spots.map((s) => {
        const read = taken.includes(`${part.id}.${s.id}`);
        const shown = readSentence(s.shows, units);
        return {
          id: s.id,
          label: read ? `${s.label}, ${shown}` : `Measure ${s.label}`,
          // The unit is in the text; the key has room for the figure only.
          text: read ? (shown.split(' ')[0] ?? shown) : '…',
          tone: read ? ('done' as const) : ('plain' as const),
        };
      })}
      onPress={(id) => onMeasure(`${part.id}.${id}`)}
    />
  );
}

function Listed({ part, taken, disabled, onMeasure }: PartProps) {
  const units = useUnits();
  const ruled = useRuled();
  const strata = useStrata();
  return (
    <View role="group" aria-label={part.name} style={[ruled, styles.row]}>
      <Words style={{ width: part.spots.length > 2 ? '100%' : 150 }}>{part.name}</Words>
      {part.spots.map((s) => {
        const read = taken.includes(`${part.id}.${s.id}`);
        const shown = readSentence(s.shows, units);
        return (
          <Pressable
            key={s.id}
            role="button"
            aria-label={read ? `${part.name}, ${s.label}: ${shown}` : `${part.name}: ${s.label}`}
            disabled={disabled}
            onPress={() => onMeasure(`${part.id}.${s.id}`)}
            style={[
              styles.padded,
              {
                borderWidth: read ? 2 : 1,
                borderColor: read ? strata.slate : strata.line,
                backgroundColor: read ? strata.raised : 'transparent',
              },
            ]}
          >
            <Words soft size={13} aria-hidden>
              {s.label}
            </Words>
            {read ? (
              <Words bold size={15} aria-hidden>
                {shown}
              </Words>
            ) : null}
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  row: {
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'center',
    gap: SPACE.gap,
    paddingTop: SPACE.gap,
  },
  padded: {
    minHeight: 48,
    minWidth: 56,
    paddingHorizontal: SPACE.gap,
    justifyContent: 'center',
    borderRadius: 6,
  },
});
