import type { Job } from '@/core/job/types';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJobPart } from '@/features/jobs/useJob';

type Strip = Job['strip'];

/** What a part of Strip is, and how it is changed: each is drawn again with its own part alone. */
export function useStrip<K extends keyof Strip>(
  key: K,
): [Strip[K], (next: (part: Strip[K]) => Strip[K]) => void] {
  const change = useChangeJob();
  const part = useJobPart((job) => job.strip[key]);
  const set = (next: (part: Strip[K]) => Strip[K]) =>
    change((j) => ({ ...j, strip: { ...j.strip, [key]: next(j.strip[key]) } }));
  return [part, set];
}
