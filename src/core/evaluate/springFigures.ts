import { DomainError } from '../errors';
import { fieldPath } from '../job/fields';
import type { CoilGroup } from '../job/types';
import {
  coilRate,
  fitRate,
  installedLength,
  solidLength,
  springForce,
  springStress,
} from '../springs/coil';
import { placeEvenly, springResultant } from '../springs/circle';
import { looseSpringLength, plateGap } from '../springs/loose';
import type { Mm, Newton } from '../units/quantity';
import {
  computeDiaphragm,
  diaphragmForceAt,
  diaphragmTerms,
  liftDiaphragm,
} from './diaphragmFigures';
import type { Sheet } from './sheet';
import type { Term } from './term';
import { gather, lack } from './term';

/** One kind of spring, as far as it is known. */
interface GroupTerms {
  readonly id: string;
  readonly name: string;
  readonly count: Term;
  readonly rate: Term;
  readonly freeLength: Term;
  readonly solid: Term;
  readonly wire: Term;
  readonly coil: Term;
}

/**
 * What the springs of any family do: how they stand, what they clamp with, and how even they press.
 * @example computeSprings(sheet), sheet.known('clamp').value // 1362.29
 */
export function computeSprings(sheet: Sheet): void {
  if (sheet.job.springs.type === 'diaphragm') computeDiaphragm(sheet);
  else computeCoils(sheet);
}

/**
 * What the springs do at full lift: the force to release, and room before the coils touch.
 * @example computeSpringsLifted(sheet), sheet.known('releaseForce').value // 1620.93
 */
export function computeSpringsLifted(sheet: Sheet): void {
  if (sheet.job.springs.type === 'diaphragm') liftDiaphragm(sheet);
  else liftCoils(sheet);
}

/**
 * Force of the springs over lift at the stack as it is, N over mm; 0 where they are not known there, so that nothing holds.
 * Springs looked at beyond what was measured have no force to go by.
 * @example springsOverLift(sheet)(0) // 1362.29
 */
export function springsOverLift(sheet: Sheet): (lift: Mm) => Newton {
  const force = springForceAt(sheet);
  const stack = sheet.known('stack')?.value;
  if (!force || stack === undefined) return () => 0;
  return (lift) => {
    try {
      return force(stack, lift);
    } catch (error) {
      if (error instanceof DomainError) return 0;
      throw error;
    }
  };
}

/**
 * Force of the springs on the pack at any stack and lift, N, from a sheet on which they are worked out; undefined while
 * they are not known.
 * @example springForceAt(sheet)(34.1, 0) // 1386.34
 */
export const springForceAt = (sheet: Sheet): ((stack: Mm, lift: Mm) => Newton) | undefined =>
  sheet.once('spring force', () => makeSpringForce(sheet));

function makeSpringForce(sheet: Sheet): ((stack: Mm, lift: Mm) => Newton) | undefined {
  const stack = sheet.known('stack');
  if (!stack || !sheet.known('clamp')) return undefined;
  if (sheet.job.springs.type === 'diaphragm') return diaphragmForceAt(sheet, stack.value);
  const installed = sheet.known('installedLength')?.value ?? Number.NaN;
  const groups = groupTerms(sheet).map(({ count, rate, freeLength }) => ({
    n: count.known ? count.value : Number.NaN,
    k: rate.known ? rate.value : Number.NaN,
    free: freeLength.known ? freeLength.value : Number.NaN,
  }));
  return (height, lift) => {
    const at = installed + stack.value - height - lift;
    let total = 0;
    for (const { n, k, free } of groups) total += n * springForce(k, free, at);
    return total;
  };
}

/**
 * What the force of the springs over lift rests on, for a working.
 * @example springTerms(sheet).every((t) => t.known) // true
 */
export function springTerms(sheet: Sheet): readonly Term[] {
  if (sheet.job.springs.type === 'diaphragm') return diaphragmTerms(sheet);
  const groups = groupTerms(sheet);
  return groups.length === 0
    ? [NO_SPRINGS]
    : [
        sheet.figure('installedLength', 'L'),
        ...groups.flatMap((g) => [g.count, g.rate, g.freeLength]),
      ];
}

/**
 * Kinds of coil spring that are longer in place than free, so that they stand loose in their seats; by how much, mm.
 * @example looseGroups(sheet).length // 0
 */
export function looseGroups(sheet: Sheet): readonly { readonly id: string; readonly by: Mm }[] {
  const installed = sheet.known('installedLength')?.value;
  if (sheet.job.springs.type === 'diaphragm' || installed === undefined) return [];
  return groupTerms(sheet).flatMap(({ id, freeLength }) =>
    freeLength.known && installed >= freeLength.value
      ? [{ id, by: installed - freeLength.value }]
      : [],
  );
}

function computeCoils(sheet: Sheet): void {
  const groups = groupTerms(sheet);
  const each = groups.map((g) => gather([g.count, g.rate], ([n = 0, k = 0]) => n * k));
  sheet.compute('springRate', {
    label: 'Rate of all springs',
    quantity: 'rate',
    section: 4,
    formula: rateFormula(sheet.job.springs.coil.groups),
    from: { k: gather(groups.length ? each : [NO_SPRINGS], sum) },
    value: ({ k }) => k,
  });
  if (sheet.job.springs.type === 'loose') {
    sheet.compute('plateGap', {
      label: 'Plate gap',
      quantity: 'length',
      section: 4,
      formula: 'g = S − H',
      from: { S: sheet.entry('springs.loose.span'), H: sheet.figure('stack', 'H') },
      value: ({ S, H }) => plateGap(S, H),
      notes: [
        'The nuts draw the plates to a stop; a taller pack leaves a smaller gap and presses the springs more.',
      ],
    });
    sheet.compute('installedLength', {
      label: 'Spring length in place',
      quantity: 'length',
      section: 4,
      formula: 'L = g + d_1 + d_2',
      from: {
        g: sheet.figure('plateGap', 'g'),
        a: sheet.entry('springs.loose.pocketInner'),
        b: sheet.entry('springs.loose.pocketOuter'),
      },
      value: ({ g, a, b }) => looseSpringLength(g, a, b),
    });
  } else {
    sheet.compute('installedLength', {
      label: 'Spring length in place',
      quantity: 'length',
      section: 4,
      formula: 'L = G_0 − t_pp − s − H',
      from: {
        G: sheet.entry('springs.coil.seatDistance'),
        p: sheet.entry('springs.coil.pressurePlate'),
        s: sheet.entry('springs.coil.shim'),
        H: sheet.figure('stack', 'H'),
      },
      value: ({ G, p, s, H }) => installedLength(G, H, p, s),
    });
  }
  sheet.compute('clamp', {
    label: 'Clamp',
    quantity: 'force',
    section: 4,
    formula: 'F = Σ n·k·(L_0 − L)',
    from: { F: totalForce(groups, sheet.figure('installedLength', 'L')) },
    value: ({ F }) => F,
  });
  computeRing(sheet, groups);
}

/** How far off centre a ring of mixed springs presses; only where its order is recorded. */
function computeRing(sheet: Sheet, groups: readonly GroupTerms[]): void {
  const { ring } = sheet.job.springs.coil;
  if (ring.length === 0) return;
  const length = sheet.figure('installedLength', 'L');
  const forces = new Map(
    groups.map((g) => [
      g.id,
      gather([length, g.rate, g.freeLength], ([l = 0, k = 0, L0 = 0]) => springForce(k, L0, l)),
    ]),
  );
  const radius = sheet.entry('springs.coil.ringRadius');
  const placed = ring.map((id) => forces.get(id) ?? NO_SPRINGS);
  sheet.compute('springOffset', {
    label: 'Springs press off centre by',
    quantity: 'length',
    section: 4,
    formula: 'e = |Σ F·r|/Σ F',
    from: {
      e: gather(
        [radius, ...placed],
        ([r = 0, ...all]) => springResultant(placeEvenly(all, r)).offset,
      ),
    },
    value: ({ e }) => e,
  });
}

function liftCoils(sheet: Sheet): void {
  const groups = groupTerms(sheet);
  const lifted = gather(
    [sheet.figure('installedLength', 'L'), sheet.figure('liftHad', 'x')],
    ([L = 0, x = 0]) => L - x,
  );
  sheet.compute('releaseForce', {
    label: 'Release force, full lift',
    quantity: 'force',
    section: 7,
    formula: 'F_r = Σ n·k·(L_0 − L + x)',
    from: { F: totalForce(groups, lifted) },
    value: ({ F }) => F,
  });
  const rooms = groups.map((g) => gather([lifted, g.solid], ([l = 0, c = 0]) => l - c));
  sheet.compute('coilClearance', {
    label: 'Room before the coils touch',
    quantity: 'length',
    section: 4,
    formula: 'L − x − L_c, the least of all kinds',
    from: { c: gather(groups.length ? rooms : [NO_SPRINGS], (all) => Math.min(...all)) },
    value: ({ c }) => c,
  });
  const wired = groups.filter((g) => g.wire.known || g.coil.known);
  if (wired.length === 0) return;
  sheet.compute('springStress', {
    label: 'Wire stress, full lift',
    quantity: 'stress',
    section: 4,
    formula: 'τ = K_w·8·F·D/(π·d³), K_w = (4C−1)/(4C−4) + 0.615/C, C = D/d',
    from: {
      τ: gather(
        wired.map((g) =>
          gather(
            [lifted, g.rate, g.freeLength, g.wire, g.coil],
            ([l = 0, k = 0, L0 = 0, d = 0, D = 0]) => springStress(springForce(k, L0, l), d, D),
          ),
        ),
        (all) => Math.max(...all),
      ),
    },
    value: ({ τ }) => τ,
  });
}

const NO_SPRINGS = lack('A kind of spring', 'springs.coil.groups');

function totalForce(groups: readonly GroupTerms[], at: Term): Term {
  if (groups.length === 0) return NO_SPRINGS;
  return gather(
    [at, ...groups.flatMap((g) => [g.count, g.rate, g.freeLength])],
    ([l = 0, ...rest]) => {
      let total = 0;
      for (let i = 0; i + 2 < rest.length; i += 3) {
        const [n = 0, k = 0, L0 = 0] = rest.slice(i, i + 3);
        total += n * springForce(k, L0, l);
      }
      return total;
    },
  );
}

const groupTerms = (sheet: Sheet): readonly GroupTerms[] =>
  sheet.once('spring groups', () => makeGroupTerms(sheet));

function makeGroupTerms(sheet: Sheet): readonly GroupTerms[] {
  return sheet.job.springs.coil.groups.map((group, index, all) => {
    const suffix = all.length > 1 ? ` (${group.name || index + 1})` : '';
    const at = (leaf: GroupLeaf) => {
      const path = fieldPath(`springs.coil.groups.*.${leaf}`, group.id);
      const t = sheet.entry(path);
      return suffix === '' ? t : relabel(t, suffix);
    };
    const wire = at('wireDiameter');
    const coil = at('meanDiameter');
    const tester = group.rateFrom === 'tester' ? testerFit(sheet, group) : undefined;
    const rate =
      tester?.rate ??
      (group.rateFrom === 'wire'
        ? gather(
            [wire, coil, at('activeCoils'), at('shearModulus')],
            ([d = 0, D = 0, n = 0, G = 0]) => coilRate(d, D, n, G),
          )
        : at('rate'));
    const solidGiven = at('solidLength');
    const fromWire = gather([at('totalCoils'), wire], ([n = 0, d = 0]) => solidLength(n, d));
    return {
      id: group.id,
      name: group.name,
      count: at('count'),
      rate,
      wire,
      coil,
      // The line through the tester's points has a free length of its own; the rule is for the sag limit alone.
      freeLength: tester?.freeLength ?? at('freeLength'),
      solid: solidGiven.known || !fromWire.known ? solidGiven : fromWire,
    };
  });
}

type GroupLeaf =
  | 'count'
  | 'rate'
  | 'freeLength'
  | 'solidLength'
  | 'wireDiameter'
  | 'meanDiameter'
  | 'activeCoils'
  | 'totalCoils'
  | 'shearModulus';

function testerFit(sheet: Sheet, group: CoilGroup): { rate: Term; freeLength: Term } {
  const points = group.testerPoints.flatMap((p) =>
    p.length && p.force ? [{ length: p.length.value, force: p.force.value }] : [],
  );
  if (points.length < 2) {
    const missing = lack('Two tester points', fieldPath('springs.coil.groups.*.rate', group.id));
    return { rate: missing, freeLength: missing };
  }
  const at = (leaf: 'length' | 'force', id: string) =>
    fieldPath(`springs.coil.groups.*.testerPoints.*.${leaf}`, group.id, id);
  const terms = group.testerPoints
    .filter((p) => p.length && p.force)
    .flatMap(({ id }, i) => [
      sheet.entry(at('length', id), `L_${i + 1}`),
      sheet.entry(at('force', id), `F_${i + 1}`),
    ]);
  return {
    rate: gather(terms, () => fitRate(points).rate),
    freeLength: gather(terms, () => fitRate(points).freeLength),
  };
}

function rateFormula(groups: readonly CoilGroup[]): string {
  if (groups.some((g) => g.rateFrom === 'wire')) return 'k_all = Σ n·k, k = G·d⁴/(8·D³·n_a)';
  if (groups.some((g) => g.rateFrom === 'tester'))
    return 'k_all = Σ n·k, k the slope of the line through the tester’s points';
  return 'k_all = Σ n·k';
}

function relabel(t: Term, suffix: string): Term {
  return t.known
    ? { ...t, inputs: t.inputs.map((i) => ({ ...i, label: i.label + suffix })) }
    : { ...t, needs: t.needs.map((n) => ({ ...n, label: n.label + suffix })) };
}

const sum = (all: readonly number[]) => all.reduce((a, b) => a + b, 0);
