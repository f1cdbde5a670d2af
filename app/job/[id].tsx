import { useLocalSearchParams } from 'expo-router';

import { JobScreen } from '@/features/job/JobScreen';

export default function JobRoute() {
  const { id } = useLocalSearchParams<'/job/[id]'>();
  return <JobScreen key={id} id={id} />;
}
