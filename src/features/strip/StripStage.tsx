import { nanoid } from '@reduxjs/toolkit';

import { MAX_NOTES } from '@/core/job/fields';
import type { Job } from '@/core/job/types';
import { smallParts, stripLines } from '@/core/strip/stripList';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useEditJob } from '@/state/jobs/editJob';
import { PhotoPanel } from '@/features/photos/PhotoPanel';
import { Field } from '@/ui/Field';

import { FoundOrder } from './FoundOrder';
import { withFoundPack } from './packAsFound';
import { PartsRemoved } from './PartsRemoved';
import { StripList } from './StripList';
import { ThisClutch } from './ThisClutch';
import { useStrip } from './useStrip';

/** Strip: disassembly steps, counts, and the plates as found. */
export function StripStage() {
  return (
    <StagePage stage="strip">
      <ThisClutch />
      <Steps />
      <Parts />
      <FoundOrder />
      <Notes />
      <PhotoPanel />
      <StageDone stage="strip" alsoDone={withFoundPack} />
    </StagePage>
  );
}

function Steps() {
  const [steps, setSteps] = useStrip('steps');
  const change = useEditJob();
  const make = (job: Job): Job => ({
    ...job,
    strip: {
      ...job.strip,
      steps: stripLines(job).map((line) => ({ ...line, id: nanoid(8), done: false })),
    },
  });
  return <StripList steps={steps} onChange={setSteps} onMake={() => change(make)} />;
}

function Parts() {
  const [parts, setParts] = useStrip('parts');
  const change = useEditJob();
  const make = (job: Job): Job => ({
    ...job,
    strip: { ...job.strip, parts: smallParts(job).map((part) => ({ ...part, id: nanoid(8) })) },
  });
  return <PartsRemoved parts={parts} onChange={setParts} onMake={() => change(make)} />;
}

function Notes() {
  const [notes, setNotes] = useStrip('notes');
  return (
    <Field
      label="Strip notes"
      value={notes}
      maxLength={MAX_NOTES}
      multiline
      onChangeText={(text) => setNotes(() => text)}
    />
  );
}
