import { Pressable, StyleSheet, View } from 'react-native';

import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

export interface RoundKey {
  readonly id: string;
  /** Accessible name; `text` is the visible one. */
  readonly label: string;
  readonly text: string;
  readonly tone?: 'plain' | 'ochre' | 'steel' | 'done';
}

interface Props {
  readonly label: string;
  readonly size: number;
  readonly keys: readonly RoundKey[];
  readonly disabled?: boolean;
  readonly onPress: (id: string) => void;
}

const KEY = 56;

/** Keys in a circle, the first at the top and on clockwise: places round a disc, bolts, springs. */
export function RoundKeys({ label, size, keys, disabled, onPress }: Props) {
  const strata = useStrata();
  const radius = (size - KEY) / 2;
  const background = {
    plain: strata.raised,
    ochre: strata.ochre,
    steel: strata.steel,
    done: strata.slate,
  } as const;
  return (
    <View role="group" aria-label={label} style={[styles.place, { width: size, height: size }]}>
      <View style={[styles.over, { borderRadius: size, borderColor: strata.line }]} />
      {keys.map(({ id, label: name, text, tone = 'plain' }, i) => {
        const angle = (2 * Math.PI * i) / keys.length - Math.PI / 2;
        return (
          <Pressable
            key={id}
            role="button"
            aria-label={name}
            disabled={disabled}
            onPress={() => onPress(id)}
            style={[
              styles.roundKeysOver,
              {
                left: size / 2 + radius * Math.cos(angle) - KEY / 2,
                top: size / 2 + radius * Math.sin(angle) - KEY / 2,
                borderColor: strata.slate,
                backgroundColor: background[tone],
              },
            ]}
          >
            <Words
              bold
              size={14}
              aria-hidden
              style={{
                color: tone === 'done' ? strata.onSlate : tone === 'plain' ? strata.ink : '#211E1A',
              }}
            >
              {text}
            </Words>
          </Pressable>
        );
      })}
    </View>
  );
}

const styles = StyleSheet.create({
  place: { alignSelf: 'center' },
  over: {
    position: 'absolute',
    left: KEY / 2 - 14,
    top: KEY / 2 - 14,
    right: KEY / 2 - 14,
    bottom: KEY / 2 - 14,
    borderWidth: 28,
  },
  roundKeysOver: {
    position: 'absolute',
    width: KEY,
    height: KEY,
    borderRadius: KEY / 2,
    borderWidth: 2,
    alignItems: 'center',
    justifyContent: 'center',
  },
});
