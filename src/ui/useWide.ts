import { useWindowDimensions } from 'react-native';

/** From here on stages, work and section stand side by side. */
const WIDE = 1000;

/** Below this a phone lies on its side: there is room beside each other, none one below the other. */
const LOW = 480;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}

export function useLow(): boolean {
  return useWindowDimensions().height < LOW;
}
