import type { RefObject } from 'react';
import { useEffect, useState, useSyncExternalStore } from 'react';
import type { View } from 'react-native';

import type { Cutaway } from '@/core/takeoff/cutaway';
import { useStrata } from '@/ui/theme';

import { Painter } from './Painter';
import type { RideReading, RideStatus } from './RideLoop';
import { RideLoop } from './RideLoop';
import type { Scene } from './scene';

/** Whether the device asks for reduced motion. */
const wantsCalm = (): boolean =>
  typeof matchMedia === 'function' && matchMedia('(prefers-reduced-motion: reduce)').matches;

/** The machine of a cutaway, ridden while its screen is there; it waits to be started where the device keeps things still. */
export function useRide(cutaway: Cutaway, scene: Scene, frame: RefObject<View | null>): RideLoop {
  const strata = useStrata();
  const [ride] = useState(() => new RideLoop(cutaway, wantsCalm()));
  useEffect(() => {
    if (!wantsCalm()) ride.run();
    return () => ride.pause();
  }, [ride]);
  // The drawing was recreated for another size or theme.
  useEffect(() => {
    const root: unknown = frame.current;
    const [section, front] = root instanceof Element ? [...root.querySelectorAll('canvas')] : [];
    ride.draws(section && new Painter(section, front ?? null, scene, strata, cutaway.shoes));
    return () => ride.draws(undefined);
  }, [ride, scene, frame, strata, cutaway.shoes]);
  return ride;
}

export const useReading = (ride: RideLoop): RideReading =>
  useSyncExternalStore(ride.subscribe, ride.reading, ride.reading);

export const useStatus = (ride: RideLoop): RideStatus =>
  useSyncExternalStore(ride.subscribe, ride.status, ride.status);
