import { View } from 'react-native';

import { useAppSelector } from '@/store/store';
import { useStrata } from '@/ui/theme';
import { useLater } from '@/ui/useLater';
import { Words } from '@/ui/Words';

/** Whether what was typed is stored; why it is not stands in the notice over the screen. */
export function SaveMark() {
  const { status } = useAppSelector((state) => state.storage);
  const strata = useStrata();
  // The word may follow a frame after what answers the hand.
  const said = useLater(status, true);
  return (
    <View aria-live="polite" testID="save-mark" {...{ dataSet: { status } }}>
      {said === 'failed' || said === 'memory' ? (
        <Words bold size={14} style={{ color: strata.stop }}>
          not stored
        </Words>
      ) : said === 'saving' ? (
        <Words soft size={13}>
          saving
        </Words>
      ) : null}
    </View>
  );
}
