import { useColorScheme } from 'react-native';
import type { MD3Theme } from 'react-native-paper';
import { configureFonts, MD3DarkTheme, MD3LightTheme, useTheme } from 'react-native-paper';

/** Fonts as registered in `fonts.ts`. */
export const FONT = {
  text: 'UnderRidgeText',
  textBold: 'UnderRidgeTextBold',
  mono: 'UnderRidgeMono',
  monoBold: 'UnderRidgeMonoBold',
} as const;

/** Our own colours beside Paper's roles; the one source of both. */
interface Strata {
  readonly ground: string;
  readonly raised: string;
  readonly ink: string;
  readonly soft: string;
  readonly line: string;
  readonly slate: string;
  readonly onSlate: string;
  readonly ochre: string;
  readonly ochreDeep: string;
  readonly groove: string;
  readonly steel: string;
  readonly floor: string;
  readonly good: string;
  readonly watch: string;
  readonly stop: string;
}

const LIMESTONE: Strata = {
  ground: '#F4F1EA',
  raised: '#FFFDF8',
  ink: '#211E1A',
  soft: '#5B554C',
  line: '#CFC7B8',
  slate: '#2F4858',
  onSlate: '#FFFDF8',
  ochre: '#B7791F',
  ochreDeep: '#7A5628',
  groove: '#E0A94F',
  steel: '#8A949B',
  floor: '#50626E',
  good: '#3F6B3A',
  watch: '#8A6400',
  stop: '#A3271F',
};

const PEAT: Strata = {
  ground: '#191714',
  raised: '#24211D',
  ink: '#EFEAE0',
  soft: '#B5AC9D',
  line: '#4A443B',
  slate: '#9DBBCB',
  onSlate: '#191714',
  ochre: '#D9A441',
  ochreDeep: '#6B4B20',
  groove: '#F0C878',
  steel: '#7C868D',
  floor: '#8AA3B1',
  good: '#8FBF7F',
  watch: '#E5B93C',
  stop: '#F08A7E',
};

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

/** Our colours within a component. */
export const useStrata = (): Strata => useTheme<Theme>().strata;
