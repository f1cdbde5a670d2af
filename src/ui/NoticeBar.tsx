import type { ReactNode } from 'react';
import { View } from 'react-native';

import { useStrata } from './theme';
import { Words } from './Words';

interface Props {
  readonly text: string;
  readonly label?: string;
  /** What can be done about it. */
  readonly children: ReactNode;
}

/** Something to know, with its keys beside it; stays until it is used or put away. */
export function NoticeBar({ text, label, children }: Props) {
  const strata = useStrata();
  return (
    <View
      role="status"
      aria-label={label}
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        flexWrap: 'wrap',
        gap: 8,
        padding: 10,
        borderWidth: 1,
        borderColor: strata.line,
        borderRadius: 6,
        backgroundColor: strata.raised,
      }}
    >
      <Words style={{ flexGrow: 1, flexShrink: 1, flexBasis: 240 }}>{text}</Words>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>{children}</View>
    </View>
  );
}
