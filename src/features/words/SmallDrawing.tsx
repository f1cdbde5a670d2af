import { Path, Svg } from 'react-native-svg';

import type { DrawingId } from '@/core/words/term';
import { useStrata } from '@/ui/theme';

import { DRAWINGS, FIELD } from './drawings';

interface Props {
  readonly id: DrawingId;
  readonly width?: number;
}

/** A small drawing for a term. */
export function SmallDrawing({ id, width = FIELD.width }: Props) {
  const strata = useStrata();
  const { label, parts } = DRAWINGS[id];
  return (
    <Svg
      width={width}
      height={(width * FIELD.height) / FIELD.width}
      viewBox={`0 0 ${FIELD.width} ${FIELD.height}`}
      role="img"
      aria-label={label}
    >
      {parts.map(({ tone, d, line }, i) => (
        <Path
          key={i}
          d={d}
          fill={line === undefined ? strata[tone] : 'none'}
          {...(line === undefined ? {} : { stroke: strata[tone], strokeWidth: line })}
        />
      ))}
    </Svg>
  );
}
