import type { ReactNode } from 'react';
import { View } from 'react-native';

import { useAppSelector } from '@/state/store';
import { ProgressLine } from '@/ui/ProgressLine';

import { selectReadShare } from '@/state/jobs/rows';

/** Content that needs all jobs: shows the progress until they are read. */
export function WhenRead({ children }: { readonly children: ReactNode }) {
  const share = useAppSelector(selectReadShare);
  if (share === 1) return children;
  return (
    <View role="status">
      <ProgressLine share={share} label="Jobs read" />
    </View>
  );
}
