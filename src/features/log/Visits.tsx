import { hasPack } from '@/core/guide/layouts';
import { nanoid } from '@reduxjs/toolkit';
import { useEffect, useRef } from 'react';
import { StyleSheet, View } from 'react-native';

import { MAX_NOTES } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import type { Job, Visit } from '@/core/job/types';
import { MAX_VISITS } from '@/core/job/types';
import { discChanges, spreadOf } from '@/core/log/discChanges';
import type { UnitChoice } from '@/core/units/format';
import { formatValue, formatWithUnit } from '@/core/units/format';
import { meterOf, runRead, runText } from '@/core/life/meter';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { MeterFields } from '@/features/entry/MeterFields';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob, useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { DateField } from '@/ui/DateField';
import { dayText, isoDay } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { Field } from '@/ui/Field';
import { Panel } from '@/ui/Panel';
import { SPACE } from '@/ui/theme';
import { FieldRow, FieldTable } from '@/ui/FieldTable';
import { Digits, Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const withVisit = (job: Job, id: string, part: Partial<Visit>): Job => ({
  ...job,
  visits: job.visits.map((v) => (v.id === id ? { ...v, ...part } : v)),
});

interface Props {
  /** The visit whose run has just ended: shown open. */
  readonly measured: string | undefined;
  readonly onMeasure: (visitId: string) => void;
}

/** Service visits of the machine with this pack: meter, a reading of each disc, and findings. */
export function Visits({ measured, onMeasure }: Props) {
  const visits = useJobPart((job) => job.visits);
  const discs = useJobPart((job) => hasPack(job.machine.layout));
  const change = useEditJob();
  const full = visits.length >= MAX_VISITS;
  const add = () =>
    change((j) => ({
      ...j,
      visits: [...j.visits, { id: nanoid(10), date: isoDay(), readings: {}, note: '' }],
    }));
  return (
    <View style={flow.stack}>
      <Heading level={2}>Service visits</Heading>
      <Words soft size={15}>
        {discs
          ? 'Distance or hours run, and the thinnest point of each disc.'
          : 'Distance or hours run.'}{' '}
        Visits are not part of the signature and can be added at any time.
      </Words>
      {visits.map((visit) => (
        <VisitPanel
          key={visit.id}
          visit={visit}
          measured={visit.id === measured}
          onMeasure={() => onMeasure(visit.id)}
        />
      ))}
      <Action
        icon="plus"
        blocked={full ? `A job holds at most ${MAX_VISITS} visits.` : undefined}
        onPress={add}
      >
        Add service visit
      </Action>
    </View>
  );
}

interface VisitProps {
  readonly visit: Visit;
  readonly measured: boolean;
  readonly onMeasure: () => void;
}

function VisitPanel({ visit, measured, onMeasure }: VisitProps) {
  const place = useRef<View>(null);
  useEffect(() => {
    if (measured) (place.current as unknown as HTMLElement | null)?.scrollIntoView();
  }, [measured]);
  const change = useEditJob();
  const job = useJob();
  const { machine } = job;
  const discs = discChanges(job, visit.id);
  const { id, date, note } = visit;
  const units = useUnits();
  const meter = meterOf({ machine });
  const run = runRead({ machine }, visit);
  const read = discs.filter((d) => d.now !== undefined).length;
  const spread = spreadOf(discs);
  const title = date ? dayText(new Date(`${date}T12:00:00`)) : 'No date';
  return (
    <View ref={place}>
      <Panel
        title={`Visit of ${title}`}
        summary={`${run ? runText(run.value, meter, units) : 'meter not read'}, ${read} of ${countOf(discs.length, 'disc')} measured`}
        initiallyOpen={measured || (!run && discs.length > 0)}
      >
        <FieldGrid>
          <DateField
            label="Date"
            value={date}
            onChange={(next) => {
              if (next) change((j) => withVisit(j, id, { date: next }));
            }}
          />
          <MeterFields at={(meter) => fieldPath(`visits.*.${meter}`, id)} />
        </FieldGrid>
        {discs.length > 0 ? (
          <>
            <Action icon="play" onPress={onMeasure}>
              {`Measure ${countOf(discs.length, 'disc')}`}
            </Action>
            <FieldTable label="Discs" heads={['Thickness', 'Before', 'Change']} named="name">
              {discs.map((d) => (
                <FieldRow key={d.plateId} name={`Plate ${d.number}`} head={`Plate ${d.number}`}>
                  <EntryField
                    cell
                    path={fieldPath('visits.*.readings.*', id, d.plateId)}
                    label={`Plate ${d.number}`}
                  />
                  <Digits size={15} style={styles.cell}>
                    {d.before === undefined ? '–' : formatValue(d.before, 'length', units)}
                  </Digits>
                  <Digits size={15} style={styles.cell}>
                    {d.change === undefined ? '' : signed(d.change, units)}
                  </Digits>
                </FieldRow>
              ))}
            </FieldTable>
            {spread === undefined ? null : (
              <Words soft size={15}>
                {`Spread between the discs: ${formatWithUnit(spread, 'length', units)}.`}
              </Words>
            )}
          </>
        ) : null}
        <FieldGrid>
          <EntryField path={fieldPath('visits.*.freePlay', id)} />
          <EntryField path={fieldPath('visits.*.lift', id)} />
        </FieldGrid>
        <Field
          label="Findings"
          value={note}
          maxLength={MAX_NOTES}
          onChangeText={(next) =>
            change((j) => withVisit(j, id, { note: next }), { typing: `visit ${id}` })
          }
        />
        <Action
          icon="delete-outline"
          onPress={() => change((j) => ({ ...j, visits: j.visits.filter((v) => v.id !== id) }))}
        >
          Remove visit
        </Action>
      </Panel>
    </View>
  );
}

const signed = (mm: number, units: UnitChoice): string =>
  `${mm < 0 ? '−' : '+'}${formatValue(Math.abs(mm), 'length', units)}`;

const styles = StyleSheet.create({ cell: { paddingTop: SPACE.room } });
