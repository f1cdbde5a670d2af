import { useLocalSearchParams } from 'expo-router';

import { Page } from '@/features/page/Page';

import { ReadCode } from './ReadCode';
import { ShowCode } from './ShowCode';

/** A pack handed on as a code: shown for one job, or read from another device. */
export function CodeScreen() {
  const { job } = useLocalSearchParams<{ job?: string }>();
  return (
    <Page title={job ? 'Show pack code' : 'Scan pack code'}>
      {job ? <ShowCode jobId={job} /> : <ReadCode />}
    </Page>
  );
}
