import { SPRING_KINDS } from '@/core/clutch/fitted';
import { hasPack, LAYOUTS } from '@/core/guide/layouts';
import type { SpringType } from '@/core/job/types';
import { chooseSpringType } from '@/core/job/edits/springs';
import { chooseRelease } from '@/core/job/edits/details';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import { Choice } from '@/ui/Choice';

/* Construction of a clutch: asked at Strip and at Specify. */

export const SPRING_OPTIONS = SPRING_KINDS.map(({ id, label = id }) => ({
  value: id as SpringType,
  label,
}));

const RELEASES = [
  { value: 'hydraulic', label: 'Hydraulics' },
  { value: 'cable', label: 'Cable' },
  { value: 'measured', label: 'Dial only' },
] as const;

const SEEN = RELEASES.filter((r) => r.value !== 'measured');
const SEEN_WITH_PEDAL = [
  ...SEEN,
  { value: 'measured', label: 'Shift pedal, no hand lever' },
] as const;

/** Which springs press the pack. */
export function SpringFamily({ label }: { readonly label: string }) {
  const family = useJobPart(({ springs }) => (springs.undecided ? '' : springs.type));
  const edit = useEditJob();
  return (
    <Choice
      label={label}
      value={family}
      options={SPRING_OPTIONS}
      onChange={(type) => {
        if (type !== '') edit((job) => chooseSpringType(job, type));
      }}
    />
  );
}

interface ReleaseProps {
  readonly label: string;
  /** Choices by appearance at the machine, where a dial reading is not a release but a shift pedal is. */
  readonly seen?: boolean;
}

/** How the lever reaches the plate. */
export function ReleaseWay({ label, seen = false }: ReleaseProps) {
  const type = useJobPart(({ release }) => (release.undecided ? '' : release.type));
  const pedal = useJobPart(
    (job) => LAYOUTS[job.machine.layout].shoes && hasPack(job.machine.layout),
  );
  const edit = useEditJob();
  return (
    <Choice
      label={label}
      value={type}
      options={seen ? (pedal ? SEEN_WITH_PEDAL : SEEN) : RELEASES}
      onChange={(next) => {
        if (next !== '') edit((job) => chooseRelease(job, next));
      }}
    />
  );
}
