import { memo, useCallback, useEffect, useMemo, useRef } from 'react';
import { Pressable, View } from 'react-native';
import { Line, Polygon, Rect, Svg } from 'react-native-svg';

import type { PackLayer, PackLayout } from '@/core/evaluate/layers';
import type { Problem } from '@/core/evaluate/problems';
import { formatWithUnit } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import type { Box, LayerShape } from './geometry';
import { shapeSection, spreadLabels, WEAR_SCALE } from './geometry';

interface Props {
  readonly layout: PackLayout;
  readonly problems: readonly Pick<Problem, 'plateId'>[];
  readonly width: number;
  readonly height: number;
  /** Names and thicknesses beside the layers, for which the drawing gives up part of its width. */
  readonly labelled?: boolean;
  readonly selected?: string;
  readonly onSelect: (plateId: string) => void;
}

const LABEL_GAP = 17;

/** The pack as strata under a ridge: to scale, from the same data as the figures. Tap a layer to work on it. */
export function Section({
  layout,
  problems,
  width,
  height,
  labelled = false,
  selected,
  onSelect,
}: Props) {
  const strata = useStrata();
  const units = useUnits();
  const drawn = labelled ? Math.max(110, width - 186) : width;
  const shape = useMemo(() => shapeSection(layout, drawn, height), [layout, drawn, height]);
  // One function for all layers and all renders, so that a layer that did not change is not drawn again.
  const latest = useRef(onSelect);
  useEffect(() => {
    latest.current = onSelect;
  });
  const press = useCallback((id: string) => latest.current(id), []);
  const wrong = new Set(problems.flatMap((p) => p.plateId ?? []));
  const name = (l: PackLayer) =>
    `${l.number} ${l.kind.name}, ${l.thickness === undefined ? 'no thickness yet' : formatWithUnit(l.thickness, 'length', units)}`;
  const labels = labelled
    ? spreadLabels(
        shape.layers.map((s) => s.row.y + s.row.height / 2),
        LABEL_GAP,
        8,
        height - 34,
      )
    : [];
  return (
    <View role="group" aria-label={describe(layout)} style={{ width, height }}>
      {labelled && shape.layers.some((s) => s.ghosts.length > 0) ? (
        <Words
          soft
          size={13}
          style={{ position: 'absolute', left: drawn + 8, top: 0, width: width - drawn - 8 }}
        >
          {`Wear drawn ${WEAR_SCALE} times as deep, in the outline of new`}
        </Words>
      ) : null}
      <Svg width={width} height={height} aria-hidden>
        <Polygon points={shape.ridge.map((p) => p.join(',')).join(' ')} fill={strata.slate} />
        <Area box={shape.pressurePlate} fill={strata.slate} />
        <Line
          x1={shape.pressurePlate.x}
          y1={shape.pressurePlate.y}
          x2={shape.pressurePlate.x + shape.pressurePlate.width}
          y2={shape.pressurePlate.y}
          stroke={strata.ground}
          strokeWidth={1.2}
        />
        <Area box={shape.floor} fill={strata.floor} />
        {shape.layers.map((s) => (
          <LayerDrawing key={s.layer.plate.id} shape={s} />
        ))}
        {shape.layers.map((s, i) => {
          const label = labels[i];
          const mid = s.row.y + s.row.height / 2;
          return label === undefined ? null : (
            <Line
              key={s.layer.plate.id}
              x1={drawn - 2}
              y1={mid}
              x2={drawn + 10}
              y2={label}
              stroke={strata.soft}
              strokeWidth={1}
            />
          );
        })}
        {shape.layers.map((s) => {
          const { id } = s.layer.plate;
          if (id !== selected && !wrong.has(id)) return null;
          return (
            <Rect
              key={id}
              x={1.5}
              y={s.row.y - 1}
              width={drawn - 3}
              height={s.row.height + 2}
              rx={3}
              fill="none"
              stroke={wrong.has(id) ? strata.stop : strata.slate}
              strokeWidth={2.5}
              strokeDasharray={wrong.has(id) ? '5 3' : undefined}
            />
          );
        })}
      </Svg>
      {shape.layers.map((s) => (
        <LayerButton
          key={s.layer.plate.id}
          id={s.layer.plate.id}
          label={`Plate ${name(s.layer)}${wrong.has(s.layer.plate.id) ? ', stop' : ''}`}
          pressed={s.layer.plate.id === selected}
          top={s.row.y}
          width={drawn}
          height={s.row.height}
          press={press}
        />
      ))}
      {shape.layers.map((s, i) => {
        const label = labels[i];
        return label === undefined ? null : (
          <Words
            key={s.layer.plate.id}
            aria-hidden
            size={13}
            numberOfLines={1}
            soft={s.layer.plate.id !== selected}
            bold={s.layer.plate.id === selected}
            style={{
              position: 'absolute',
              left: drawn + 13,
              top: label - 9,
              width: width - drawn - 13,
            }}
          >
            {name(s.layer)}
          </Words>
        );
      })}
    </View>
  );
}

function Area({ box, fill }: { readonly box: Box; readonly fill: string }) {
  return <Rect x={box.x} y={box.y} width={box.width} height={box.height} fill={fill} />;
}

const GROOVE_STEP = 11;

interface LayerButtonProps {
  readonly id: string;
  readonly label: string;
  readonly pressed: boolean;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  readonly press: (id: string) => void;
}

/** The place of a layer under the finger. */
const LayerButton = memo(function LayerButton({
  id,
  label,
  pressed,
  top,
  width,
  height,
  press,
}: LayerButtonProps) {
  return (
    <Pressable
      role="button"
      aria-label={label}
      aria-pressed={pressed}
      tabIndex={-1}
      onPress={() => press(id)}
      style={{ position: 'absolute', left: 0, top, width, height }}
    />
  );
});

/** Whether two shapes draw the same: a reading on one plate leaves the drawing of most others as it was. */
const drawsAlike = (a: { readonly shape: LayerShape }, b: { readonly shape: LayerShape }) =>
  JSON.stringify(drawnPart(a.shape)) === JSON.stringify(drawnPart(b.shape));

const drawnPart = ({ layer, core, linings, ghosts, standIn }: LayerShape) => [
  layer.lined,
  layer.turnsWith,
  core,
  linings,
  ghosts,
  standIn,
];

const LayerDrawing = memo(function LayerDrawing({ shape }: { readonly shape: LayerShape }) {
  const strata = useStrata();
  const { layer, core, linings, ghosts, standIn } = shape;
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
      {linings.flatMap((box) => {
        const n = Math.floor(box.width / GROOVE_STEP);
        return Array.from({ length: n }, (_, i) => {
          const x = box.x + (box.width * (i + 1)) / (n + 1);
          return (
            <Line
              key={`${box.y}|${i}`}
              x1={x}
              y1={box.y}
              x2={x}
              y2={box.y + box.height}
              stroke={strata.groove}
              strokeWidth={1.2}
            />
          );
        });
      })}
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
}, drawsAlike);

/** The drawing in words, for those who do not see it. */
function describe(layout: PackLayout): string {
  const n = layout.layers.length;
  if (n === 0) return 'Section of the pack: no plates yet';
  const discs = layout.layers.filter((l) => l.turnsWith === 'basket').length;
  return `Section of the pack: ${n} plates from the hub floor outward, ${discs} turning with the basket and ${n - discs} with the hub, ${layout.slipping.length} slipping faces`;
}
