import { View } from 'react-native';

import { useAppSelector } from '@/state/store';
import PaperIcon from '@/ui/icons/PaperIcon';
import { useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { Words } from '@/ui/Words';

/** On a phone it overlaps the units key and takes no room, so that the name beside it is never cut. */
const MARK = 16;
const OVER = { position: 'absolute', left: -MARK / 4, top: -MARK / 2 } as const;

/** Whether entries are saved; the notice over the screen gives the reason if not. */
export function SaveMark() {
  const { status } = useAppSelector((state) => state.storage);
  const strata = useStrata();
  const wide = useWide();
  return (
    <View aria-live="polite" testID="save-mark" {...{ dataSet: { status } }}>
      {status === 'failed' || status === 'memory' ? (
        <Words bold size={14} style={{ color: strata.stop }}>
          not saved
        </Words>
      ) : status === 'saving' ? (
        wide ? (
          <Words soft size={13}>
            saving
          </Words>
        ) : (
          <View role="img" aria-label="saving" style={OVER}>
            <PaperIcon name="tray-arrow-down" size={MARK} color={strata.soft} />
          </View>
        )
      ) : null}
    </View>
  );
}
