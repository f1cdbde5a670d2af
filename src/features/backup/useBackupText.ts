import { selectRows } from '@/state/jobs/rows';
import { useAppSelector } from '@/state/store';
import { momentText } from '@/ui/dates';
import { countOf } from '@/core/text/countOf';

/** Jobs that changed since the last backup. */
const changedSince = (jobs: readonly { readonly updatedAt: string }[], since: string): number =>
  jobs.filter((job) => job.updatedAt > since).length;

/** The last backup and the changes since, in words. */
export function useBackupText(): { readonly text: string; readonly changed: number } {
  const { since, made } = useAppSelector((state) => state.backup.last);
  const jobs = useAppSelector(selectRows);
  const changed = changedSince(jobs, since);
  const last = made ? `Last backup ${momentText(since)}.` : 'No backup yet.';
  return {
    changed,
    text: `${last} ${changed === 0 ? 'No job' : countOf(changed, 'job')} changed since${
      made ? '' : ' the first visit'
    }.`,
  };
}
