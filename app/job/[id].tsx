import { useLocalSearchParams } from 'expo-router';

import { later } from '@/features/later';

const JobScreen = later('JobScreen');

export default function JobRoute() {
  const { id } = useLocalSearchParams<'/job/[id]'>();
  return <JobScreen key={id} id={id} />;
}
