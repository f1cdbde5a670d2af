import type { ReactNode } from 'react';
import { createContext, useContext } from 'react';

import type { UnitChoice } from '@/core/units/format';
import { useAppSelector } from '@/state/store';

const UnitsContext = createContext<UnitChoice>({});

/** Hands the units down from one subscription: nearly everything shows units, and each of its own costs at every key. */
export function UnitsProvider({ children }: { readonly children: ReactNode }) {
  return (
    <UnitsContext value={useAppSelector((state) => state.display.units)}>{children}</UnitsContext>
  );
}

/** The builder's units. */
export const useUnits = (): UnitChoice => useContext(UnitsContext);
