import { useWindowDimensions } from 'react-native';

/** From here on stages, work and section stand side by side. */
const WIDE = 1000;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}
