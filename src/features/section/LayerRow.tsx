import { useDraggable } from '@dnd-kit/core';
import type { ReactNode } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';

import type { Box } from '@/drawing/halfSection/shape';
import { SPACE } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

interface Target {
  readonly id: string;
  /** Accessible name: "3 Disc, 2.98 mm". */
  readonly name: string;
  readonly wrong: boolean;
  readonly chosen: boolean;
  readonly press: (id: string) => void;
}

interface RowProps extends Target {
  /** The one layer that the Tab key comes to. */
  readonly reached: boolean;
  readonly box: Box;
  readonly movable: boolean;
  readonly children: ReactNode;
}

/** The target of a layer, and its accessible name. */
export function LayerRow({
  id,
  name,
  wrong,
  chosen,
  reached,
  box,
  press,
  movable,
  children,
}: RowProps) {
  const { setNodeRef, listeners } = useDraggable({ id, disabled: !movable });
  return (
    <>
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
      {children}
    </>
  );
}

interface LabelProps extends Target {
  readonly number: number;
  readonly text: string;
  readonly value: string;
  readonly at: number;
  readonly size: number;
  readonly width: number;
}

/** Number, name and thickness of a layer: the name gives way before the figures do. It is larger to tap than a thin plate. */
export function LayerLabel({
  id,
  number,
  text,
  value,
  at,
  size,
  width,
  chosen,
  press,
}: LabelProps) {
  const look = { 'aria-hidden': true, size, soft: !chosen, bold: chosen, numberOfLines: 1 };
  return (
    <Pressable
      aria-hidden
      tabIndex={-1}
      onPress={() => press(id)}
      style={[styles.label, { top: at - 9, width }]}
    >
      <Digits {...look}>{String(number)}</Digits>
      <View style={styles.name}>
        <Words {...look}>{text}</Words>
      </View>
      <Digits {...look}>{value}</Digits>
    </Pressable>
  );
}

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
