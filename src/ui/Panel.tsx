import type { ReactNode } from 'react';
import { useState } from 'react';
import { View } from 'react-native';
import { Icon, TouchableRipple } from 'react-native-paper';

import { useStrata } from './theme';
import { Heading, Words } from './Words';

interface Props {
  readonly title: string;
  /** What is inside, in a few words, while it is shut. */
  readonly summary?: string;
  readonly initiallyOpen?: boolean;
  /** Something inside is asked for: it opens, and stays open. */
  readonly asked?: boolean;
  /** Of its heading in the outline of the page. */
  readonly level?: 2 | 3;
  /** Beside the title, whether it is open or shut. */
  readonly aside?: ReactNode;
  readonly children: ReactNode;
}

/** A part of a form that opens and shuts under its heading. */
export function Panel({
  title,
  summary,
  initiallyOpen = false,
  asked = false,
  level = 3,
  aside,
  children,
}: Props) {
  const [open, setOpen] = useState(initiallyOpen);
  if (asked && !open) setOpen(true);
  const strata = useStrata();
  return (
    <View style={{ borderTopWidth: 1, borderColor: strata.line }}>
      <TouchableRipple
        role="button"
        aria-expanded={open}
        aria-label={title}
        onPress={() => setOpen(!open)}
        style={{ minHeight: 52, justifyContent: 'center' }}
      >
        <View style={{ flexDirection: 'row', alignItems: 'center', gap: 8 }}>
          <View style={{ flexGrow: 1, flexShrink: 1, paddingVertical: 6 }}>
            <Heading level={level}>{title}</Heading>
            {summary && !open ? (
              <Words soft size={14}>
                {summary}
              </Words>
            ) : null}
          </View>
          {aside}
          <Icon source={open ? 'chevron-up' : 'chevron-down'} size={24} color={strata.slate} />
        </View>
      </TouchableRipple>
      {open ? (
        <View role="group" aria-label={title} style={{ gap: 12, paddingBottom: 16 }}>
          {children}
        </View>
      ) : null}
    </View>
  );
}
