import { faceDrag, freeFrom } from '@/core/drag/drag';
import { dynamicViscosity, OIL_GRADES, viscosityAt } from '@/core/drag/viscosity';
import { Impossible } from '@/core/errors';
import { GRAVITY, roadLoad } from '@/core/heat/road';
import type { Face } from '@/core/pack/faces';
import type { Mm, NewtonMetre } from '@/core/units/quantity';

import type { PackLayout } from '../engine/layers';
import type { Sheet } from '../engine/sheet';
import type { Term } from '../engine/term';
import { collectTerms, term } from '../engine/term';
import { linedKinds, radiusTerms } from './torqueTerms';

/* Drag of the open pack in cold oil. */

/**
 * A viscosity of the oil, mm²/s: entered, else typical of its grade.
 * @example viscosityTerm(sheet, 40).known // false
 */
export function viscosityTerm(sheet: Sheet, at: 40 | 100): Term {
  const path = `oil.viscosity${at}` as const;
  const given = sheet.entry(path);
  const grade = sheet.job.oil?.grade;
  if (given.known || grade === undefined) return given;
  const { name, at40, at100 } = OIL_GRADES[grade];
  return term({
    symbol: `ν_${at}`,
    label: `Viscosity at ${at} °C`,
    value: at === 40 ? at40 : at100,
    quantity: 'viscosity',
    path,
    source: { kind: 'estimate', note: `typical of ${name}` },
  });
}

/** What the drag of an open pack follows from, besides its temperature. */
export interface DragParts {
  readonly faces: readonly Pick<Face, 'outerRadius' | 'innerRadius'>[];
  readonly clearance: Mm;
  /** Speed between basket and hub, rpm. */
  readonly apart: number;
  readonly at40: number;
  readonly at100: number;
  readonly density: number;
  readonly fill: number;
}

/**
 * Drag of all faces at a temperature of the oil, N·m.
 * @throws {DomainError} for a value out of range
 * Source: `docs/mechanics.md` section 15.
 * @example packDrag({ faces: [{ outerRadius: 58.5, innerRadius: 46.5 }], clearance: 0.1, apart: 500, at40: 95, at100: 14, density: 860, fill: 1 }, 20) // 1.29759
 */
export function packDrag(parts: DragParts, celsius: number): NewtonMetre {
  const { faces, clearance, apart, fill } = parts;
  const viscosity = dynamicViscosity(viscosityAt(parts.at40, parts.at100, celsius), parts.density);
  return faces.reduce(
    (sum, { outerRadius = Number.NaN, innerRadius = Number.NaN }) =>
      sum + faceDrag(outerRadius, innerRadius, clearance, apart, viscosity, fill),
    0,
  );
}

/** The same as terms, in the order of `DragParts`; the faces come with the radii. */
const dragTerms = (sheet: Sheet, layout: PackLayout): readonly Term[] => [
  sheet.figure('clearancePerFace', 'h'),
  sheet.entry('engine.idleRpm'),
  sheet.entry('engine.primaryRatio'),
  viscosityTerm(sheet, 40),
  viscosityTerm(sheet, 100),
  sheet.entry('oil.density'),
  sheet.entry('oil.fill'),
  ...radiusTerms(sheet, linedKinds(layout)).values(),
];

/**
 * What the drag of a pack follows from, as far as it is known.
 * @throws {DomainError} where no clearance is left between the faces
 * @example dragParts(sheet, layout) // undefined
 */
export function dragParts(sheet: Sheet, layout: PackLayout): DragParts | undefined {
  const terms = dragTerms(sheet, layout);
  const values = terms.flatMap((t) => (t.known ? [t.value] : []));
  if (values.length < terms.length) return undefined;
  return partsOf(layout, values);
}

function partsOf(layout: PackLayout, values: readonly number[]): DragParts {
  const [clearance = 0, idle = 0, ratio = 1, at40 = 0, at100 = 0, density = 0, fill = 0] = values;
  if (clearance <= 0) throw new Impossible('the lift leaves no clearance between the faces.');
  return { faces: layout.slipping, clearance, apart: idle / ratio, at40, at100, density, fill };
}

/**
 * Drag at the coldest start, the temperature from which the pack runs free, and the drag at the wheel in first; only where
 * the oil is known.
 * @example computeDrag(sheet, layout), sheet.outcomes.has('dragCold') // false
 */
export function computeDrag(sheet: Sheet, layout: PackLayout): void {
  const { oil } = sheet.job;
  if (!oil?.grade && !oil?.viscosity40 && !oil?.viscosity100) return;
  const coldest = sheet.entry('oil.coldest');
  const terms = dragTerms(sheet, layout);
  sheet.compute('viscosityCold', {
    label: 'Viscosity of the cold oil',
    quantity: 'viscosity',
    section: 15,
    formula: 'log₁₀ log₁₀(ν + 0.7) = A − B·log₁₀ T, through ν_40 and ν_100',
    from: { a: viscosityTerm(sheet, 40), b: viscosityTerm(sheet, 100), ϑ: coldest },
    value: ({ a, b, ϑ }) => viscosityAt(a, b, ϑ),
  });
  sheet.compute('dragCold', {
    label: 'Drag in cold oil',
    quantity: 'torque',
    section: 15,
    decimals: 2,
    formula: 'T = Σ ψ·(π/2)·ν·ρ·ω·(R_o⁴ − R_i⁴)/h over the faces, ω = n_idle/i',
    from: {
      T: collectTerms([coldest, ...terms], ([celsius = 0, ...values]) =>
        packDrag(partsOf(layout, values), celsius),
      ),
    },
    value: ({ T }) => T,
    notes: ['Lever in, engine idling, the hub at rest: into first, or in neutral before it turns.'],
  });
  sheet.compute('dragFreeFrom', {
    label: 'Runs free from an oil temperature of',
    quantity: 'temperature',
    section: 15,
    formula: 'ϑ at which T = T_max',
    from: {
      ϑ: collectTerms([sheet.entry('oil.dragMax'), ...terms], ([limit = 0, ...values]) => {
        const parts = partsOf(layout, values);
        const free = freeFrom((celsius) => packDrag(parts, celsius), limit);
        if (free === undefined)
          throw new Impossible('the pack drags above its limit in hot oil too.');
        return free;
      }),
    },
    value: ({ ϑ }) => ϑ,
  });
  if (!sheet.entry('duty.mass').known) return;
  sheet.compute('dragAtWheel', {
    label: 'Drag at the wheel in first',
    quantity: 'torque',
    section: 15,
    formula: 'T·i_1',
    from: { T: sheet.figure('dragCold', 'T'), i: sheet.entry('duty.gearRatio') },
    value: ({ T, i }) => T * i,
  });
  sheet.compute('roadResistance', {
    label: 'Resistance of the road at the wheel',
    quantity: 'torque',
    section: 15,
    formula: 'M·g·(c_r·cos α + sin α)·R_w',
    from: {
      M: sheet.entry('duty.mass'),
      R: sheet.entry('duty.wheelRadius'),
      p: sheet.entry('duty.grade'),
    },
    value: ({ M, R, p }) => (M * GRAVITY * roadLoad(Math.atan(p)) * R) / 1000,
  });
}
