import type { ReactNode } from 'react';
import { Pressable, View } from 'react-native';

import { FONT, useStrata } from './theme';
import { Words } from './Words';

interface Props {
  readonly role: 'radio' | 'checkbox';
  readonly label: string;
  readonly on: boolean;
  readonly onPress: () => void;
  /** Before the words. */
  readonly mark?: ReactNode;
}

/** One of several things to choose, big enough for a glove. */
export function Chip({ role, label, on, onPress, mark }: Props) {
  const strata = useStrata();
  return (
    <Pressable
      role={role}
      aria-checked={on}
      aria-label={label}
      onPress={onPress}
      style={{
        minHeight: 48,
        minWidth: 48,
        maxWidth: '100%',
        paddingHorizontal: 12,
        flexDirection: 'row',
        gap: 6,
        justifyContent: 'center',
        alignItems: 'center',
        borderRadius: 6,
        borderWidth: on ? 2 : 1,
        borderColor: on ? strata.slate : strata.line,
        backgroundColor: on ? strata.raised : 'transparent',
      }}
    >
      {mark}
      <Words
        size={15}
        style={{ flexShrink: 1, paddingVertical: 4, fontFamily: on ? FONT.textBold : FONT.text }}
      >
        {label}
      </Words>
    </Pressable>
  );
}

interface GroupProps {
  readonly role: 'radiogroup' | 'group';
  readonly label: string;
  /** The label is read out but not shown. */
  readonly bare?: boolean;
  readonly children: ReactNode;
}

/** Chips side by side under their label. */
export function ChipGroup({ role, label, bare = false, children }: GroupProps) {
  return (
    <View style={{ gap: 4 }}>
      {bare ? null : (
        <Words soft size={15}>
          {label}
        </Words>
      )}
      <View
        role={role}
        aria-label={label}
        style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 6 }}
      >
        {children}
      </View>
    </View>
  );
}
