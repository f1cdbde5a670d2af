import { useLocalSearchParams } from 'expo-router';

import { WorkingHost } from '@/features/figures/WorkingPanel';
import { JobOfPage } from '@/features/jobs/JobOfPage';

import { CutawayView } from './CutawayView';

/** A job's own clutch in section, moving: two thumbs work it, and what one sees is what the core computes. */
export function CutawayScreen() {
  const { job } = useLocalSearchParams<{ job?: string }>();
  return (
    <JobOfPage id={job ?? ''}>
      <WorkingHost>
        <CutawayView />
      </WorkingHost>
    </JobOfPage>
  );
}
