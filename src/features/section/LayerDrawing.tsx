import { Line, Path, Rect } from 'react-native-svg';

import { pointer, wave, wedges } from '@/drawing/layerGlyphs';
import type { Box, LayerShape } from '@/drawing/sectionShape';
import { useStrata } from '@/ui/theme';

/** A rectangle of the drawing. */
export function Area({ box, fill }: { readonly box: Box; readonly fill: string }) {
  return <Rect x={box.x} y={box.y} width={box.width} height={box.height} fill={fill} />;
}

const GROOVE_STEP = 11;

/** One layer: core, linings with grooves, outline of new, and special marks. */
export function LayerDrawing({ shape }: { readonly shape: LayerShape }) {
  const strata = useStrata();
  const { layer, core, linings, ghosts, assumed: standIn, judder, joint, expands } = shape;
  const fill =
    layer.lined !== 'none'
      ? strata.ochreDeep
      : layer.turnsWith === 'basket'
        ? strata.ochreDeep
        : strata.steel;
  return (
    <>
      <Area box={core} fill={fill} />
      {linings.map((box) => (
        <Area key={box.y} box={box} fill={strata.ochre} />
      ))}
      {linings.length > 0 ? (
        <Path d={grooves(linings)} stroke={strata.groove} strokeWidth={1.2} />
      ) : null}
      {ghosts.map((box) => (
        <Rect
          key={`ghost${box.y}`}
          x={box.x}
          y={box.y + 0.5}
          width={box.width}
          height={box.height - 1}
          fill="none"
          stroke={strata.ochre}
          strokeWidth={0.8}
          strokeDasharray="3 2"
        />
      ))}
      {/* A hairline parts each plate from the next, also where two of one sort lie together. */}
      <Line
        x1={core.x}
        y1={core.y}
        x2={core.x + core.width}
        y2={core.y}
        stroke={strata.ground}
        strokeWidth={0.8}
      />
      {judder ? <Path d={wave(judder)} fill="none" stroke={strata.ink} strokeWidth={1.6} /> : null}
      {joint ? <Area box={joint} fill={strata.ink} /> : null}
      {expands ? (
        // Wedges that press apart: it grows with rpm.
        <Path d={wedges(core)} fill={strata.ink} />
      ) : null}
      {layer.plate.facing ? (
        <Path
          d={pointer(core, layer.plate.facing)}
          fill={strata.ground}
          stroke={strata.ink}
          strokeWidth={1}
        />
      ) : null}
      {standIn ? (
        <Rect
          x={core.x}
          y={core.y}
          width={core.width}
          height={core.height}
          fill={strata.ground}
          fillOpacity={0.55}
          stroke={strata.ink}
          strokeDasharray="4 3"
        />
      ) : null}
    </>
  );
}

/** The grooves of all linings of a layer as one path: shapes by the hundred are slow to lay out on a phone. */
function grooves(linings: readonly Box[]): string {
  return linings
    .flatMap(({ x, y, width, height }) => {
      const n = Math.floor(width / GROOVE_STEP);
      return Array.from(
        { length: n },
        (_, i) => `M${x + (width * (i + 1)) / (n + 1)} ${y}v${height}`,
      );
    })
    .join('');
}
