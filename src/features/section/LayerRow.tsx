import { useDraggable } from '@dnd-kit/core';
import { Pressable, StyleSheet, View } from 'react-native';

import type { Box } from '@/drawing/halfSection/shape';
import { SPACE } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

interface RowProps {
  readonly id: string;
  /** Accessible name: "3 Disc, 2.98 mm". */
  readonly name: string;
  readonly wrong: boolean;
  readonly chosen: boolean;
  readonly press: (id: string) => void;
  /** The one layer that the Tab key comes to. */
  readonly reached: boolean;
  readonly box: Box;
  readonly movable: boolean;
}

/** The target of a layer, and its accessible name. */
export function LayerRow({ id, name, wrong, chosen, reached, box, press, movable }: RowProps) {
  const { setNodeRef, listeners } = useDraggable({ id, disabled: !movable });
  return (
    <Pressable
      ref={setNodeRef as (node: unknown) => void}
      {...listeners}
      role="button"
      aria-label={`Plate ${name}${wrong ? ', stop' : ''}`}
      aria-pressed={chosen}
      tabIndex={reached ? 0 : -1}
      testID={`layer-${id}`}
      onPress={() => press(id)}
      style={[styles.over, { left: box.x, top: box.y, width: box.width, height: box.height }]}
    />
  );
}

interface LabelProps {
  readonly number: number;
  readonly text: string;
  readonly value: string;
  readonly chosen: boolean;
  readonly at: number;
  readonly size: number;
  readonly width: number;
}

/** Number, name and thickness of a layer: the name gives way before the figures do. */
export function LayerLabel({ number, text, value, chosen, at, size, width }: LabelProps) {
  const look = { size, soft: !chosen, bold: chosen, numberOfLines: 1 };
  return (
    <View aria-hidden style={[styles.label, { top: at - 9, width }]}>
      <Words {...look} style={styles.name}>
        {`${number} ${text}`}
      </Words>
      <Digits {...look}>{value}</Digits>
    </View>
  );
}

interface LabelsProps {
  readonly labels: readonly { readonly id: string; readonly at: number }[];
  readonly width: number;
  readonly height: number;
  readonly press: (id: string) => void;
}

/** The target of all labels together, larger to tap than a thin plate: a tap takes the nearest. */
export function LabelTargets({ labels, width, height, press }: LabelsProps) {
  return (
    <Pressable
      aria-hidden
      tabIndex={-1}
      onPress={({ nativeEvent: { locationY } }) => {
        const nearest = labels.reduce<(typeof labels)[number] | undefined>(
          (best, l) =>
            best === undefined || Math.abs(l.at - locationY) < Math.abs(best.at - locationY)
              ? l
              : best,
          undefined,
        );
        if (nearest && Math.abs(nearest.at - locationY) < REACH) press(nearest.id);
      }}
      style={[styles.over, { left: 0, top: 0, width, height }]}
    />
  );
}

/** A tap so far from a label does not mean it, px. */
const REACH = 24;

const styles = StyleSheet.create({
  over: { position: 'absolute' },
  label: {
    position: 'absolute',
    left: 0,
    flexDirection: 'row',
    gap: SPACE.tight,
    alignItems: 'baseline',
  },
  name: { flexGrow: 1, flexShrink: 1, flexBasis: 0, minWidth: 0 },
});
