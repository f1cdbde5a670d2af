import { refusalRead } from '@/state/jobs/editing';
import { useJobId } from '@/state/jobs/useJob';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { NoticeBar } from '@/ui/NoticeBar';

/** Reports an edit that was refused because a list is full. */
export function FullList() {
  const id = useJobId();
  const full = useAppSelector(({ jobs }) => (jobs.full?.jobId === id ? jobs.full : undefined));
  const dispatch = useAppDispatch();
  if (!full) return null;
  return (
    <NoticeBar
      label="List full"
      text={`Nothing changed: this list takes at most ${full.most} entries.`}
    >
      <Action icon="close" onPress={() => dispatch(refusalRead())}>
        Close
      </Action>
    </NoticeBar>
  );
}
