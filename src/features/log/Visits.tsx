import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { MAX_NOTES } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import type { Job, Visit } from '@/core/job/types';
import { MAX_VISITS } from '@/core/job/types';
import { meterOf, runRead, runText } from '@/core/life/meter';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { MeterFields } from '@/features/entry/MeterFields';
import { useEditJob } from '@/state/jobs/editJob';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJobPart } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { DateField } from '@/ui/DateField';
import { dayText, isoDay } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { Field } from '@/ui/Field';
import { Panel } from '@/ui/Panel';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

const withVisit = (job: Job, id: string, part: Partial<Visit>): Job => ({
  ...job,
  visits: job.visits.map((v) => (v.id === id ? { ...v, ...part } : v)),
});

/** Service visits of the machine with this pack: meter, a reading of each disc, and findings. */
export function Visits() {
  const visits = useJobPart((job) => job.visits);
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
        Distance or hours run, and the thinnest point of each disc. Visits are not part of the
        signature and can be added at any time.
      </Words>
      {visits.map((visit) => (
        <VisitPanel key={visit.id} visit={visit} />
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

function VisitPanel({ visit }: { readonly visit: Visit }) {
  const change = useEditJob();
  const pack = useJobPart((job) => job.pack);
  const discs = useJobPart((job) => evaluationOf(job).layout).layers.filter(
    (l) => l.lined !== 'none',
  );
  const { id, date, readings, note } = visit;
  const units = useUnits();
  const machine = useJobPart((job) => job.machine);
  const meter = meterOf({ machine });
  const run = runRead({ machine }, visit);
  const read = discs.filter((l) => readings[l.plate.id]).length;
  const title = date ? dayText(new Date(`${date}T12:00:00`)) : 'No date';
  return (
    <Panel
      title={`Visit of ${title}`}
      summary={`${run ? runText(run.value, meter, units) : 'meter not read'}, ${read} of ${countOf(discs.length, 'disc')} measured`}
      initiallyOpen={!run && pack.plates.length > 0}
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
      <FieldGrid>
        {discs.map((l, i) => (
          <EntryField
            key={l.plate.id}
            path={fieldPath('visits.*.readings.*', id, l.plate.id)}
            label={`Disc ${i + 1}`}
            narrow
          />
        ))}
      </FieldGrid>
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
  );
}
