import { Circle, G, Line, Path, Rect, Svg, Text as SvgText } from 'react-native-svg';

import { DomainError } from '@/core/errors';
import type { Evenness, LiftReading } from '@/core/release/evenness';
import { evenness } from '@/core/release/evenness';
import { formatValue, formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { FONT, useStrata } from '@/ui/theme';

const SIZE = 260;
const MIDDLE = SIZE / 2;
const PLATE = 78;
const READ = 58;
const NAMED = 106;

const turned = (angle: number) => ((angle % 360) + 360) % 360;

/** The plane through the readings, where there is one. */
function planeOf(readings: readonly LiftReading[]): Evenness | undefined {
  try {
    return evenness(readings);
  } catch (error) {
    if (error instanceof DomainError) return undefined;
    throw error;
  }
}

/** The pressure plate from outside with its dial readings: highest, lowest and required lift. */
export function LiftPlate() {
  const strata = useStrata();
  const units = useUnits();
  const { liftReadings } = useJob().release;
  const needed = useEvaluation().figures.get('liftNeeded');
  const readings = liftReadings.flatMap((r) =>
    r.angle && r.lift ? [{ angle: r.angle.value, lift: r.lift.value }] : [],
  );
  const plane = planeOf(readings);
  if (!plane) return null;
  const need = needed?.status === 'known' ? needed.value : undefined;
  const angles = [...new Set(readings.map((r) => turned(r.angle)))];
  const places = angles.map((angle) => {
    const pulls = readings.filter((r) => turned(r.angle) === angle);
    return { angle, lift: pulls.reduce((sum, p) => sum + p.lift, 0) / pulls.length };
  });
  const at = (angle: number, radius: number) => {
    const a = ((angle - 90) * Math.PI) / 180;
    return { x: MIDDLE + radius * Math.cos(a), y: MIDDLE + radius * Math.sin(a) };
  };
  const high = at(plane.direction, PLATE - 8);
  const low = at(plane.direction + 180, PLATE - 8);
  const words = (mm: number) => formatWithUnit(mm, 'length', units, units.length ? undefined : 2);
  return (
    <Svg
      width={SIZE}
      height={SIZE}
      role="img"
      aria-label={`Lift round the plate, angles clockwise from the top: ${places.map((p) => `${p.angle}° ${words(p.lift)}`).join(', ')}. Highest toward ${Math.round(plane.direction)}°, lowest ${words(plane.least)} opposite${need === undefined ? '' : `, ${words(need)} required`}`}
    >
      <Circle
        cx={MIDDLE}
        cy={MIDDLE}
        r={PLATE}
        fill={strata.raised}
        stroke={strata.slate}
        strokeWidth={3}
      />
      {/* The tilt: a line from the low side to the high one, with its head there. */}
      <Line x1={low.x} y1={low.y} x2={high.x} y2={high.y} stroke={strata.soft} strokeWidth={1.5} />
      <G transform={`translate(${high.x} ${high.y}) rotate(${plane.direction})`}>
        <Path d="M0 -7L6 6H-6z" fill={strata.slate} />
      </G>
      <Circle
        cx={low.x}
        cy={low.y}
        r={6}
        fill="none"
        stroke={need !== undefined && plane.least < need ? strata.stop : strata.slate}
        strokeWidth={3}
      />
      {/* Room for the mean over the line. */}
      <Rect x={MIDDLE - 42} y={MIDDLE - 18} width={84} height={38} fill={strata.raised} />
      {places.map(({ angle, lift }) => {
        const dot = at(angle, READ);
        const name = at(angle, NAMED);
        const short = need !== undefined && lift < need;
        return (
          <G key={angle}>
            <Circle
              cx={dot.x}
              cy={dot.y}
              r={5}
              fill={short ? strata.stop : strata.good}
              stroke={strata.ground}
              strokeWidth={1}
            />
            <SvgText
              x={name.x}
              y={name.y}
              textAnchor="middle"
              fontFamily={FONT.monoBold}
              fontSize={14}
              fill={strata.ink}
            >
              {formatValue(lift, 'length', units, units.length ? undefined : 2)}
            </SvgText>
            <SvgText
              x={name.x}
              y={name.y + 14}
              textAnchor="middle"
              fontFamily={FONT.mono}
              fontSize={12}
              fill={strata.soft}
            >
              {`${Math.round(angle)}°`}
            </SvgText>
          </G>
        );
      })}
      <SvgText
        x={MIDDLE}
        y={MIDDLE - 4}
        textAnchor="middle"
        fontFamily={FONT.text}
        fontSize={13}
        fill={strata.soft}
      >
        mean
      </SvgText>
      <SvgText
        x={MIDDLE}
        y={MIDDLE + 13}
        textAnchor="middle"
        fontFamily={FONT.monoBold}
        fontSize={16}
        fill={strata.ink}
      >
        {words(plane.mean)}
      </SvgText>
    </Svg>
  );
}
