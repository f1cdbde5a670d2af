import { useEditJob } from '@/state/jobs/editJob';
import { chooseAssist } from '@/core/job/edits/details';
import { EntryField } from '@/features/entry/EntryField';
import { useJob } from '@/state/jobs/useJob';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';

const TYPES = [
  { value: 'none', label: 'None' },
  { value: 'levers', label: 'Weighted levers' },
  { value: 'balls', label: 'Balls on a ramp' },
] as const;

/** Weights that add clamp with rpm. */
export function AssistFields() {
  const { assist } = useJob();
  const edit = useEditJob();
  return (
    <>
      <Choice
        label="Centrifugal assist"
        value={assist.type}
        options={TYPES}
        onChange={(type) => edit((job) => chooseAssist(job, type))}
      />
      {assist.type === 'none' ? null : (
        <FieldGrid>
          <EntryField path="assist.count" />
          <EntryField path="assist.mass" />
          <EntryField path="assist.radius" />
          <EntryField path={assist.type === 'levers' ? 'assist.leverRatio' : 'assist.rampAngle'} />
        </FieldGrid>
      )}
    </>
  );
}
