import type { Href } from 'expo-router';
import { router } from 'expo-router';
import Head from 'expo-router/head';
import type { ReactNode } from 'react';
import { useWindowDimensions, View } from 'react-native';

import { DisplayMenu } from '@/features/display/DisplayMenu';
import { SaveMark } from '@/storage/SaveMark';

import { IconKey } from './IconKey';
import { useStrata } from './theme';
import { useWide } from './useWide';
import { Digits, Heading, Words } from './Words';

/** Where the arrow of a page leads. */
export interface Back {
  readonly to: Href;
  readonly label: string;
}

const TO_JOBS: Back = { to: '/', label: 'Back to the jobs' };

const NARROW = 360;

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
  // In large letters the name is what tells jobs apart.
  const narrow = useWindowDimensions().width < NARROW;
  const way = back === true ? TO_JOBS : back;
  return (
    <View
      role="banner"
      style={{
        flexDirection: 'row',
        alignItems: 'center',
        minHeight: 52,
        paddingHorizontal: wide ? 16 : 4,
        gap: 6,
        ...(wide
          ? { backgroundColor: strata.raised, borderBottomWidth: 1, borderColor: strata.line }
          : {}),
      }}
    >
      <Head>
        <title>{[code, title, 'Under Ridge'].filter(Boolean).join(' · ')}</title>
      </Head>
      {way ? (
        <IconKey icon="arrow-left" label={way.label} onPress={() => router.navigate(way.to)} />
      ) : (
        <View style={{ width: wide ? 0 : 10 }} />
      )}
      {wide && way ? (
        <Words bold style={{ color: strata.slate, marginRight: 16 }}>
          Under Ridge
        </Words>
      ) : null}
      <View
        style={{
          flexGrow: 1,
          flexShrink: 1,
          flexDirection: 'row',
          alignItems: 'baseline',
          gap: 10,
          minWidth: 0,
        }}
      >
        <Heading level={1} numberOfLines={1} style={{ flexShrink: 1 }}>
          {title}
        </Heading>
        {code && !narrow ? (
          // Half a number tells nothing: the name gives way.
          <Digits soft size={15} numberOfLines={1} style={{ flexShrink: 0, maxWidth: '50%' }}>
            {code}
          </Digits>
        ) : null}
      </View>
      <SaveMark />
      <DisplayMenu />
      {end}
    </View>
  );
}
