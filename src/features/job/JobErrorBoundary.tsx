import type { ReactNode } from 'react';
import { use } from 'react';

import { useHistory } from '@/state/jobs/useHistory';
import { useJobId } from '@/state/jobs/useJob';
import { download } from '@/files/share';
import { useAppSelector, useAppStore } from '@/state/store';
import { Action } from '@/ui/Action';
import { ErrorBoundary } from '@/ui/ErrorBoundary';

import { RollingRidge } from './StagePage';

interface Props {
  readonly what: string;
  /** Key of the screen: another one starts fresh. */
  readonly view?: string;
  readonly small?: boolean;
  readonly children: ReactNode;
}

/** A part of a job's screen that may fail alone; the data can be saved and the last edit undone. */
export function JobErrorBoundary({ what, view, small, children }: Props) {
  const id = useJobId();
  const job = useAppSelector((state) => state.jobs.entities[id]);
  return (
    <ErrorBoundary what={what} small={small} resetKeys={[view, job]} ways={<Ways />}>
      {children}
    </ErrorBoundary>
  );
}

function Ways() {
  const id = useJobId();
  const store = useAppStore();
  const { undo } = useHistory();
  // A stage that failed has no page to carry the way to the others.
  const ridge = use(RollingRidge);
  const save = () => {
    const { entities, drafts } = store.getState().jobs;
    // As it is in memory: a job that can't be shown is perhaps none that our own files would take.
    download(`job-${id}.json`, JSON.stringify({ job: entities[id], drafts: drafts[id] }, null, 2));
  };
  return (
    <>
      {ridge}
      {undo ? (
        <Action icon="undo" onPress={undo}>
          Undo last change
        </Action>
      ) : null}
      <Action icon="download" onPress={save}>
        Save job data
      </Action>
    </>
  );
}
