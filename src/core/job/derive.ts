import { omit } from '../omit';
import { byName } from '../order';
import { blankJob } from './blank';
import type {
  CoilGroup,
  InspectionRecord,
  Job,
  LooseSprings,
  Plate,
  Release,
  Setting,
  Fittings,
} from './types';
import type { BuildRecord, Work, WorkStage } from './work';
import { blankSignOff } from './signOff';

/**
 * The plate as specified, without the readings and damage of the old part.
 * @example asSpecified({ id: 'p1', kindId: 'disc', readings: { 1: entry(2.9) } }) // { id: "p1", kindId: "disc" }
 */
export const asSpecified = ({ id, kindId, facing, judder, offsetSlot }: Plate): Plate => ({
  id,
  kindId,
  ...(facing ? { facing } : {}),
  ...(judder ? { judder } : {}),
  ...(offsetSlot ? { offsetSlot } : {}),
});

/**
 * The springs as specified: a measured free length belongs to the set that was measured.
 * @example groupAsSpecified(job.springs.coil.groups[0]).rateFrom // "rate"
 */
export const groupAsSpecified = (group: CoilGroup): CoilGroup =>
  group.freeLength?.source?.kind === 'measured'
    ? (({ freeLength: _measured, ...rest }) => rest)(group)
    : group;

/** The gap is read of the pack that is in. */
const looseAsBuilt = ({
  gapRead1: _1,
  gapRead2: _2,
  gapRead3: _3,
  gapFitted: _gap,
  gapStack: _stack,
  ...rest
}: LooseSprings): LooseSprings => rest;

/** The train without its wear. */
const releaseAsBuilt = ({
  measuredLift: _lift,
  freePlay: _freePlay,
  stretch: _stretch,
  pivotWear: _pivotWear,
  air: _air,
  ...rest
}: Release): Release => ({ ...rest, liftReadings: [] });

/** Attachments without what was measured of their wear. */
const fittingsAsBuilt = (fittings: Fittings): Fittings =>
  Object.fromEntries(
    Object.entries(fittings).map(([kind, { wear: _wear, ...entries }]) => [kind, entries]),
  );

/** Adjuster and limits stay with the machine; position and readings do not. */
const settingAsBuilt = ({
  turnsOut: _turns,
  marksOut: _marks,
  gapMeasured: _caliper,
  goSize: _go,
  noGoSize: _noGo,
  endFloat: _float,
  chainSlack: _chain,
  thumbTest: _thumb,
  ...rest
}: Setting): Setting => ({ ...rest, readings: [] });

/** Manual torques stay; actual ones do not. */
const buildRecordForCopy = ({
  soakStart: _soak,
  headClearance: _heads,
  fasteners,
  ...rest
}: BuildRecord): BuildRecord => ({
  ...rest,
  fasteners: fasteners.map(({ applied: _applied, ...f }) => f),
});

/** The shop's own steps and order stay; the marks do not. */
const checklistsForCopy = (work: Work): Pick<Work, WorkStage> => ({
  build: { ...work.build, records: {} },
  set: { ...work.set, records: {} },
  prove: { ...work.prove, records: {} },
});

/** Limits and the length of the runs stay with the machine; readings and sights do not. */
function limitsOf(inspection: InspectionRecord): InspectionRecord {
  const {
    basketNotch: _basket,
    hubNotch: _hub,
    pressurePlateFlatness: _flat,
    pressurePlateThickness: _thick,
    seatSquareness: _seat,
    damperPlay: _damper,
    ...limits
  } = inspection;
  return {
    ...limits,
    springLengths: inspection.springLengths.map(({ id, groupId }) => ({ id, groupId })),
    seen: {},
  };
}

/**
 * A new job for a known machine: uses its engine, specified pack, springs, release, limits and the shop's strip list, and none
 * of the last readings, notes or counts.
 * @param now ISO time, given by the caller so that the core stays pure
 * @example nextJobOf(job, 'new', 'UR-9', now).stage // "intake"
 */
export function nextJobOf(last: Job, id: string, number: string, now: string): Job {
  const blank = blankJob(id, number, now);
  const { diaphragm } = last.springs;
  const { caliper: _caliper, ...packAsSpecified } = last.pack;
  const { measuredCone: _cone, ...cone } = diaphragm;
  return {
    ...blank,
    machine: last.machine,
    engine: last.engine,
    duty: last.duty,
    ...(last.oil ? { oil: last.oil } : {}),
    pack: { ...packAsSpecified, plates: last.pack.plates.map(asSpecified) },
    springs: {
      ...last.springs,
      loose: looseAsBuilt(last.springs.loose),
      coil: {
        ...omit(last.springs.coil, 'fittedLength', 'fittedStack'),
        groups: last.springs.coil.groups.map(groupAsSpecified),
      },
      diaphragm: cone,
    },
    assist: last.assist,
    startClutch: last.startClutch,
    release: releaseAsBuilt(last.release),
    expanding: last.expanding,
    ...(last.fittings ? { fittings: fittingsAsBuilt(last.fittings) } : {}),
    setting: settingAsBuilt(last.setting),
    build: buildRecordForCopy(last.build),
    prove: { outcomes: {}, starts: last.prove.starts.map(({ done: _done, ...s }) => s) },
    work: { ...blank.work, ...checklistsForCopy(last.work) },
    ...(last.leaflet ? { leaflet: last.leaflet } : {}),
    strip: {
      ...blank.strip,
      ...(last.strip.hubStays === undefined ? {} : { hubStays: last.strip.hubStays }),
      steps: last.strip.steps.map((s) => ({ ...s, done: false })),
      parts: last.strip.parts.map(({ out: _out, in: _in, ...part }) => part),
    },
    inspection: limitsOf(last.inspection),
  };
}

/**
 * A job with everything of another but its identity, its photographs, its signatures and its returns.
 * @example copyOfJob(job, 'new', 'UR-9', now).number // "UR-9"
 */
export function copyOfJob(job: Job, id: string, number: string, now: string): Job {
  return {
    ...job,
    id,
    number,
    createdAt: now,
    updatedAt: now,
    archived: false,
    photos: [],
    signOff: blankSignOff(),
    visits: [],
  };
}

/**
 * The last job of every machine, by machine.
 * @example machinesOf([job, quad]).map((j) => j.machine.name) // ["Crag 400", "Scree 700"]
 */
export function machinesOf(jobs: readonly Job[]): readonly Job[] {
  const last = new Map<string, Job>();
  for (const job of jobs) {
    const known = last.get(job.machine.id);
    if (!known || job.updatedAt > known.updatedAt) last.set(job.machine.id, job);
  }
  return [...last.values()].sort((a, b) => byName(a.machine.name, b.machine.name));
}

/**
 * A copy with this tab's edits of a job that another tab changed at the same time.
 * @param job as this tab had it
 * @param id of the copy
 * @param at ISO time
 * @example copyOfEdit(job, 'b', '2026-05-04T09:00:00Z').number // "T-1, edited in another tab"
 */
export function copyOfEdit(job: Job, id: string, at: string): Job {
  // A copy leaves the visits behind; here they may be the very edit.
  return {
    ...copyOfJob(job, id, `${job.number}, edited in another tab`, at),
    visits: job.visits,
  };
}
