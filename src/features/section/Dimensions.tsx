import { G, Path, Text } from 'react-native-svg';

import { formatValue } from '@/core/units/format';
import type { HalfSection } from '@/drawing/halfSection/halfSection';
import { dimensionsAt } from '@/drawing/halfSection/dimensions';
import { useUnits } from '@/features/display/useUnits';
import { FONT, useStrata } from '@/ui/theme';

interface Props {
  readonly drawing: HalfSection;
  readonly rises: readonly number[];
  readonly lift: number;
}

/** Measures beside the drawing: stack or lift, plate gap, fitted length. */
export function Dimensions({ drawing, rises, lift }: Props) {
  const strata = useStrata();
  const units = useUnits();
  const written = [
    ...dimensionsAt(drawing, rises, lift, (value) => formatValue(value, 'length', units)),
    ...drawing.notes.map((note) => ({
      ...note,
      name: note.text,
      line: '',
      anchor: 'end' as const,
    })),
  ];
  return written.map(({ name, line, text, x, y, anchor }) => (
    <G key={name}>
      {line ? <Path d={line} fill="none" stroke={strata.ink} strokeWidth={1} /> : null}
      <Text
        x={x}
        y={y}
        textAnchor={anchor}
        fontFamily={FONT.text}
        fontSize={13}
        fill={strata.ink}
        stroke={strata.ground}
        strokeWidth={3}
        {...{ paintOrder: 'stroke' }}
      >
        {text}
      </Text>
    </G>
  ));
}
