import { EntryField } from '@/features/entry/EntryField';
import { jobActions } from '@/features/jobs/jobsSlice';
import { useJob } from '@/features/jobs/useJob';
import { useAppDispatch } from '@/store/store';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';

const TYPES = [
  { value: 'none', label: 'None' },
  { value: 'levers', label: 'Weighted levers' },
  { value: 'balls', label: 'Balls on a ramp' },
] as const;

/** Weights that add clamp with rpm. */
export function AssistFields() {
  const { id: jobId, assist } = useJob();
  const dispatch = useAppDispatch();
  return (
    <>
      <Choice
        label="Centrifugal assist"
        value={assist.type}
        options={TYPES}
        onChange={(type) => dispatch(jobActions.assistTypeChosen({ jobId, type }))}
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
