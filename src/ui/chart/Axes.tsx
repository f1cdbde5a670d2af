import type { ScaleLinear } from 'd3-scale';
import { Line, Text as SvgText } from 'react-native-svg';

import { FONT, useStrata } from '../theme';

const TICKS_UP = 4;

interface Props {
  readonly x: ScaleLinear<number, number>;
  readonly y: ScaleLinear<number, number>;
  /** About so many ticks on the lower axis. */
  readonly across: number;
  readonly left: number;
  readonly right: number;
  /** Of the whole picture, px: the lower axis is written at its foot. */
  readonly height: number;
}

/** The ticks of both axes, with a line across for each of the upright one. */
export function Axes({ x, y, across, left, right, height }: Props) {
  const strata = useStrata();
  const text = { fontSize: 12, fontFamily: FONT.mono, fill: strata.soft } as const;
  return (
    <>
      {y.ticks(TICKS_UP).map((t) => (
        <Line key={`l${t}`} x1={left} x2={right} y1={y(t)} y2={y(t)} stroke={strata.line} />
      ))}
      {y.ticks(TICKS_UP).map((t) => (
        <SvgText key={`y${t}`} x={left - 6} y={y(t) + 4} textAnchor="end" {...text}>
          {y.tickFormat(TICKS_UP)(t)}
        </SvgText>
      ))}
      {x.ticks(across).map((t) => (
        <SvgText key={`x${t}`} x={x(t)} y={height - 8} textAnchor="middle" {...text}>
          {x.tickFormat(across)(t)}
        </SvgText>
      ))}
    </>
  );
}
