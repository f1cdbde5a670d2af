import { useWindowDimensions } from 'react-native';

/** Width from which stages, work and section are side by side. */
export const WIDE = 1000;

/** Height below which stacking does not fit: a phone in landscape, or with a keyboard. */
const LOW = 480;
/** Height below which a secondary drawing makes room for the work. */
const SHORT = 640;
/** Height below which large keys shrink, so as not to cover their display. */
const SMALL = 680;
/** Width from which stacked content is placed side by side. */
export const LANDSCAPE = 560;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}

export function useLowScreen(): boolean {
  return useWindowDimensions().height < LOW;
}

export function useShortScreen(): boolean {
  return useWindowDimensions().height < SHORT;
}

export function useSmallScreen(): boolean {
  return useWindowDimensions().height < SMALL;
}

/** Low, with room at the side: a phone on its side. */
export function useLandscape(): boolean {
  const { width, height } = useWindowDimensions();
  return height < LOW && width >= LANDSCAPE;
}
