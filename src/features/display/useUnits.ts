import type { UnitChoice } from '@/core/units/quantity';
import { useAppSelector } from '@/store/store';

/** The builder's units. */
export const useUnits = (): UnitChoice => useAppSelector((state) => state.display.units);
