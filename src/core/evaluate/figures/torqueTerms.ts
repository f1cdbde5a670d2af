import { fieldPath } from '@/core/job/fieldPath';
import type { PlateKind, Source } from '@/core/job/types';
import type { Face } from '@/core/pack/faces';
import { linedInward, linedOutward } from '@/core/pack/faces';
import { LINING_ESTIMATES } from '@/core/torque/linings';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import { plateAt } from '@/core/evaluate/engine/layers';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { Term } from '@/core/evaluate/engine/term';
import { collectTerms, term } from '@/core/evaluate/engine/term';

/* The inputs of a pack's torque as terms: radii, friction and tangs of the plates with friction faces. */

export const LEVELS = ['Low', 'Typical', 'High'] as const;
export type Level = (typeof LEVELS)[number];

/** Bearing radius of tangs beyond the lining: assumed values used where none is entered. */
const TANG_BEYOND_LINING = 2.5;
const TANG_INSIDE_LINING = 3.5;

/**
 * The kinds whose lining slips somewhere in the pack, each once, from the hub floor outward.
 * @example linedKinds(layout).map((k) => k.name) // ["Disc"]
 */
export function linedKinds(layout: PackLayout): PlateKind[] {
  const found = new Set<PlateKind>();
  for (const face of layout.slipping) {
    const kind = linedKindOf(face, layout);
    if (kind) found.add(kind);
  }
  return [...found];
}

/**
 * The kind whose lining works at a face; of two linings the outer plate's. Undefined where neither side is lined.
 * @example linedKindOf(layout.slipping[0], layout).name // "Disc"
 */
export function linedKindOf(face: Face, layout: PackLayout): PlateKind | undefined {
  const below = plateAt(layout, face.below);
  const above = plateAt(layout, face.above);
  return above && linedInward(above.lined)
    ? above.kind
    : below && linedOutward(below.lined)
      ? below.kind
      : undefined;
}

/**
 * Radii of every lined kind that slips; steels take part through the face's overlap when theirs are entered.
 * @example radiusTerms(sheet, linedKinds(layout)).size // 2
 */
export function radiusTerms(sheet: Sheet, lined: readonly PlateKind[]): Map<string, Term> {
  return new Map(
    lined.flatMap((k) =>
      (['outerRadius', 'innerRadius'] as const).map((leaf) => {
        const label = `${leaf === 'outerRadius' ? 'Lining outer radius' : 'Lining inner radius'} of ${k.name}`;
        return [
          `${k.id}.${leaf}`,
          sheet.entry(fieldPath(`pack.kinds.*.${leaf}`, k.id), undefined, label),
        ] as const;
      }),
    ),
  );
}

/**
 * Low, typical and high friction of every lined type: entered, else the assumed value of its lining, times the share left by
 * friction-modified oil.
 * @returns by identifier of the kind; coefficients without a unit, above 0 up to 1
 * Source: `docs/mechanics.md` section 3.
 * @example frictionTerms(sheet, layout).size // 1
 */
export function frictionTerms(sheet: Sheet, layout: PackLayout): Map<string, Record<Level, Term>> {
  const lined = [...new Set(layout.layers.filter((l) => l.lined !== 'none').map((l) => l.kind))];
  const inOil =
    sheet.job.intake.oil === 'frictionModified'
      ? (t: Term) => collectTerms([t, WRONG_OIL], ([μ = 0, k = 1]) => μ * k)
      : (t: Term) => t;
  return new Map(
    lined.map((k) => {
      const estimate = LINING_ESTIMATES[k.lining];
      const at = (level: Level, value: number): Term => {
        const path = fieldPath(`pack.kinds.*.friction${level}`, k.id);
        const given = sheet.entry(path, undefined, `Friction of ${k.name}, ${level.toLowerCase()}`);
        if (given.known) return inOil(given);
        return inOil(
          term({
            value,
            symbol: level === 'Typical' ? 'μ_typ' : `μ_${level.toLowerCase()}`,
            label: `Friction of ${k.name}, ${level.toLowerCase()}`,
            quantity: 'ratio',
            path,
            source: {
              kind: 'estimate',
              note: `${estimate.name.toLowerCase()} lining in wet-clutch oil`,
            },
          }),
        );
      };
      return [
        k.id,
        {
          Low: at('Low', estimate.low),
          Typical: at('Typical', estimate.typical),
          High: at('High', estimate.high),
        },
      ] as const;
    }),
  );
}

/** Friction share left by friction-modified oil. Assumed value. */
export const FRICTION_MODIFIED = 0.7;
const WRONG_OIL = term({
  symbol: 'k_oil',
  label: 'Friction remaining with friction-modified oil',
  value: FRICTION_MODIFIED,
  quantity: 'ratio',
  source: { kind: 'estimate', note: 'oil not meant for wet clutches' },
});

/**
 * Tang radius of every kind in the pack: entered, else estimated from the lining it reaches past.
 * @example tangTerms(sheet, layout).size // 2
 */
export function tangTerms(sheet: Sheet, layout: PackLayout): Map<string, Term> {
  const kinds = [...new Set(layout.layers.map((l) => l.kind))];
  let outermost = 0;
  let innermost = Infinity;
  for (const l of layout.layers) {
    if (l.lined === 'none') continue;
    outermost = Math.max(outermost, l.outerRadius ?? 0);
    innermost = Math.min(innermost, l.innerRadius ?? Infinity);
  }
  return new Map(
    kinds.map((k) => {
      const path = fieldPath('pack.kinds.*.tangRadius', k.id);
      const label = `Tang radius of ${k.name}`;
      const given = sheet.entry(path, undefined, label);
      const guess =
        k.turnsWith === 'basket' ? outermost + TANG_BEYOND_LINING : innermost - TANG_INSIDE_LINING;
      if (given.known || outermost === 0 || !Number.isFinite(guess) || guess <= 0)
        return [k.id, given] as const;
      const note =
        k.turnsWith === 'basket'
          ? 'assumed just outside the lining'
          : 'assumed just inside the lining';
      const source: Source = { kind: 'estimate', note };
      return [
        k.id,
        term({ symbol: 'r', value: guess, label, quantity: 'length', path, source }),
      ] as const;
    }),
  );
}
