import { nanoid } from '@reduxjs/toolkit';

import { MAX_NOTES } from '@/core/job/fields';
import { hasPack } from '@/core/guide/layouts';
import type { Job } from '@/core/job/types';
import { cameAsNow, springsAsCame } from '@/core/strip/asCame';
import { smallParts, stripLines } from '@/core/strip/stripList';
import { StageDone } from '@/features/job/StageDone';
import { StagePage } from '@/features/job/StagePage';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
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
  const pack = useJobPart((job) => hasPack(job.machine.layout));
  return (
    <StagePage stage="strip">
      <ThisClutch />
      <Steps />
      <Parts />
      {pack ? <FoundOrder /> : null}
      <Notes />
      <PhotoPanel />
      <StageDone stage="strip" alsoDone={withFoundPack} />
    </StagePage>
  );
}

/** Why the lists can't be made yet: they follow from the answers above them. */
const useUnanswered = (): string | undefined =>
  useJobPart((job) =>
    hasPack(job.machine.layout) && (springsAsCame(job) === undefined || job.release.undecided)
      ? 'Say above which springs and which release it has.'
      : undefined,
  );

function Steps() {
  const [steps, setSteps] = useStrip('steps');
  const change = useEditJob();
  const make = (job: Job): Job => ({
    ...job,
    strip: {
      ...job.strip,
      came: cameAsNow(job),
      steps: stripLines(job).map((line) => ({ ...line, id: nanoid(8), done: false })),
    },
  });
  const unanswered = useUnanswered();
  return (
    <StripList steps={steps} blocked={unanswered} onChange={setSteps} onMake={() => change(make)} />
  );
}

function Parts() {
  const [parts, setParts] = useStrip('parts');
  const change = useEditJob();
  const make = (job: Job): Job => ({
    ...job,
    strip: {
      ...job.strip,
      came: cameAsNow(job),
      parts: smallParts(job).map((part) => ({ ...part, id: nanoid(8) })),
    },
  });
  const unanswered = useUnanswered();
  return (
    <PartsRemoved
      parts={parts}
      blocked={unanswered}
      onChange={setParts}
      onMake={() => change(make)}
    />
  );
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
