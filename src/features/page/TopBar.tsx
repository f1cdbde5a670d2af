import type { Href } from 'expo-router';
import { router } from 'expo-router';
import Head from 'expo-router/head';
import type { ReactNode } from 'react';
import { useEffect, useRef } from 'react';
import type { Text } from 'react-native';
import { StyleSheet, useWindowDimensions, View } from 'react-native';
import { Appbar } from 'react-native-paper';

import { DisplayMenu } from '@/features/display/DisplayMenu';
import { SaveMark } from '@/features/storage/SaveMark';

import { IconKey } from '@/ui/IconKey';
import { useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { Digits, Heading, Words } from '@/ui/Words';

/** Where the arrow of a page leads. */
export interface Back {
  readonly to: Href;
  readonly label: string;
}

const TO_JOBS: Back = { to: '/', label: 'Back to the jobs' };

/** A longer name is set smaller, so that it takes few lines. */
const LONG = 22;
/** A screen narrower than that, as with the largest text, sets every name smaller. */
const NARROW = 300;

interface Props {
  readonly title: string;
  readonly code?: string;
  /** The way back: to the jobs, or to where one came from. */
  readonly back?: boolean | Back;
  readonly end?: ReactNode;
}

/** Where one is, the way back, whether all is saved, and the units. */
export function TopBar({ title, code, back = false, end }: Props) {
  const strata = useStrata();
  const wide = useWide();
  const { width } = useWindowDimensions();
  const way = back === true ? TO_JOBS : back;
  const heading = useRef<Text>(null);
  // A new screen begins at its heading: without this the focus falls to the page.
  useEffect(() => {
    if (document.activeElement === document.body)
      (heading.current as unknown as HTMLElement | null)?.focus({ preventScroll: true });
  }, []);
  return (
    <Appbar
      {...{ role: 'banner' }}
      mode="small"
      style={[
        styles.bar,
        { backgroundColor: wide ? strata.raised : strata.ground, borderColor: strata.line },
        wide && styles.wide,
      ]}
    >
      <Head>
        <title>{[code, title, 'Under Ridge'].filter(Boolean).join(' · ')}</title>
      </Head>
      {way ? (
        <IconKey icon="arrow-left" label={way.label} onPress={() => router.navigate(way.to)} />
      ) : (
        <View style={wide ? undefined : styles.edge} />
      )}
      {wide && way ? (
        <Words bold style={[styles.name, { color: strata.slate }]}>
          Under Ridge
        </Words>
      ) : null}
      <View style={styles.title}>
        <Heading
          ref={heading}
          level={1}
          numberOfLines={3}
          style={[styles.heading, (title.length > LONG || width < NARROW) && styles.long]}
        >
          {title}
        </Heading>
        {code ? (
          // Neither is cut: the number goes below a name that fills the line.
          <Digits soft size={15} style={styles.code}>
            {code}
          </Digits>
        ) : null}
      </View>
      <SaveMark />
      <DisplayMenu />
      {end}
    </Appbar>
  );
}

/** A name without a space goes on in the next line too. */
const WRAPS = { overflowWrap: 'anywhere', minWidth: 0 } as object;

const styles = StyleSheet.create({
  bar: { minHeight: 52, height: 'auto', paddingHorizontal: 4, paddingVertical: 4, gap: 6 },
  wide: { paddingHorizontal: 16, borderBottomWidth: 1 },
  edge: { width: 10 },
  name: { marginRight: 16 },
  title: {
    flexGrow: 1,
    flexShrink: 1,
    flexDirection: 'row',
    flexWrap: 'wrap',
    alignItems: 'baseline',
    columnGap: 10,
    minWidth: 0,
  },
  heading: { flexShrink: 1, maxWidth: '100%', ...WRAPS },
  long: { fontSize: 15, lineHeight: 19 },
  code: { flexShrink: 0, maxWidth: '100%', ...WRAPS },
});
