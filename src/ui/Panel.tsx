import type { ReactNode } from 'react';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Icon, List } from 'react-native-paper';

import { useStrata } from './theme';
import { useAria } from './useAria';
import { Heading } from './Words';

interface Props {
  readonly title: string;
  /** Summary of the content while closed. */
  readonly summary?: string | undefined;
  readonly initiallyOpen?: boolean;
  /** Content is requested: opens, and stays open. */
  readonly asked?: boolean;
  /** Of its heading in the outline of the page. */
  readonly level?: 2 | 3;
  /** Beside the title, whether it is open or shut. */
  readonly aside?: ReactNode | undefined;
  readonly children: ReactNode;
}

/** A part of a form that opens and shuts under its heading: Paper's accordion with a heading and its state. */
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
  const ref = useAria('button', { 'aria-expanded': open });
  return (
    <View ref={ref} style={[styles.panel, { borderColor: strata.line }]}>
      <List.Accordion
        accessibilityLabel={title}
        title={<Heading level={level}>{title}</Heading>}
        titleNumberOfLines={3}
        description={summary && !open ? summary : undefined}
        descriptionNumberOfLines={3}
        expanded={open}
        onPress={() => setOpen(!open)}
        right={() => (
          <View style={styles.right}>
            {aside}
            <Icon source={open ? 'chevron-up' : 'chevron-down'} size={24} color={strata.slate} />
          </View>
        )}
        style={styles.head}
        contentStyle={styles.words}
      >
        <View role="group" aria-label={title} style={styles.inside}>
          {children}
        </View>
      </List.Accordion>
    </View>
  );
}

const styles = StyleSheet.create({
  panel: { borderTopWidth: 1 },
  head: { minHeight: 52, paddingVertical: 0, paddingRight: 0, justifyContent: 'center' },
  words: { paddingLeft: 0 },
  right: { flexDirection: 'row', alignItems: 'center', gap: 8 },
  inside: { gap: 12, paddingBottom: 16 },
});
