import { fieldPath } from '@/core/job/fieldPath';
import type { PlateKind } from '@/core/job/types';
import type { Face } from '@/core/pack/faces';
import { torqueAtClutch } from '@/core/torque/capacity';
import { liningPressure } from '@/core/torque/radius';
import { clampAtRpm, hasWeights, lockUpOf } from './clampOverSpeed';
import type { PackLayout } from '@/core/evaluate/engine/layers';
import type { Sheet } from '@/core/evaluate/engine/sheet';
import type { KnownTerm, Term } from '@/core/evaluate/engine/term';
import type { TorqueChain } from './torqueChain';
import { torqueChain } from './torqueChain';
import type { Level } from './torqueTerms';
import { LEVELS, linedKindOf } from './torqueTerms';
import { valueOf, collectTerms, missingTerm } from '../engine/term';
import { countOf } from '@/core/text/countOf';

const BY_FRICTION = 'Range: low to high friction of the lining.';

/**
 * Torque at the clutch, torque capacity, and the reserve, without and with tang friction.
 * @example computeTorque(sheet, layout), sheet.known('reserve').value // 1.5826
 */
export function computeTorque(sheet: Sheet, layout: PackLayout): void {
  sheet.compute('torqueAtClutch', {
    label: 'Torque at the clutch',
    quantity: 'torque',
    section: 3,
    formula: 'T_req = T_e·i·η_p',
    from: {
      T: sheet.entry('engine.peakTorque'),
      i: sheet.entry('engine.primaryRatio'),
      η: sheet.entry('engine.primaryEfficiency'),
    },
    value: ({ T, i, η }) => torqueAtClutch(T, i, η),
  });
  const chain = torqueChain(sheet, layout);
  const { faces, lined, radii, frictions, tangs, tangFriction, torqueAt, capacityAt } = chain;
  const drives = chain.driven.flatMap((drive) => drive.terms(sheet));
  // Weights press hardest where the engine pulls hardest: both are taken at peak torque.
  const clamp = sheet.figure(clampId(sheet), 'F');
  const tangsCount = tangFriction.known && tangFriction.value > 0;
  const model = sheet.job.pack.radiusModel;
  const range = (force: number, withTangs: boolean) => {
    const [low = Number.NaN, typical = Number.NaN, high = Number.NaN] = LEVELS.map((level) =>
      torqueAt(level, force, withTangs),
    );
    return {
      value: typical,
      low: Math.min(low, typical, high),
      high: Math.max(low, typical, high),
    };
  };
  const packAt = (levels: readonly Level[]): Term =>
    faces.length === 0 && layout.layers.length > 0
      ? { known: false, needs: [], cause: 'no friction face of this pack has lining.' }
      : faces.length === 0
        ? missingTerm('A plate', 'pack.plates')
        : collectTerms(
            [
              ...radii.values(),
              ...[...frictions.values()].flatMap((f) => levels.map((level) => f[level])),
              ...drives,
            ],
            () => faces.length,
          );
  const withTangs = (pack: Term): Term =>
    tangsCount && pack.known
      ? collectTerms([pack, tangFriction, ...tangs.values()], () => faces.length)
      : pack;
  const pack = packAt(LEVELS);
  const weakest = withTangs(packAt(['Low']));
  const radiusNote =
    model === 'uniformWear'
      ? 'R = (R_o + R_i)/2 of each contact ring: a run-in pack has even wear.'
      : 'R = ⅔(R_o³ − R_i³)/(R_o² − R_i²) of each contact ring: a new pack has even pressure.';

  sheet.compute('capacity', {
    label: 'Torque capacity',
    quantity: 'torque',
    section: 3,
    formula: 'T_cap = Σ μ·F·R over the friction faces',
    from: { F: clamp, N: pack },
    value: ({ F }) => range(F, false),
    notes: [radiusNote, BY_FRICTION],
  });
  sheet.compute('capacityWithTangs', {
    label: 'Torque capacity with tang friction',
    quantity: 'torque',
    section: 3,
    formula: 'T_cap = Σ μ·F_k·R_k, F_(k+1) = F_k·(1 − μ_t·μ·R_k/r)/(1 + μ_t·μ·R_(k+1)/r)',
    from: { F: clamp, N: withTangs(pack) },
    value: ({ F }) => range(F, true),
    notes: [
      radiusNote,
      'Faces are counted from the pressure plate; tang friction takes part of the clamp at each plate.',
      BY_FRICTION,
    ],
  });
  sheet.compute('clampAtInnerFace', {
    label: 'Clamp at the innermost face',
    quantity: 'force',
    section: 3,
    formula: 'F_N of the same chain, with low friction',
    from: { F: clamp, N: weakest },
    value: ({ F }) => capacityAt('Low', F, true).clampAtFace.at(-1) ?? F,
  });
  for (const [id, capacity, label] of [
    ['reserve', 'capacity', 'Torque reserve'],
    ['reserveWithTangs', 'capacityWithTangs', 'Torque reserve with tang friction'],
  ] as const) {
    const held = sheet.known(capacity);
    sheet.compute(id, {
      label,
      quantity: 'ratio',
      section: 3,
      decimals: 2,
      formula: 'K = T_cap/T_req',
      from: {
        T_cap: sheet.figure(capacity, 'T_cap'),
        T_req: sheet.figure('torqueAtClutch', 'T_req'),
      },
      value: ({ T_cap, T_req }) => ({
        value: T_cap / T_req,
        low: (held?.range?.low ?? T_cap) / T_req,
        high: (held?.range?.high ?? T_cap) / T_req,
      }),
      notes: held?.range ? [BY_FRICTION] : [],
    });
  }
  computeDriven(sheet, chain, withTangs(packAt(LEVELS)));
  computePressure(sheet, layout, lined, radii, faces);
  computeCurve(sheet, weakest, torqueAt);
}

/** The figures of what multiplies the held torque, from the torque that a newton of clamp holds. */
function computeDriven(sheet: Sheet, chain: TorqueChain, pack: Term): void {
  if (chain.driven.length === 0) return;
  const levels = LEVELS.map((level) => (pack.known ? chain.plainUnit(level) : Number.NaN));
  const [low = Number.NaN, typical = Number.NaN, high = Number.NaN] = levels;
  const perNewton = collectTerms([pack], () => typical);
  for (const drive of chain.driven) drive.figures(sheet, perNewton, [low, typical, high]);
}

/** The clamp at peak torque, including the weights at that speed. */
function clampId(sheet: Sheet): 'clamp' | 'clampAtPeak' {
  return hasWeights(sheet.job) ? 'clampAtPeak' : 'clamp';
}

/** The least reserve along the engine's curve, with the clamp that the pack has at each speed. */
function computeCurve(sheet: Sheet, pack: Term, torqueAt: TorqueChain['torqueAt']): void {
  const { curve } = sheet.job.engine;
  if (!curve) return;
  const clampAt = clampAtRpm(sheet);
  const clamp = sheet.figure('clamp', 'F');
  // An expanding disc slips by design while engaging: the reserve is judged from lock-up on.
  const lockUpId = lockUpOf(sheet.job);
  const lockUp = lockUpId && sheet.figure(lockUpId, 'n_l');
  const from = lockUp?.known ? lockUp.value : 0;
  const weakest = (i: number, η: number) =>
    sheet.once('minimum along the curve', () => findWeakest(i, η));
  const findWeakest = (i: number, η: number) => {
    let least = Infinity;
    let at = Number.NaN;
    for (const { rpm, torque } of curve.points) {
      if (torque <= 0 || rpm < from || !clampAt) continue;
      const K = torqueAt('Low', clampAt(rpm), true) / torqueAtClutch(torque, i, η);
      if (K < least) [least, at] = [K, rpm];
    }
    return { least, at };
  };
  const i = sheet.entry('engine.primaryRatio');
  const η = sheet.entry('engine.primaryEfficiency');
  const terms = [
    clamp,
    pack,
    i,
    η,
    ...(hasWeights(sheet.job) ? [sheet.figure('clampAtPeak', 'F_p')] : []),
    ...(lockUp ? [lockUp] : []),
  ];
  sheet.compute('leastCurveReserve', {
    label: 'Minimum torque reserve along the curve',
    quantity: 'ratio',
    section: 3,
    decimals: 2,
    formula: 'minimum of T_cap(n)/(T_e(n)·i·η_p), low friction with tangs',
    from: {
      K: collectTerms(terms, ([, , ratio = 1, eta = 1]) => weakest(ratio, eta).least),
    },
    value: ({ K }) => K,
    notes: [
      `Along ${countOf(curve.points.length, 'point')} of ${curve.name || 'the curve'}.`,
      ...(lockUp ? ['From lock-up on: below it the disc slips while engaging.'] : []),
    ],
  });
  sheet.compute('leastCurveSpeed', {
    label: 'Speed of the minimum reserve',
    quantity: 'speed',
    section: 3,
    formula: 'n at which T_cap(n)/(T_e(n)·i·η_p) is lowest',
    from: { K: sheet.figure('leastCurveReserve', 'K') },
    value: () => (i.known && η.known ? weakest(i.value, η.value).at : Number.NaN),
  });
}

function computePressure(
  sheet: Sheet,
  layout: PackLayout,
  lined: readonly PlateKind[],
  radii: ReadonlyMap<string, KnownTerm | Term>,
  faces: readonly Face[],
): void {
  const grooves = lined.map((k) =>
    sheet.entry(
      fieldPath('pack.kinds.*.groovedShare', k.id),
      undefined,
      `Grooved share of ${k.name}`,
    ),
  );
  sheet.compute('liningPressure', {
    label: 'Maximum lining pressure',
    quantity: 'pressure',
    section: 3,
    formula: 'p = F/(π·(R_o² − R_i²)·(1 − g))',
    from: {
      F: sheet.figure(clampId(sheet), 'F'),
      A:
        faces.length === 0
          ? missingTerm('A lined plate', 'pack.plates')
          : collectTerms([...radii.values(), ...grooves], () => 1),
    },
    value: ({ F }) => {
      const share = new Map(lined.map((k, i) => [k, valueOf(grooves[i])]));
      return faces.reduce((most, face) => {
        const kind = linedKindOf(face, layout);
        const g = (kind && share.get(kind)) ?? 0;
        return Math.max(
          most,
          liningPressure(F, face.outerRadius ?? Number.NaN, face.innerRadius ?? Number.NaN, g),
        );
      }, 0);
    },
  });
}
