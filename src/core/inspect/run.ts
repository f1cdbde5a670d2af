import { layOut } from '../evaluate/engine/layers';
import { fittedKinds } from '../clutch/fitted';
import { fieldPath } from '../job/fieldPath';
import { entryAt } from '../job/entryAt';
import type { Job, Plate, PlateKind } from '../job/types';
import { POINTS } from '../job/types';
import { limitAt } from './limitAt';
import { hasPack } from '../guide/layouts';
import type { RunPart, RunStep } from './runStep';
import { RUN_PARTS } from './runStep';

/**
 * The readings of a run in working order: plate after plate from the hub floor outward, point after point; then springs, then
 * the parts around. New parts are left out.
 * @param parts what to go over
 * Source: `docs/mechanics.md`, inspection.
 * @example measuringRun(job, ['flatness']).length // 7
 */
export function measuringRun(job: Job, parts: readonly RunPart[]): readonly RunStep[] {
  const wanted = new Set(parts.filter((part) => runParts(job).includes(part)));
  return [
    ...(wanted.has('discs') ? plateSteps(job, 'discs') : []),
    ...steelSteps(job, wanted),
    ...(wanted.has('tangs') ? tangSteps(job) : []),
    ...(wanted.has('springs') ? kindSteps(job, 'springs') : []),
    ...(wanted.has('around') ? [...aroundSteps(job), ...kindSteps(job, 'around')] : []),
    ...(wanted.has('start') ? kindSteps(job, 'start') : []),
  ];
}

/**
 * The readings of a return in working order: each disc at its thinnest point, by its number in the pack.
 * @example visitRun(job, 'v1').length // 8
 */
export const visitRun = (job: Job, visitId: string): readonly RunStep[] =>
  layOut(job)
    .layers.filter((l) => l.lined !== 'none')
    .map(({ plate, kind, number }): RunStep => {
      const path = fieldPath('visits.*.readings.*', visitId, plate.id);
      return {
        path,
        part: 'discs',
        title: `Disc, plate ${number}`,
        what: 'thickness at its thinnest point',
        plateId: plate.id,
        siblings: [path],
        nominal: kind.thickness?.value,
        limit: kind.minThickness?.value,
        limitIs: 'min',
        onlyWears: true,
      };
    });

/**
 * The parts that the clutch of a job has to measure.
 * @example runParts(farm).includes('start') // true
 */
export function runParts(job: Job): readonly RunPart[] {
  const ofKinds = new Set(
    fittedKinds(job)
      .flatMap((k) => k.readings?.(job) ?? [])
      .map((s) => s.part),
  );
  const pack = hasPack(job.machine.layout);
  return RUN_PARTS.filter((part) => (part === 'start' ? ofKinds.has('start') : pack));
}

/**
 * The readings of a run that are not taken yet, in its order. Never throws.
 * @example openSteps(job, measuringRun(job, ['flatness'])).length // 0
 */
export const openSteps = (job: Job, steps: readonly RunStep[]): readonly RunStep[] =>
  steps.filter((s) => entryAt(job, s.path) === undefined);

/**
 * The first missing reading of a run at or after `from`, or its end.
 * Never throws.
 * @example nextOpen(job, measuringRun(job, ['flatness'])) // 7
 */
export function nextOpen(job: Job, steps: readonly RunStep[], from = 0): number {
  const open = steps.findIndex((s, i) => i >= from && entryAt(job, s.path) === undefined);
  return open < 0 ? steps.length : open;
}

interface Placed {
  readonly plate: Plate;
  readonly kind: PlateKind;
  readonly title: string;
}

function placed(job: Job, lined: boolean): Placed[] {
  const kinds = new Map(job.pack.kinds.map((k) => [k.id, k]));
  const { plates } = job.pack;
  return plates.flatMap((plate, i) => {
    const kind = kinds.get(plate.kindId);
    return kind && !plate.isNew && (kind.lined !== 'none') === lined
      ? [{ plate, kind, title: `${lined ? 'Disc' : 'Steel'}, plate ${i + 1}` }]
      : [];
  });
}

function thicknessSteps({ plate, kind, title }: Placed, points: number): RunStep[] {
  const part: RunPart = kind.lined === 'none' ? 'steels' : 'discs';
  const taken = POINTS.slice(0, points);
  const siblings = taken.map((p) => fieldPath('pack.plates.*.readings.*', plate.id, p));
  return siblings.map((path, i) => ({
    path,
    part,
    title,
    what: points === 1 ? 'thickness' : `thickness, point ${i + 1} of ${points}`,
    plateId: plate.id,
    siblings,
    nominal: kind.thickness?.value,
    limit: kind.minThickness?.value,
    limitIs: 'min',
    onlyWears: true,
  }));
}

function plateSteps(job: Job, part: 'discs' | 'steels'): RunStep[] {
  const { discPoints, steelPoints } = job.inspection;
  const lined = part === 'discs';
  return placed(job, lined).flatMap((p) => thicknessSteps(p, lined ? discPoints : steelPoints));
}

/** A steel is measured and tried for flatness before the next is picked up. */
function steelSteps(job: Job, wanted: ReadonlySet<RunPart>): RunStep[] {
  return placed(job, false).flatMap((p) => [
    ...(wanted.has('steels') ? thicknessSteps(p, job.inspection.steelPoints) : []),
    ...(wanted.has('flatness') ? [flatnessStep(job, p)] : []),
  ]);
}

function flatnessStep(job: Job, { plate, title }: Placed): RunStep {
  const path = fieldPath('pack.plates.*.outOfFlat', plate.id);
  return {
    path,
    part: 'flatness',
    title,
    what: 'out-of-flat, largest gauge that passes under',
    plateId: plate.id,
    siblings: [path],
    nominal: 0,
    limit: limitAt(job, 'inspection.steelWarpLimit'),
    limitIs: 'max',
    onlyWears: false,
  };
}

function tangSteps(job: Job): RunStep[] {
  return [...placed(job, true), ...placed(job, false)].map(({ plate, title }) => {
    const path = fieldPath('pack.plates.*.tangClearance', plate.id);
    return {
      path,
      part: 'tangs',
      title,
      what: 'tang clearance in the slots',
      plateId: plate.id,
      siblings: [path],
      limit: limitAt(job, 'inspection.tangClearanceMax'),
      limitIs: 'max',
      onlyWears: false,
    };
  });
}

const kindSteps = (job: Job, part: RunPart): readonly RunStep[] =>
  fittedKinds(job)
    .flatMap((kind) => kind.readings?.(job) ?? [])
    .filter((step) => step.part === part);

/** The readings around the plates, with the limit of each. */
const AROUND = [
  [
    'basket',
    'Basket',
    'inspection.basketNotch',
    'notch depth of the fingers',
    'inspection.notchLimit',
  ],
  ['hub', 'Hub', 'inspection.hubNotch', 'notch depth of the splines', 'inspection.notchLimit'],
  [
    'hub',
    'Hub dampers',
    'inspection.damperPlay',
    'damper play, inner to outer',
    'inspection.damperPlayLimit',
  ],
  [
    'pressurePlate',
    'Pressure plate',
    'inspection.pressurePlateFlatness',
    'out-of-flat of its face',
    'inspection.pressurePlateFlatnessLimit',
  ],
  [
    'pressurePlate',
    'Pressure plate',
    'inspection.pressurePlateThickness',
    'thickness',
    'inspection.pressurePlateMinThickness',
  ],
  [
    'pressurePlate',
    'Pushrod seat',
    'inspection.seatSquareness',
    'out of square to the friction face',
    'inspection.seatSquarenessLimit',
  ],
] as const;

function aroundSteps(job: Job): RunStep[] {
  return AROUND.map(([fixture, title, path, what, limit]) => ({
    path,
    fixture,
    part: 'around',
    title,
    what,
    siblings: [path],
    limit: limitAt(job, limit),
    limitIs: path === 'inspection.pressurePlateThickness' ? 'min' : 'max',
    onlyWears: false,
  }));
}
