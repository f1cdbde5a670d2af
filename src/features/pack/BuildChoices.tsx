import { chooseSpringType } from '@/core/job/edits/springs';
import { chooseRelease } from '@/core/job/edits/details';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { Choice } from '@/ui/Choice';

/* What a clutch is made like: asked where it is first seen, and where its measures are entered. */

const FAMILIES = [
  { value: 'coil', label: 'Coil springs under bolts' },
  { value: 'diaphragm', label: 'Diaphragm' },
  { value: 'loose', label: 'Loose, between two plates' },
] as const;

const RELEASES = [
  { value: 'hydraulic', label: 'Hydraulics' },
  { value: 'cable', label: 'Cable' },
  { value: 'measured', label: 'A dial reading' },
] as const;

const SEEN = RELEASES.filter((r) => r.value !== 'measured');
const SEEN_WITH_PEDAL = [
  ...SEEN,
  { value: 'measured', label: 'The shift pedal, no hand lever' },
] as const;

const EXPANDING = [
  { value: 'no', label: 'None' },
  { value: 'yes', label: 'Fitted' },
] as const;

/** Which springs press the pack. */
export function SpringFamily({ label }: { readonly label: string }) {
  const family = useJobPart((job) => job.springs.type);
  const edit = useEditJob();
  return (
    <Choice
      label={label}
      value={family}
      options={FAMILIES}
      onChange={(type) => edit((job) => chooseSpringType(job, type))}
    />
  );
}

interface ReleaseProps {
  readonly label: string;
  /** By what one sees at the machine, where a dial reading is no way to release but a shift pedal is. */
  readonly seen?: boolean;
}

/** How the lever reaches the plate. */
export function ReleaseWay({ label, seen = false }: ReleaseProps) {
  const type = useJobPart((job) => job.release.type);
  const pedal = useJobPart((job) => job.machine.layout === 'startAndPack');
  const edit = useEditJob();
  return (
    <Choice
      label={label}
      value={type}
      options={seen ? (pedal ? SEEN_WITH_PEDAL : SEEN) : RELEASES}
      onChange={(next) => edit((job) => chooseRelease(job, next))}
    />
  );
}

/** Whether an expanding disc stands in place of the outermost friction disc. */
export function ExpandingFitted({ label }: { readonly label: string }) {
  const fitted = useJobPart((job) => job.expanding.fitted);
  const change = useEditJob();
  return (
    <Choice
      label={label}
      value={fitted ? 'yes' : 'no'}
      options={EXPANDING}
      onChange={(v) =>
        change((j) => ({ ...j, expanding: { ...j.expanding, fitted: v === 'yes' } }))
      }
    />
  );
}
