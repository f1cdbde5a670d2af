import { useLocalSearchParams } from 'expo-router';

import { WorkingHost } from '@/features/figures/WorkingPanel';
import { JobOfPage } from '@/features/jobs/JobOfPage';

import { CutawayView } from './CutawayView';

/** The clutch of a job in a moving section, controlled by two levers and computed by the core. */
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
