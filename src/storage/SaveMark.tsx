import { View } from 'react-native';

import { useAppSelector } from '@/store/store';
import PaperIcon from '@/ui/icons/PaperIcon';
import { useStrata } from '@/ui/theme';
import { useLater } from '@/ui/useLater';
import { useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';

/** Held free on a phone, so that the name beside it is not cut each time something is written. */
const SLOT = 18;

/** Whether what was typed is stored; why it is not stands in the notice over the screen. */
export function SaveMark() {
  const { status } = useAppSelector((state) => state.storage);
  const strata = useStrata();
  // The word may follow a frame after what answers the hand.
  const said = useLater(status, true);
  const wide = useWide();
  return (
    <View
      aria-live="polite"
      testID="save-mark"
      style={{ minWidth: SLOT }}
      {...{ dataSet: { status } }}
    >
      {said === 'failed' || said === 'memory' ? (
        <Words bold size={14} style={{ color: strata.stop }}>
          not stored
        </Words>
      ) : said === 'saving' ? (
        wide ? (
          <Words soft size={13}>
            saving
          </Words>
        ) : (
          <View role="img" aria-label="saving">
            <PaperIcon name="tray-arrow-down" size={SLOT} color={strata.soft} />
          </View>
        )
      ) : null}
    </View>
  );
}
