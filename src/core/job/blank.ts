import type { CoilGroup, Job, PlateKind, Springs } from './types';
import { blankBuild, blankProve, blankWork } from './work';
import { blankSignOff } from './signOff';

/**
 * A friction disc or a steel with nothing but its sort decided.
 * @example blankKind('disc', 'friction', 'Disc').turnsWith // "basket"
 */
export function blankKind(id: string, sort: 'friction' | 'steel', name: string): PlateKind {
  return {
    id,
    name,
    lining: 'paper',
    material: 'steel',
    turnsWith: sort === 'friction' ? 'basket' : 'hub',
    lined: sort === 'friction' ? 'both' : 'none',
  };
}

/**
 * A kind of coil spring with nothing but its name: its rate is to be entered.
 * @example blankCoilGroup('a', 'Springs').rateFrom // "rate"
 */
export function blankCoilGroup(id: string, name: string): CoilGroup {
  return { id, name, rateFrom: 'rate', testerPoints: [] };
}

/**
 * Coil springs of these kinds, and nothing yet of the other families.
 * @example blankSprings([]).type // "coil"
 */
export function blankSprings(groups: readonly CoilGroup[]): Springs {
  return {
    type: 'coil',
    coil: { groups, ring: [] },
    diaphragm: { forceFrom: 'geometry', steps: [], points: [] },
    loose: {},
  };
}

/**
 * A new job: one kind of disc, one of steel and one of spring, no plate in the pack and nothing assumed.
 * @param now ISO time, given by the caller so that the core stays pure
 * @example blankJob('a', 'UR-1', '2026-11-28T10:00:00.000Z').stage // "intake"
 */
export function blankJob(id: string, number: string, now: string): Job {
  return {
    id,
    number,
    stage: 'intake',
    createdAt: now,
    updatedAt: now,
    archived: false,
    machine: { id, name: '', use: '', layout: 'unknown' },
    intake: { complaints: [], aims: [], oil: 'unknown', tests: {} },
    engine: {},
    duty: {},
    variants: [],
    pack: {
      kinds: [blankKind('disc', 'friction', 'Disc'), blankKind('steel', 'steel', 'Steel')],
      plates: [],
      floorTurnsWith: 'hub',
      pressurePlateTurnsWith: 'hub',
      radiusModel: 'uniformWear',
      caliperTaken: 'dryByHand',
    },
    springs: blankSprings([blankCoilGroup('spring', 'Springs')]),
    assist: { type: 'none' },
    startClutch: { place: 'none' },
    release: { type: 'hydraulic', liftReadings: [] },
    expanding: { fitted: false },
    setting: { readings: [] },
    strip: { steps: [], parts: [], found: [], notes: '' },
    inspection: { discPoints: 4, steelPoints: 1, springLengths: [], seen: {} },
    work: blankWork(),
    build: blankBuild(),
    prove: blankProve(),
    signOff: blankSignOff(),
    visits: [],
    photos: [],
    notes: '',
  };
}

/**
 * A job that a builder begins: its springs and its release are not chosen yet.
 * @example begunJob('a', 'UR-1', '2026-11-28T10:00:00.000Z').release.undecided // true
 */
export function begunJob(id: string, number: string, now: string): Job {
  const job = blankJob(id, number, now);
  return {
    ...job,
    springs: { ...job.springs, undecided: true },
    release: { ...job.release, undecided: true },
  };
}

/**
 * Plates of a plain pack: friction discs and steels in turn, from the hub floor outward.
 * @example alternate('disc', 'steel', 2, 'friction', (n) => `p${n}`).map((p) => p.kindId) // ["disc", "steel", "disc"]
 */
export function alternate(
  frictionKind: string,
  steelKind: string,
  discs: number,
  first: 'friction' | 'steel',
  newId: (n: number) => string,
): { id: string; kindId: string }[] {
  const length = first === 'friction' ? 2 * discs - 1 : 2 * discs + 1;
  return Array.from({ length }, (_, i) => ({
    id: newId(i + 1),
    kindId: (i % 2 === 0) === (first === 'friction') ? frictionKind : steelKind,
  }));
}
