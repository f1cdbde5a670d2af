import { DndContext } from '@dnd-kit/core';
import { StyleSheet, View } from 'react-native';
import { Line, Path, Rect, Svg } from 'react-native-svg';

import type { Evaluation } from '@/core/evaluate/evaluate';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import type { Problem } from '@/core/evaluate/engine/problem';
import type { FieldPath } from '@/core/job/fieldPath';
import type { Job } from '@/core/job/types';
import { countOf } from '@/core/text/countOf';
import { formatValue, formatWithUnit } from '@/core/units/format';
import type { HalfSection, LayerRow as Layer } from '@/drawing/halfSection/halfSection';
import { drawHalfSection, gapHeight } from '@/drawing/halfSection/halfSection';
import { drawingNote, heightForLabels, placeLabels } from '@/drawing/halfSection/labels';
import { painted } from '@/drawing/halfSection/looks';
import { partsOf } from '@/drawing/halfSection/parts';
import { WEAR_SCALE } from '@/drawing/halfSection/plates';
import { worstPart } from '@/drawing/halfSection/worst';
import { useUnits } from '@/features/display/useUnits';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { Dimensions } from './Dimensions';
import { LabelTargets, LayerLabel, LayerRow } from './LayerRow';
import { marksOf } from './marks';
import { PartArea } from './PartArea';
import { useLayerDrag } from './useLayerDrag';
import { usePinch } from './usePinch';

/** State of the drawn section: at rest and as measured by default. */
export interface SectionState {
  readonly zoom?: number;
  /** Lift of the pressure plate, and the most of it, for which the drawing leaves room. */
  readonly lift?: number;
  readonly room?: number;
  /** Pack wear beyond the measured wear. */
  readonly wear?: number;
}

export interface SectionProps {
  readonly job: Job;
  readonly evaluation: Pick<Evaluation, 'figures' | 'layout' | 'verdicts'>;
  readonly problems: readonly Pick<Problem, 'plateId' | 'path'>[];
  readonly width: number;
  readonly height: number;
  /** The whole clutch with names and measures; otherwise the plates alone, between fingers and hub. */
  readonly labelled?: boolean;
  readonly selected: readonly string[];
  readonly onSelect: (plateId: string) => void;
  readonly state?: SectionState;
  /** Puts a layer that was dragged, and those selected with it, into a gap between plates. */
  readonly onDrop?: ((plateId: string, gap: number) => void) | undefined;
  /** Two fingers spread by this factor since they came down. */
  readonly onPinch?: (factor: number, ended: boolean) => void;
  /** Opens the field that a part drawn from assumed measures asks for. */
  readonly onAsk?: ((path: FieldPath) => void) | undefined;
}

/** Room for the note under the drawing. */
const NOTE = 40;
const AT_REST: SectionState = {};

/**
 * The half-section of the clutch, from the same data as the figures. Tap a layer to work on it, drag it to another place,
 * spread two fingers to see it larger.
 */
export function Section({
  job,
  evaluation,
  problems,
  width,
  height,
  labelled = false,
  selected,
  onSelect,
  state = AT_REST,
  onDrop,
  onPinch,
  onAsk,
}: SectionProps) {
  const strata = useStrata();
  const units = useUnits();
  const { layout } = evaluation;
  const { lift = 0 } = state;
  const subject = { job, evaluation };
  const left = labelled ? Math.max(112, Math.min(190, width * 0.36)) : 0;
  const drawing = drawHalfSection(subject, {
    width,
    height: labelled ? Math.max(height, heightForLabels(layout.layers.length)) : height,
    close: !labelled,
    left,
    ...state,
  });
  const rises = drawing.rises(lift);
  const { pinching, touches } = usePinch(onPinch);
  const { context, gap } = useLayerDrag(drawing, onDrop, pinching);
  const chosen = new Set(selected);
  const wrong = new Set(problems.flatMap((p) => p.plateId ?? []));
  const first = selected.at(-1) ?? drawing.layers[0]?.layer.plate.id;
  const labels = labelled ? placeLabels(drawing, rises, left - 12) : undefined;
  const parts = labelled ? partsOf(subject, drawing, units) : [];
  const worst = problems.some((p) => p.path.startsWith('springs'))
    ? 'springs'
    : worstPart(evaluation);
  // One finger drags a layer while all is in sight, and scrolls once the drawing is enlarged.
  const touchAction = !onDrop ? 'auto' : (state.zoom ?? 1) > 1 ? 'pan-y' : 'none';
  const risen = ({ layer, row }: Layer) => row.y - (rises[layer.number] ?? 0);
  return (
    <DndContext {...context}>
      <View
        role="group"
        aria-label={describe(layout)}
        {...touches}
        style={[styles.drawing, { width, height: drawing.height, ...{ touchAction } }]}
      >
        <Svg width={width} height={drawing.height} aria-hidden>
          {painted(drawing.shapes, strata, rises).map(({ key, dash, ...paint }) => (
            <Path
              key={key}
              d={paint.d}
              fill={paint.fill}
              stroke={paint.stroke ?? 'none'}
              strokeWidth={paint.width}
              opacity={paint.opacity}
              {...(dash ? { strokeDasharray: dash } : {})}
            />
          ))}
          {labels ? (
            <Path d={labels.leaders} fill="none" stroke={strata.soft} strokeWidth={0.8} />
          ) : null}
          {drawing.layers.map((s) => (
            <Mark
              key={s.layer.plate.id}
              at={s}
              y={risen(s)}
              chosen={chosen.has(s.layer.plate.id)}
              wrong={wrong.has(s.layer.plate.id)}
            />
          ))}
          {parts
            .filter((p) => p.id === worst)
            .map(({ id, box }) => (
              <Rect
                key={id}
                x={box.x - 3}
                y={box.y - 3}
                width={box.width + 6}
                height={box.height + 6}
                rx={4}
                fill="none"
                stroke={strata.stop}
                strokeWidth={2}
                strokeDasharray="5 3"
              />
            ))}
          {labelled ? <Dimensions drawing={drawing} rises={rises} lift={lift} /> : null}
          {gap === undefined ? null : (
            <Line
              x1={left}
              x2={width}
              y1={gapHeight(drawing, gap)}
              y2={gapHeight(drawing, gap)}
              stroke={strata.slate}
              strokeWidth={5}
            />
          )}
        </Svg>
        {parts.map((part) => (
          <PartArea key={part.id} part={part} worst={part.id === worst} onAsk={onAsk} />
        ))}
        {labels
          ? drawing.layers.map(({ layer, expands }, i) => (
              <LayerLabel
                key={layer.plate.id}
                number={layer.number}
                text={[layer.kind.name, ...marksOf(layer, layout, expands)].join(', ')}
                value={
                  layer.thickness === undefined
                    ? '–'
                    : formatValue(layer.thickness, 'length', units)
                }
                chosen={chosen.has(layer.plate.id)}
                at={labels.at[i] ?? 0}
                size={labels.size}
                width={left - 14}
              />
            ))
          : null}
        {drawing.layers.map((s) => {
          const { layer } = s;
          const { id } = layer.plate;
          const marks = marksOf(layer, layout, s.expands);
          const thickness =
            layer.thickness === undefined
              ? 'thickness missing'
              : formatWithUnit(layer.thickness, 'length', units);
          const name = [`${layer.number} ${layer.kind.name}`, thickness, ...marks].join(', ');
          return (
            <LayerRow
              key={id}
              id={id}
              name={name}
              wrong={wrong.has(id)}
              chosen={chosen.has(id)}
              press={onSelect}
              reached={id === first}
              box={{ ...s.row, y: risen(s) }}
              movable={onDrop !== undefined}
            />
          );
        })}
        {labels ? (
          <LabelTargets
            labels={drawing.layers.map((s, i) => ({
              id: s.layer.plate.id,
              at: labels.at[i] ?? 0,
            }))}
            width={left - 14}
            height={drawing.height}
            press={onSelect}
          />
        ) : null}
      </View>
      {labelled ? (
        <View style={{ minHeight: NOTE, width }}>
          <Words soft size={13}>
            {`${drawingNote(drawing, WEAR_SCALE)}.`}
          </Words>
        </View>
      ) : null}
    </DndContext>
  );
}

interface MarkProps {
  readonly at: HalfSection['layers'][number];
  readonly y: number;
  readonly chosen: boolean;
  readonly wrong: boolean;
}

/** The frame around a layer that is chosen, or wrong. */
function Mark({ at: { row }, y, chosen, wrong }: MarkProps) {
  const strata = useStrata();
  if (!chosen && !wrong) return null;
  return (
    <Rect
      x={row.x + 1.5}
      y={y - 1}
      width={row.width - 3}
      height={row.height + 2}
      rx={3}
      fill={chosen ? strata.slate : 'none'}
      fillOpacity={0.22}
      stroke={wrong ? strata.stop : strata.slate}
      strokeWidth={2.5}
      {...(wrong ? { strokeDasharray: '5 3' } : {})}
    />
  );
}

/** The drawing in words, for those who do not see it. */
function describe(layout: PackLayout): string {
  const n = layout.layers.length;
  if (n === 0) return 'Section of the pack: no plates yet';
  const discs = layout.layers.filter((l) => l.turnsWith === 'basket').length;
  return `Section of the pack: ${countOf(n, 'plate')} from the hub floor outward, ${discs} turning with the basket and ${n - discs} with the hub, ${layout.slipping.length} friction faces`;
}

const styles = StyleSheet.create({ drawing: { overflow: 'hidden' } });
