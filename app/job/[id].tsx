import { useLocalSearchParams } from 'expo-router';

import { onWorkbench } from '@/features/onWorkbench';

const JobScreen = onWorkbench((workbench) => workbench.JobScreen);

export default function JobRoute() {
  const { id } = useLocalSearchParams<{ id: string }>();
  return <JobScreen key={id} id={id} />;
}
