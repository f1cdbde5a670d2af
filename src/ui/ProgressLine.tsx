import { View } from 'react-native';

import { useStrata } from './theme';
import { Words } from './Words';

/** How far a run has come, as a line and in words. */
export function ProgressLine({ share, label }: { readonly share: number; readonly label: string }) {
  const strata = useStrata();
  const percent = Math.round(100 * Math.min(1, Math.max(0, share)));
  return (
    <View
      role="progressbar"
      aria-label={label}
      aria-valuemin={0}
      aria-valuemax={100}
      aria-valuenow={percent}
      style={{ gap: 4 }}
    >
      <View style={{ height: 10, borderRadius: 5, backgroundColor: strata.line }}>
        <View
          style={{
            height: 10,
            borderRadius: 5,
            width: `${percent}%`,
            backgroundColor: strata.slate,
          }}
        />
      </View>
      <Words soft size={14}>
        {label}: {String(percent)} %
      </Words>
    </View>
  );
}
