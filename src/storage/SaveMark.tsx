import { View } from 'react-native';

import { useAppSelector } from '@/store/store';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

/** Whether what was typed is stored; says so loudly only when it is not. */
export function SaveMark() {
  const { status, reason } = useAppSelector((state) => state.storage);
  const strata = useStrata();
  return (
    <View aria-live="polite" testID="save-mark" {...{ dataSet: { status } }}>
      {status === 'failed' ? (
        <Words bold size={14} style={{ color: strata.stop }}>
          Not stored: {reason}. Export the job.
        </Words>
      ) : status === 'saving' ? (
        <Words soft size={13}>
          saving
        </Words>
      ) : null}
    </View>
  );
}
