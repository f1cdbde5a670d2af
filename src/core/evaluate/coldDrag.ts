import { freeFrom } from '@/core/drag/drag';
import type { OilGrade } from '@/core/drag/viscosity';
import { OIL_GRADES } from '@/core/drag/viscosity';
import { DomainError } from '@/core/errors';
import type { Job } from '@/core/job/types';
import type { Celsius, Mm, NewtonMetre } from '@/core/units/quantity';

import { workOut } from './evaluate';
import type { DragParts } from './figures/dragFigures';
import { dragParts, packDrag } from './figures/dragFigures';
import { liftAtPlate } from './figures/releaseFigures';

/** What a change would make of the drag in cold oil. */
export interface DragChange {
  readonly id: 'present' | 'lift' | 'faces' | OilGrade;
  readonly name: string;
  readonly drag: NewtonMetre;
  /** Undefined where it does not run free when hot either. */
  readonly freeFrom: Celsius | undefined;
}

/** The drag of a pack over the temperature of its oil. */
export interface ColdDrag {
  readonly coldest: Celsius;
  readonly limit: NewtonMetre;
  readonly curve: readonly { readonly celsius: Celsius; readonly drag: NewtonMetre }[];
  /** The present pack first, then more lift, fewer faces, and the other oils. */
  readonly changes: readonly DragChange[];
}

/** More lift that is looked at, mm. */
export const MORE_LIFT: Mm = 0.2;
const TO: Celsius = 100;
const STEP = 5;

/**
 * Drag over oil temperature, and what more lift, fewer faces or another oil would change; undefined while it is not known.
 * Never throws for a job that passes the schema. Source: `docs/mechanics.md` section 15.
 * @example coldDrag(job) // undefined
 */
export function coldDrag(job: Job): ColdDrag | undefined {
  const { sheet, layout } = workOut(job);
  const coldest = sheet.valueAt('oil.coldest');
  const limit = sheet.valueAt('oil.dragMax');
  if (!sheet.known('dragCold') || coldest === undefined || limit === undefined) return undefined;
  const parts = dragParts(sheet, layout);
  if (!parts) return undefined;
  const warp = sheet.known('warpSum')?.value ?? 0;
  const lift = sheet.known(liftAtPlate(sheet))?.value ?? 0;
  const n = parts.faces.length;
  const change = (id: DragChange['id'], name: string, with_: Partial<DragParts>): DragChange[] => {
    const made = { ...parts, ...with_ };
    try {
      return [
        {
          id,
          name,
          drag: packDrag(made, coldest),
          freeFrom: freeFrom((celsius) => packDrag(made, celsius), limit),
        },
      ];
    } catch (error) {
      if (error instanceof DomainError) return [];
      throw error;
    }
  };
  // Colder than that the curve would press all the rest flat.
  const from = Math.min(0, STEP * Math.floor(coldest / STEP) - STEP);
  const count = Math.floor((TO - from) / STEP) + 1;
  return {
    coldest,
    limit,
    curve: Array.from({ length: count }, (_, i) => {
      const celsius = from + i * STEP;
      return { celsius, drag: packDrag(parts, celsius) };
    }),
    changes: [
      ...change('present', 'As it is', {}),
      ...change('lift', 'More lift', { clearance: (lift + MORE_LIFT - warp) / n }),
      ...(n > 2
        ? change('faces', 'Two faces fewer', {
            faces: parts.faces.slice(0, n - 2),
            clearance: (lift - warp) / (n - 2),
          })
        : []),
      ...(Object.keys(OIL_GRADES) as OilGrade[])
        .filter((grade) => grade !== job.oil?.grade)
        .flatMap((grade) => change(grade, OIL_GRADES[grade].name, OIL_GRADES[grade])),
    ],
  };
}
