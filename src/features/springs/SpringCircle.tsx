import { StyleSheet, View } from 'react-native';
import { Circle, Line, Path, Svg, Text as SvgText } from 'react-native-svg';

import { MAX_RING } from '@/core/job/fields';
import { ringLook } from '@/core/clutch/coil/look';
import { arrangeEvenly } from '@/core/springs/circle';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { FieldGrid } from '@/ui/FieldGrid';
import { FONT, useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { RingKey } from './RingKey';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const SIZE = 240;
const CENTRE = SIZE / 2;
const RING = 84;
const SPRING = 19;
/** The resultant's offset is drawn so many times as far out, so that a millimetre is seen. */
const OFFSET_SCALE = 6;

/** The ring of springs from above: the type at each position, and the resultant. */
export function SpringCircle() {
  const job = useJob();
  const units = useUnits();
  const strata = useStrata();
  const change = useEditJob();
  const { groups, ring } = job.springs.coil;
  const look = ringLook(job);
  const setRing = (next: readonly string[]) =>
    change((j) => ({ ...j, springs: { ...j.springs, coil: { ...j.springs.coil, ring: next } } }));
  const count = groups.reduce((sum, g) => sum + (g.count?.value ?? 0), 0);
  const index = new Map(groups.map((g, i) => [g.id, i]));
  const letter = (groupId: string) => String.fromCharCode(65 + (index.get(groupId) ?? 0));
  const place = (i: number, n: number, radius: number) => {
    const a = (2 * Math.PI * i) / n;
    return { x: CENTRE + radius * Math.cos(a), y: CENTRE - radius * Math.sin(a) };
  };
  if (count === 0 || count > MAX_RING) return null;
  return (
    <View style={flow.stack}>
      <Heading level={3}>Springs round the ring</Heading>
      {ring.length === 0 ? (
        <>
          <Words soft size={15}>
            Record the position of each spring to check that the force is centred.
          </Words>
          <Action icon="plus" onPress={() => setRing(laid(groups))}>
            {groups.length > 1 ? 'Alternate the springs' : 'Fill the ring'}
          </Action>
        </>
      ) : (
        <>
          <View
            style={styles.place}
            role="group"
            aria-label={describeRing(ring.map(letter), look, units)}
          >
            <Svg width={SIZE} height={SIZE} aria-hidden>
              <Circle cx={CENTRE} cy={CENTRE} r={RING} stroke={strata.line} fill="none" />
              <Line x1={CENTRE - 8} x2={CENTRE + 8} y1={CENTRE} y2={CENTRE} stroke={strata.soft} />
              <Line x1={CENTRE} x2={CENTRE} y1={CENTRE - 8} y2={CENTRE + 8} stroke={strata.soft} />
              {ring.map((id, i) => {
                const at = place(i, ring.length, RING);
                const other = (index.get(id) ?? 0) % 2 === 1;
                return (
                  <Circle
                    key={i}
                    cx={at.x}
                    cy={at.y}
                    r={SPRING}
                    fill={other ? strata.ochre : strata.steel}
                    stroke={strata.ink}
                    strokeWidth={1}
                  />
                );
              })}
              {ring.map((id, i) => {
                const at = place(i, ring.length, RING);
                return (
                  <SvgText
                    key={`t${i}`}
                    x={at.x}
                    y={at.y + 6}
                    fontSize={17}
                    fontFamily={FONT.textBold}
                    textAnchor="middle"
                    fill="#211E1A"
                  >
                    {letter(id)}
                  </SvgText>
                );
              })}
              {look && look.resultant.offset > 0.005 ? (
                <Resultant offset={look.resultant.offset} direction={look.resultant.direction} />
              ) : null}
            </Svg>
            {ring.map((id, i) => {
              const at = place(i, ring.length, RING);
              return (
                <RingKey
                  key={i}
                  label={`Position ${i + 1}: ${letter(id)}`}
                  x={at.x}
                  y={at.y}
                  onPress={() => setRing(withNextKind(ring, i, groups))}
                />
              );
            })}
          </View>
          <Words size={15}>
            {look
              ? look.resultant.offset < 0.05
                ? 'The spring force is centred.'
                : `The spring force is ${formatWithUnit(look.resultant.offset, 'length', units, 2)} off centre (drawn ${OFFSET_SCALE} times as far): the plate lifts unevenly. Alternate the springs evenly.`
              : 'The centre of force appears once the ring radius and every spring are known.'}
          </Words>
          {groups.length > 1 ? (
            <Words soft size={14}>
              {groups.map((g) => `${letter(g.id)} is ${g.name || 'unnamed springs'}`).join('; ')}.
              Tap a position to change its spring.
            </Words>
          ) : null}
          <View style={flow.wrap}>
            {groups.length > 1 ? (
              <Action onPress={() => setRing(laid(groups))}>Alternate the springs</Action>
            ) : null}
            <Action icon="close" onPress={() => setRing([])}>
              No order recorded
            </Action>
          </View>
        </>
      )}
      <FieldGrid>
        <EntryField path="springs.coil.ringRadius" />
      </FieldGrid>
    </View>
  );
}

type Groups = ReturnType<typeof useJob>['springs']['coil']['groups'];

const laid = (groups: Groups) =>
  arrangeEvenly(groups.map((g) => ({ id: g.id, count: g.count?.value ?? 0 })));

function withNextKind(ring: readonly string[], at: number, groups: Groups): string[] {
  const now = groups.findIndex((g) => g.id === ring[at]);
  const next = groups[(now + 1) % groups.length];
  return ring.map((id, i) => (i === at && next ? next.id : id));
}

function describeRing(
  letters: readonly string[],
  look: ReturnType<typeof ringLook>,
  units: ReturnType<typeof useUnits>,
): string {
  const off = look
    ? `, centre of force ${formatWithUnit(look.resultant.offset, 'length', units, 2)} off, toward ${Math.round(look.resultant.direction)}°`
    : '';
  return `Ring of ${countOf(letters.length, 'spring')}: ${letters.join(' ')}${off}`;
}

function Resultant({ offset, direction }: { readonly offset: number; readonly direction: number }) {
  const strata = useStrata();
  const a = (direction * Math.PI) / 180;
  const far = Math.min(RING - SPRING - 6, 12 + offset * OFFSET_SCALE);
  const x = CENTRE + far * Math.cos(a);
  const y = CENTRE - far * Math.sin(a);
  return (
    <>
      <Line x1={CENTRE} y1={CENTRE} x2={x} y2={y} stroke={strata.stop} strokeWidth={3} />
      <Path d={`M${x - 6} ${y}a6 6 0 1 0 12 0a6 6 0 1 0 -12 0z`} fill={strata.stop} />
    </>
  );
}

const styles = StyleSheet.create({
  place: { width: SIZE, height: SIZE },
});
