import { DndContext, useDraggable } from '@dnd-kit/core';
import { Pressable, StyleSheet, View } from 'react-native';
import { Line, Path, Polygon, Rect, Svg } from 'react-native-svg';

import type { PackLayout } from '@/core/evaluate/engine/layers';
import type { Problem } from '@/core/evaluate/engine/problem';
import { formatWithUnit } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { useStrata } from '@/ui/theme';
import { spreadLabels } from '@/drawing/spreadLabels';
import { Words } from '@/ui/Words';

import type { LayerShape, SectionShape, SectionState } from '@/drawing/sectionShape';
import { Area, LayerDrawing } from './LayerDrawing';
import { gapHeight, shapeSection, WEAR_SCALE } from '@/drawing/sectionShape';
import { marksOf } from './marks';
import { useLayerDrag } from './useLayerDrag';
import { usePinch } from './usePinch';
import { countOf } from '@/core/text/countOf';

export interface SectionProps {
  readonly layout: PackLayout;
  readonly problems: readonly Pick<Problem, 'plateId' | 'path'>[];
  readonly width: number;
  readonly height: number;
  /** Names and thicknesses beside the layers, for which the drawing gives up part of its width. */
  readonly labelled?: boolean;
  readonly selected: readonly string[];
  readonly onSelect: (plateId: string) => void;
  readonly state?: SectionState;
  /** Puts a layer that was dragged, and those selected with it, into a gap between plates. */
  readonly onDrop?: ((plateId: string, gap: number) => void) | undefined;
  /** Two fingers spread by this factor since they came down. */
  readonly onPinch?: (factor: number, ended: boolean) => void;
}

const LABEL_GAP = 17;
/** Room for the note under the drawing. */
const NOTE = 22;
const AT_REST: SectionState = {};

/**
 * The pack as strata under a ridge: to scale, from the same data as the figures. Tap a layer to work on it, drag it to
 * another place, spread two fingers to see it larger.
 */
export function Section({
  layout,
  problems,
  width,
  height,
  labelled = false,
  selected,
  onSelect,
  state = AT_REST,
  onDrop,
  onPinch,
}: SectionProps) {
  const strata = useStrata();
  const units = useUnits();
  const drawn = labelled ? Math.max(110, width - 186) : width;
  const shape = shapeSection(layout, drawn, height, state);
  const { pinching, touches } = usePinch(onPinch);
  const { context, gap } = useLayerDrag(shape, onDrop, pinching);
  const chosen = new Set(selected);
  const wrong = new Set(problems.flatMap((p) => p.plateId ?? []));
  const springsWrong = problems.some((p) => p.path.startsWith('springs'));
  const first = selected.at(-1) ?? shape.layers[0]?.layer.plate.id;
  const name = ({ layer: l, expands }: LayerShape) =>
    [
      `${l.number} ${l.kind.name}`,
      l.thickness === undefined
        ? 'thickness missing'
        : formatWithUnit(l.thickness, 'length', units),
      ...marksOf(l, layout, expands),
    ].join(', ');
  const noted = labelled && shape.layers.some((s) => s.ghosts.length > 0);
  const mids = shape.layers.map((s) => s.row.y + s.row.height / 2);
  // The end of the spline has its label among those of the layers, where its height puts it.
  const end = shape.splineEnd;
  const above = end === undefined ? mids.length : mids.filter((y) => y > end).length;
  const wanted = end === undefined ? mids : mids.toSpliced(above, 0, end);
  const spread = labelled ? spreadLabels(wanted, LABEL_GAP, 8, shape.height - 34) : [];
  const labels = end === undefined ? spread : spread.toSpliced(above, 1);
  const endLabel = end === undefined ? undefined : spread[above];
  // One finger drags a layer while all is in sight, and scrolls once the drawing is enlarged.
  const touchAction = !onDrop ? 'auto' : (state.zoom ?? 1) > 1 ? 'pan-y' : 'none';
  return (
    <DndContext {...context}>
      <View
        role="group"
        aria-label={describe(layout)}
        {...touches}
        style={{
          width,
          height: shape.height + (noted ? NOTE : 0),
          ...{ touchAction },
        }}
      >
        <Svg width={width} height={shape.height} aria-hidden>
          <Frame shape={shape} springsWrong={springsWrong} />
          {shape.layers.map((s) => (
            <LayerDrawing key={s.layer.plate.id} shape={s} />
          ))}
          {shape.splineEnd === undefined ? null : (
            <Path
              d={`M${drawn - 3} ${shape.floor.y}V${shape.splineEnd}H${drawn - 22}`}
              fill="none"
              stroke={strata.slate}
              strokeWidth={2}
              strokeDasharray="7 3"
            />
          )}
          {end === undefined || endLabel === undefined ? null : (
            <Line
              x1={drawn - 2}
              y1={end}
              x2={drawn + 10}
              y2={endLabel}
              stroke={strata.slate}
              strokeWidth={1}
            />
          )}
          {labelled ? (
            <Path
              d={leaders(drawn, mids, labels)}
              fill="none"
              stroke={strata.soft}
              strokeWidth={1}
            />
          ) : null}
          {shape.layers.map((s) => {
            const { id } = s.layer.plate;
            if (!chosen.has(id) && !wrong.has(id)) return null;
            return (
              <Rect
                key={id}
                x={1.5}
                y={s.row.y - 1}
                width={drawn - 3}
                height={s.row.height + 2}
                rx={3}
                fill={chosen.has(id) ? strata.slate : 'none'}
                fillOpacity={0.18}
                stroke={wrong.has(id) ? strata.stop : strata.slate}
                strokeWidth={2.5}
                {...(wrong.has(id) ? { strokeDasharray: '5 3' } : {})}
              />
            );
          })}
          {gap === undefined ? null : (
            <Line
              x1={0}
              x2={drawn}
              y1={gapHeight(shape, gap)}
              y2={gapHeight(shape, gap)}
              stroke={strata.slate}
              strokeWidth={5}
            />
          )}
        </Svg>
        {shape.layers.map((s, i) => (
          <LayerRow
            key={s.layer.plate.id}
            id={s.layer.plate.id}
            name={name(s)}
            wrong={wrong.has(s.layer.plate.id)}
            chosen={chosen.has(s.layer.plate.id)}
            reached={s.layer.plate.id === first}
            top={s.row.y}
            width={drawn}
            height={s.row.height}
            labelAt={labels[i]}
            labelWidth={width - drawn - 13}
            press={onSelect}
            movable={onDrop !== undefined}
          />
        ))}
        {endLabel === undefined ? null : (
          <Words
            soft
            size={13}
            aria-hidden
            style={[styles.over, { left: drawn + 13, top: endLabel - 9 }]}
          >
            end of the spline
          </Words>
        )}
        {noted ? (
          <Words soft size={13} style={[styles.sectionOver, { top: shape.height + 2 }]}>
            {`Wear drawn ${WEAR_SCALE} times as deep, in the outline of new`}
          </Words>
        ) : null}
      </View>
    </DndContext>
  );
}

interface FrameProps {
  readonly shape: SectionShape;
  readonly springsWrong: boolean;
}

/** Springs, pressure plate and floor, which do not move with the layers. */
function Frame({ shape: { ridge, pressurePlate, floor }, springsWrong }: FrameProps) {
  const strata = useStrata();
  return (
    <>
      <Polygon
        points={ridge.map((p) => p.join(',')).join(' ')}
        fill={strata.slate}
        {...(springsWrong ? { stroke: strata.stop, strokeWidth: 2.5, strokeDasharray: '5 3' } : {})}
      />
      <Area box={pressurePlate} fill={strata.slate} />
      <Line
        x1={pressurePlate.x}
        y1={pressurePlate.y}
        x2={pressurePlate.x + pressurePlate.width}
        y2={pressurePlate.y}
        stroke={strata.ground}
        strokeWidth={1.2}
      />
      <Area box={floor} fill={strata.floor} />
    </>
  );
}

/** The lines from the layers to their labels, as one path. */
const leaders = (x: number, mids: readonly number[], labels: readonly number[]): string =>
  mids.map((mid, i) => `M${x - 2} ${mid}L${x + 10} ${labels[i] ?? mid}`).join('');

interface LayerRowProps {
  readonly id: string;
  readonly name: string;
  readonly wrong: boolean;
  readonly chosen: boolean;
  /** The one layer that the Tab key comes to. */
  readonly reached: boolean;
  readonly top: number;
  readonly width: number;
  readonly height: number;
  /** Position of its label, if any. */
  readonly labelAt: number | undefined;
  readonly labelWidth: number;
  readonly press: (id: string) => void;
  readonly movable: boolean;
}

/** The target of a layer, and its accessible name. */
function LayerRow(props: LayerRowProps) {
  const {
    id,
    name,
    wrong,
    chosen,
    reached,
    top,
    width,
    height,
    labelAt,
    labelWidth,
    press,
    movable,
  } = props;
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
        style={[styles.layerRowOver, { top, width, height }]}
      />
      {labelAt === undefined ? null : (
        <Words
          aria-hidden
          size={13}
          numberOfLines={1}
          soft={!chosen}
          bold={chosen}
          style={[styles.over, { left: width + 13, top: labelAt - 9, width: labelWidth }]}
        >
          {name}
        </Words>
      )}
    </>
  );
}

/** The drawing in words, for those who do not see it. */
function describe(layout: PackLayout): string {
  const n = layout.layers.length;
  if (n === 0) return 'Section of the pack: no plates yet';
  const discs = layout.layers.filter((l) => l.turnsWith === 'basket').length;
  return `Section of the pack: ${countOf(n, 'plate')} from the hub floor outward, ${discs} turning with the basket and ${n - discs} with the hub, ${layout.slipping.length} friction faces`;
}

const styles = StyleSheet.create({
  over: { position: 'absolute' },
  sectionOver: { position: 'absolute', left: 4 },
  layerRowOver: { position: 'absolute', left: 0 },
});
