import { useDeferredValue } from 'react';
import { writeDetails } from '@/core/job/edits/details';
import { View } from 'react-native';

import type { ComplaintId } from '@/core/causes/complaints';
import { AIM_NAME, OIL_NAME } from '@/core/job/words';
import { COMPLAINTS } from '@/core/causes/complaints';
import { complaintsOf } from '@/core/causes/rank';
import { MAX_NOTES } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { AIMS, METERS } from '@/core/job/types';
import { METER, meterOf } from '@/core/life/meter';
import { useAskedUnder } from '@/features/entry/askedFor';
import { MeterFields } from '@/features/entry/MeterFields';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { AttachmentFields } from '@/features/pack/AttachmentFields';
import { ATTACHMENTS } from '@/core/clutch/fitted';
import { demandsOf } from '@/core/job/purpose';
import { hasWetClutch, LAYOUTS } from '@/core/guide/layouts';
import { Choice, optionsOf, Toggles } from '@/ui/Choice';
import { DateField } from '@/ui/DateField';
import { FieldGrid } from '@/ui/FieldGrid';
import { Field } from '@/ui/Field';
import { Panel } from '@/ui/Panel';
import { StateMark } from '@/ui/StateMark';
import { toggled } from '@/core/toggled';
import { useWide } from '@/ui/useWide';
import { Heading, Words } from '@/ui/Words';

import { CausesPanel } from './CausesPanel';
import { EngineFields } from './EngineFields';
import { MachineFields } from './MachineFields';
import { flow } from '@/ui/flow';

const COMPLAINT_IDS = Object.keys(COMPLAINTS) as ComplaintId[];
const COMPLAINT_OPTIONS = optionsOf(COMPLAINTS);

const AIM_OPTIONS = optionsOf(AIM_NAME);

const OILS = (['wetClutch', 'frictionModified', 'unknown'] as const).map((value) => ({
  value,
  label: OIL_NAME[value],
}));

const METER_OPTIONS = METERS.map((value) => ({ value, label: METER[value].name }));

/** Intake: the machine, the complaint, the aim, and the likely causes beside them. */
export function IntakeStage() {
  const job = useJob();
  const wide = useWide();
  const change = useEditJob();
  // The lower half is drawn once the upper one is on screen.
  const below = useDeferredValue(true, false);
  const { intake } = job;
  const set = (part: Partial<Job['intake']>) =>
    change((j) => ({ ...j, intake: { ...j.intake, ...part } }));
  const setDue = (due: string | undefined) =>
    change((j) => {
      const { due: _old, ...rest } = j.intake;
      return { ...j, intake: due === undefined ? rest : { ...rest, due } };
    });
  const belt = !hasWetClutch(job.machine.layout);
  // A kind of job that demands nothing of this keeps it one tap away.
  const folded = demandsOf(job).intake.length === 0;
  const asked = useAskedUnder('engine.');
  const possible = complaintsOf(job.machine.layout);
  const details = (
    <>
      <Heading level={2}>Complaint and goal</Heading>
      <Toggles
        label="Complaint"
        chosen={intake.complaints}
        options={COMPLAINT_OPTIONS.filter(
          ({ value }) => possible.includes(value) || intake.complaints.includes(value),
        )}
        onToggle={(c) => set({ complaints: toggled(COMPLAINT_IDS, intake.complaints, c) })}
      />
      <Toggles
        label="Goal"
        chosen={intake.aims}
        options={AIM_OPTIONS}
        onToggle={(a) => set({ aims: toggled(AIMS, intake.aims, a) })}
      />
      <Choice label="Oil" value={intake.oil} options={OILS} onChange={(oil) => set({ oil })} />
      {intake.oil === 'frictionModified' ? (
        <View role="alert" style={flow.row}>
          <StateMark state="watch" />
          <View style={flow.shrink}>
            <Words size={15}>
              Friction-modified oil makes a wet clutch slip: all figures use 70 % of the friction.
              Change to an oil for wet clutches (JASO MA or MA2).
            </Words>
          </View>
        </View>
      ) : null}
      <Choice
        label="Meter"
        value={meterOf(job).meter}
        options={METER_OPTIONS}
        onChange={(meter) => change((j) => ({ ...j, machine: { ...j.machine, meter } }))}
      />
      {below ? (
        <>
          <FieldGrid>
            <MeterFields at={(meter) => `intake.${meter}`} />
            <DateField label="Due date" value={intake.due} onChange={setDue} />
          </FieldGrid>
          {wide ? null : <CausesPanel />}
          <EngineFields />
          {ATTACHMENTS.filter(
            (kind) => kind.takesUp === 'before' && LAYOUTS[job.machine.layout].shoes,
          ).map((kind) => (
            <AttachmentFields key={kind.id} kind={kind} />
          ))}
        </>
      ) : null}
    </>
  );
  return (
    <StagePage stage="intake">
      <MachineFields />
      {belt ? null : folded ? (
        <Panel
          title="More"
          summary="Complaint, goal, oil, meter, due date and engine"
          asked={asked}
        >
          {details}
        </Panel>
      ) : (
        details
      )}
      {belt || !below ? null : (
        <>
          <Field
            label="Notes"
            value={job.notes}
            maxLength={MAX_NOTES}
            multiline
            onChangeText={(notes) => change((j) => writeDetails(j, { notes }), { typing: 'notes' })}
          />
          <StageDone stage="intake" />
        </>
      )}
    </StagePage>
  );
}
