import { useWindowDimensions } from 'react-native';

/** From here on stages, work and section stand side by side. */
export const WIDE = 1000;

/** Below this there is no room one below the other: a phone lies on its side, or a keyboard covers half of it. */
const LOW = 480;
/** Below this a drawing that only helps must leave its room to what is worked on. */
const SHORT = 640;
/** Below this big keys must grow smaller, or they cover what is typed with them. */
const SMALL = 680;
/** From here on there is room beside each other for what else stands below each other. */
export const LYING = 560;

export function useWide(): boolean {
  return useWindowDimensions().width >= WIDE;
}

/** Room for a key's whole name beside a title and another key. */
export function useRoomy(): boolean {
  return useWindowDimensions().width >= LYING;
}

export function useLow(): boolean {
  return useWindowDimensions().height < LOW;
}

export function useShort(): boolean {
  return useWindowDimensions().height < SHORT;
}

export function useSmall(): boolean {
  return useWindowDimensions().height < SMALL;
}

/** Low, with room at the side: a phone on its side. */
export function useLying(): boolean {
  const { width, height } = useWindowDimensions();
  return height < LOW && width >= LYING;
}
