import type { Job } from '@/core/job/types';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';

type Strip = Job['strip'];

/** A part of Strip and its edit; each part redraws alone. */
export function useStrip<K extends keyof Strip>(
  key: K,
): [Strip[K], (next: (part: Strip[K]) => Strip[K]) => void] {
  const change = useEditJob();
  const part = useJobPart((job) => job.strip[key]);
  const set = (next: (part: Strip[K]) => Strip[K]) =>
    change((j) => ({ ...j, strip: { ...j.strip, [key]: next(j.strip[key]) } }));
  return [part, set];
}
