import { useEffect } from 'react';
import { StyleSheet, useColorScheme } from 'react-native';
import type { MD3Theme } from 'react-native-paper';
import { configureFonts, MD3DarkTheme, MD3LightTheme, useTheme } from 'react-native-paper';

import type { Strata } from '@/drawing/palette';
import { LIMESTONE, PEAT } from '@/drawing/palette';

/** Fonts as `public/index.html` names them. */
export const FONT = {
  text: 'UnderRidgeText',
  textBold: 'UnderRidgeTextBold',
  mono: 'UnderRidgeMono',
  monoBold: 'UnderRidgeMonoBold',
} as const;

/** Distances between things, px. */
export const SPACE = { hair: 2, tight: 4, gap: 8, room: 12, margin: 16, wide: 24 } as const;

export type Theme = MD3Theme & { readonly strata: Strata };

function themeOf(base: MD3Theme, strata: Strata): Theme {
  const fonts = configureFonts({ config: { fontFamily: FONT.text } });
  return {
    ...base,
    roundness: 2,
    fonts,
    strata,
    colors: {
      ...base.colors,
      primary: strata.slate,
      onPrimary: strata.onSlate,
      primaryContainer: strata.slate,
      onPrimaryContainer: strata.onSlate,
      secondary: strata.slate,
      onSecondary: strata.onSlate,
      secondaryContainer: strata.slate,
      onSecondaryContainer: strata.onSlate,
      background: strata.ground,
      onBackground: strata.ink,
      surface: strata.raised,
      onSurface: strata.ink,
      surfaceVariant: strata.raised,
      onSurfaceVariant: strata.soft,
      outline: strata.soft,
      outlineVariant: strata.line,
      error: strata.stop,
      onError: strata.onSlate,
      elevation: {
        level0: 'transparent',
        level1: strata.raised,
        level2: strata.raised,
        level3: strata.raised,
        level4: strata.raised,
        level5: strata.raised,
      },
    },
  };
}

export const limestone = themeOf(MD3LightTheme, LIMESTONE);
export const peat = themeOf(MD3DarkTheme, PEAT);

/** The theme for a choice; `system` follows the device. */
export function useThemeFor(choice: 'system' | 'limestone' | 'peat'): Theme {
  const scheme = useColorScheme();
  return (choice === 'system' ? scheme === 'dark' : choice === 'peat') ? peat : limestone;
}

/** Parts drawn by the browser follow the theme: scroll bars, page background, address bar. */
export function useBrowserParts({ dark, strata: { ground } }: Theme): void {
  useEffect(() => {
    document.documentElement.style.colorScheme = dark ? 'dark' : 'light';
    document.body.style.backgroundColor = ground;
    for (const bar of document.querySelectorAll('meta[name="theme-color"]'))
      bar.setAttribute('content', ground);
  }, [dark, ground]);
}

/** Our colours within a component. */
export const useStrata = (): Strata => useTheme<Theme>().strata;

const RULED = StyleSheet.create({
  light: { borderTopWidth: 1, borderColor: LIMESTONE.line },
  dark: { borderTopWidth: 1, borderColor: PEAT.line },
});

/** A line above, between one item of a list and the next. */
export const useRuled = () => (useTheme<Theme>().dark ? RULED.dark : RULED.light);
