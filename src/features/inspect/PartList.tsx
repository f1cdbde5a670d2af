import type { FieldPath } from '@/core/job/fieldPath';
import { coilGroups, fittedKinds } from '@/core/clutch/fitted';
import { ONE_WAY_NAME } from '@/core/clutch/startClutch/inspection';
import { useEffect, useRef } from 'react';
import { Pressable, StyleSheet, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import type { PartVerdict } from '@/core/inspect/partVerdict';
import { fixturesOf } from '@/core/inspect/fixtures';
import { FIXTURE_NAME, SIGHT_NAME, SIGHTS_ON } from '@/core/inspect/sights';
import { fieldPath } from '@/core/job/fieldPath';
import { springsAway } from '@/core/shelf/fromJob';
import type { Fixture } from '@/core/job/types';
import { POINTS } from '@/core/job/types';
import { useUnits } from '@/features/display/useUnits';
import { TangView } from '@/features/section/TangView';
import { EntryField } from '@/features/entry/EntryField';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { returnPlate, returnSpringsToShelf } from '@/features/shelf/returnToShelf';
import { ReturnToShelfKeys } from '@/features/shelf/ReturnToShelfKeys';
import { FieldGrid } from '@/ui/FieldGrid';
import { useAppSelector } from '@/state/store';
import { Panel } from '@/ui/Panel';
import { SPACE, useRuled } from '@/ui/theme';
import { Choice, optionsOf, Toggles } from '@/ui/Choice';
import { Heading, Words } from '@/ui/Words';

import { DecisionMark } from './DecisionMark';
import { withFixtureSight, withPlate, withPlateSight } from './edits';
import { useInspection } from './useInspection';
import { flow } from '@/ui/flow';

interface Props {
  readonly selected: string | undefined;
  readonly onSelect: (plateId: string | undefined) => void;
}

/** Every plate with its decision, outermost first as in the section; then the parts around them. */
export function PartList({ selected, onSelect }: Props) {
  const job = useJob();
  const { parts } = useInspection();
  const plates = parts.filter((p) => p.plate).reverse();
  const going = plates.filter((p) => p.decision === 'change' || p.decision === 'scrap');
  return (
    <View style={flow.stack}>
      {plates.length > 0 ? (
        <>
          <Heading level={2}>Plates</Heading>
          <ReturnToShelfKeys
            pieces={going.length > 1 ? going.length : 0}
            put={(jobId, where, today) => returnPlate(jobId, going, where, today)}
            what={`All ${going.length} to replace`}
            to={['scrap']}
          />
          <View role="list" aria-label="Plate verdicts, outermost first">
            {plates.map((part) => (
              <PlateVerdict
                key={part.id}
                part={part}
                open={part.id === selected}
                onToggle={() => onSelect(part.id === selected ? undefined : part.id)}
              />
            ))}
          </View>
        </>
      ) : null}
      <Heading level={2}>Other parts</Heading>
      {fixturesOf(job).map((fixture) => (
        <FixturePanel
          key={fixture}
          fixture={fixture}
          part={parts.find((p) => p.fixture === fixture)}
        />
      ))}
    </View>
  );
}

function Reasons({ part }: { readonly part: PartVerdict }) {
  const units = useUnits();
  return (
    <>
      {part.reasons.map((r) => {
        const text = readSentence(r.sentence, units);
        return (
          <Words key={text} size={15}>
            {r.limitFrom ? `${text.replace(/\.$/, '')} (${r.limitFrom}).` : text}
          </Words>
        );
      })}
    </>
  );
}

interface PlateProps {
  readonly part: PartVerdict;
  readonly open: boolean;
  readonly onToggle: () => void;
}

function PlateVerdict({ part, open, onToggle }: PlateProps) {
  const ruled = useRuled();
  const units = useUnits();
  const row = useRef<View>(null);
  useEffect(() => {
    const node: unknown = row.current;
    if (open && node instanceof HTMLElement) node.scrollIntoView({ block: 'nearest' });
  }, [open]);
  const [first] = part.reasons;
  return (
    <View ref={row} role="listitem" testID={`part-${part.id}`} style={ruled}>
      <Pressable role="button" aria-expanded={open} onPress={onToggle} style={styles.padded}>
        <View style={styles.row}>
          <Words bold>{part.name}</Words>
          <DecisionMark decision={part.decision} size={15} />
        </View>
        {!open && first ? (
          <Words soft size={14}>
            {readSentence(first.sentence, units)}
          </Words>
        ) : null}
      </Pressable>
      {open ? <PlateDetails part={part} /> : null}
    </View>
  );
}

function PlateDetails({ part }: { readonly part: PartVerdict }) {
  const job = useJob();
  const change = useEditJob();
  const layer = part.plate;
  if (!layer) return null;
  const { plate } = layer;
  const lined = layer.lined !== 'none';
  const points = POINTS.slice(0, lined ? job.inspection.discPoints : job.inspection.steelPoints);
  return (
    <View style={styles.plateDetailsPadded}>
      <Reasons part={part} />
      <FieldGrid>
        {points.map((p) => (
          <EntryField
            key={p}
            path={fieldPath('pack.plates.*.readings.*', plate.id, p)}
            label={points.length > 1 ? `Thickness, point ${p}` : 'Thickness'}
          />
        ))}
        {lined ? null : <EntryField path={fieldPath('pack.plates.*.outOfFlat', plate.id)} />}
        <EntryField path={fieldPath('pack.plates.*.tangClearance', plate.id)} />
      </FieldGrid>
      <Toggles
        label="Visible damage"
        chosen={plate.seen ?? []}
        options={SIGHTS_ON[lined ? 'disc' : 'steel'].map((value) => ({
          value,
          label: SIGHT_NAME[value],
        }))}
        onToggle={(sight) => change((j) => withPlateSight(j, plate.id, sight))}
      />
      <Toggles
        bare
        label="New part"
        chosen={plate.isNew ? ['new'] : []}
        options={[{ value: 'new', label: 'New part fitted' }]}
        onToggle={() => change((j) => withPlate(j, plate.id, { isNew: !plate.isNew }))}
      />
      <ReturnToShelfKeys
        pieces={plate.isNew ? 0 : 1}
        put={(jobId, where, today) => returnPlate(jobId, [part], where, today)}
        what={part.name}
        to={['shelf', 'scrap']}
      />
    </View>
  );
}

const FIELDS: Readonly<Partial<Record<Fixture, readonly FieldPath[]>>> = {
  basket: ['inspection.basketNotch'],
  hub: ['inspection.hubNotch', 'inspection.damperPlay'],
  pressurePlate: [
    'inspection.pressurePlateFlatness',
    'inspection.pressurePlateThickness',
    'inspection.seatSquareness',
  ],
};

const ONE_WAY_OPTIONS = optionsOf(ONE_WAY_NAME);

function FixturePanel({
  fixture,
  part,
}: {
  readonly fixture: Fixture;
  readonly part: PartVerdict | undefined;
}) {
  const job = useJob();
  const change = useEditJob();
  const springs = fixture === 'springs';
  const stock = useAppSelector((state) => state.shelf);
  const readings = [
    ...(FIELDS[fixture] ?? []).map((path) => ({ path, title: '', what: '' })),
    ...fittedKinds(job)
      .flatMap((kind) => kind.readings?.(job) ?? [])
      .filter((step) => step.fixture === fixture),
  ];
  return (
    <Panel
      title={FIXTURE_NAME[fixture]}
      summary={part ? undefined : 'Not inspected yet'}
      aside={part ? <DecisionMark decision={part.decision} size={15} /> : undefined}
    >
      {part ? <Reasons part={part} /> : null}
      {fixture === 'basket' || fixture === 'hub' ? <TangView member={fixture} /> : null}
      <FieldGrid>
        {readings.map(({ path, title, what }) => (
          <EntryField key={path} path={path} label={title ? `${title}, ${what}` : undefined} />
        ))}
      </FieldGrid>
      {springs && readings.length === 0 ? (
        <Words soft size={15}>
          Choose Springs in the measuring run to measure each one. Their number is entered at
          Specify.
        </Words>
      ) : null}
      {fixture === 'oneWay' ? (
        <Choice
          label="Turned by hand"
          value={job.startClutch.oneWay ?? ''}
          options={ONE_WAY_OPTIONS}
          onChange={(next) => {
            if (next !== '')
              change((j) => ({ ...j, startClutch: { ...j.startClutch, oneWay: next } }));
          }}
        />
      ) : null}
      <Toggles
        label="Visible damage"
        chosen={job.inspection.seen[fixture] ?? []}
        options={SIGHTS_ON[fixture].map((value) => ({ value, label: SIGHT_NAME[value] }))}
        onToggle={(sight) => change((j) => withFixtureSight(j, fixture, sight))}
      />
      {springs
        ? coilGroups(job).map((g) => (
            <ReturnToShelfKeys
              key={g.id}
              pieces={springsAway(stock, job, g) ? 0 : (g.count?.value ?? 0)}
              put={(jobId, where, today) => returnSpringsToShelf(jobId, g.id, where, today)}
              what={g.name || 'Springs'}
              to={['shelf', 'scrap']}
            />
          ))
        : null}
    </Panel>
  );
}

const styles = StyleSheet.create({
  padded: { minHeight: 56, paddingVertical: SPACE.gap, justifyContent: 'center', gap: SPACE.hair },
  row: { flexDirection: 'row', justifyContent: 'space-between', gap: SPACE.gap, flexWrap: 'wrap' },
  plateDetailsPadded: { gap: SPACE.gap, paddingBottom: SPACE.room },
});
