import { lowerFirst } from '@/core/text/sentence';
import type { FieldPattern } from '../job/fieldPath';
import { FIELDS } from '../job/fields';
import type { Entry } from '../job/types';
import type { Fastener } from '../job/work';

/*
 * The limits, step bands and torques of the shop by machine or kit: kept once, each with where it comes from, and
 * used by every job of such a machine.
 */

/** Values that a machine or kit has one of. */
export const SINGLE = [
  'engine.peakTorque',
  'engine.peakTorqueRpm',
  'engine.idleRpm',
  'engine.primaryRatio',
  'pack.windowMin',
  'pack.windowMax',
  'pack.maxWear',
  'pack.splineLength',
  'pack.fingerLength',
  'pack.caliperAllowance',
  'springs.coil.seatDistance',
  'springs.coil.pressurePlate',
  'springs.coil.ringRadius',
  'springs.diaphragm.outerDiameter',
  'springs.diaphragm.innerDiameter',
  'springs.diaphragm.thickness',
  'springs.diaphragm.coneHeight',
  'springs.diaphragm.referenceStack',
  'springs.diaphragm.referenceDeflection',
  'springs.diaphragm.fingerRatio',
  'springs.loose.span',
  'springs.loose.pocketInner',
  'springs.loose.pocketOuter',
  'springs.loose.gapMin',
  'springs.loose.gapMax',
  'release.leverRatio',
  'release.leverTravel',
  'release.masterDiameter',
  'release.slaveDiameter',
  'release.armLength',
  'release.lead',
  'release.reducedEffort',
  'release.requiredLift',
  'release.faceClearance',
  'setting.gapMin',
  'setting.gapMax',
  'setting.pitch',
  'setting.marksPerTurn',
  'setting.linkage',
  'setting.turnsGiven',
  'setting.targetGain',
  'setting.freePlayMin',
  'setting.freePlayMax',
  'setting.pushrodClearance',
  'setting.pushrodPitch',
  'setting.endFloatWanted',
  'setting.endFloatPitch',
  'setting.chainSlackMin',
  'setting.chainSlackMax',
  'expanding.growth',
  'expanding.count',
  'expanding.mass',
  'expanding.radius',
  'expanding.advantage',
  'expanding.returnForce',
  'expanding.returnRate',
  'startClutch.shoeLiningMin',
  'startClutch.drumBoreMax',
  'inspection.taperLimit',
  'inspection.steelWarpLimit',
  'inspection.tangClearanceMin',
  'inspection.tangClearanceMax',
  'inspection.coneMin',
  'inspection.notchLimit',
  'inspection.damperPlayLimit',
  'inspection.pressurePlateFlatnessLimit',
  'inspection.pressurePlateMinThickness',
  'inspection.seatSquarenessLimit',
  'build.soakPlan',
  'build.soakLeast',
  'build.headClearanceMin',
] as const satisfies readonly FieldPattern[];

/** Values of something that has a name: a kind of plate or spring, a retainer step, a fastener. */
export const NAMED = {
  kinds: [
    'pack.kinds.*.thickness',
    'pack.kinds.*.minThickness',
    'pack.kinds.*.tolerance',
    'pack.kinds.*.outerRadius',
    'pack.kinds.*.innerRadius',
    'pack.kinds.*.pressureLimit',
  ],
  groups: [
    'springs.coil.groups.*.count',
    'springs.coil.groups.*.rate',
    'springs.coil.groups.*.freeLength',
    'springs.coil.groups.*.solidLength',
    'springs.coil.groups.*.minFreeLength',
  ],
  steps: [
    'springs.diaphragm.steps.*.height',
    'springs.diaphragm.steps.*.bandMin',
    'springs.diaphragm.steps.*.bandMax',
    'springs.diaphragm.steps.*.offset',
  ],
  fasteners: ['build.fasteners.*.count', 'build.fasteners.*.size', 'build.fasteners.*.torque'],
} as const satisfies Readonly<Record<string, readonly FieldPattern[]>>;

export type Owner = keyof typeof NAMED;

/** Every field that the library keeps. */
export const LIMIT_PATTERNS: readonly FieldPattern[] = [...SINGLE, ...Object.values(NAMED).flat()];

/**
 * The owner type of a named limit; undefined for limits of the machine.
 * @example ownerOf('pack.kinds.*.minThickness') // "kinds"
 */
export const ownerOf = (pattern: FieldPattern): Owner | undefined =>
  (Object.keys(NAMED) as Owner[]).find((owner) =>
    (NAMED[owner] as readonly FieldPattern[]).includes(pattern),
  );

/** Data of a fastener besides its torque, so that a new job gets all of it. */
export type FastenerSort = Pick<Fastener, 'role' | 'lock' | 'grade' | 'ownScrews'>;

export interface Limit {
  readonly id: string;
  readonly pattern: FieldPattern;
  /** Name of the kind, step or fastener that it belongs to. */
  readonly of?: string | undefined;
  readonly entry?: Entry | undefined;
  /** Draft text of the field. */
  readonly draft?: string | undefined;
  readonly fastener?: FastenerSort | undefined;
}

/**
 * The name of a limit: "Disc, minimum thickness" or "Minimum stack".
 * @example limitName({ pattern: 'pack.kinds.*.minThickness', of: 'Disc' }) // "Disc, minimum thickness"
 */
export function limitName({ pattern, of }: Pick<Limit, 'pattern' | 'of'>): string {
  const { label } = FIELDS[pattern];
  if (of === undefined) return label;
  return ownerOf(pattern) === 'steps'
    ? `Step ${of}, ${label.replace(/^Step,? /, '')}`
    : `${of}, ${lowerFirst(label)}`;
}
