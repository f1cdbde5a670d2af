import { blankJob } from './blank';
import type { CoilGroup, Inspection, Job, Plate, Release } from './types';

/** The plate as specified, without what was measured or seen on the part that lay there. */
const asSpecified = ({ id, kindId, facing, judder, offsetSlot }: Plate): Plate => ({
  id,
  kindId,
  ...(facing ? { facing } : {}),
  ...(judder ? { judder } : {}),
  ...(offsetSlot ? { offsetSlot } : {}),
});

/** The springs as specified: a measured free length belongs to the set that was measured. */
const groupAsSpecified = (group: CoilGroup): CoilGroup =>
  group.freeLength?.source?.kind === 'measured'
    ? (({ freeLength: _measured, ...rest }) => rest)(group)
    : group;

/** The train without what time took from it. */
const releaseAsBuilt = ({
  measuredLift: _lift,
  freePlay: _freePlay,
  stretch: _stretch,
  pivotWear: _pivotWear,
  air: _air,
  ...rest
}: Release): Release => ({ ...rest, liftReadings: [] });

/** Limits and the length of the runs stay with the machine; readings and sights do not. */
function limitsOf(inspection: Inspection): Inspection {
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
 * A new job for a machine that has been here before: its record is used again (engine, pack as specified, springs,
 * release, limits, the shop's strip list), and nothing that was measured, said or counted last time.
 * @param now ISO time, given by the caller so that the core stays pure
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
    pack: { ...packAsSpecified, plates: last.pack.plates.map(asSpecified) },
    springs: {
      ...last.springs,
      coil: { ...last.springs.coil, groups: last.springs.coil.groups.map(groupAsSpecified) },
      diaphragm: cone,
    },
    assist: last.assist,
    startClutch: last.startClutch,
    release: releaseAsBuilt(last.release),
    expanding: last.expanding,
    setting: { ...last.setting, readings: [] },
    strip: {
      ...blank.strip,
      steps: last.strip.steps.map((s) => ({ ...s, done: false })),
      parts: last.strip.parts.map(({ id: partId, name, note }) => ({ id: partId, name, note })),
    },
    inspection: limitsOf(last.inspection),
  };
}

/** A job with everything of another but its identity and its photographs. */
export function copyOfJob(job: Job, id: string, number: string, now: string): Job {
  return { ...job, id, number, createdAt: now, updatedAt: now, archived: false, photos: [] };
}

/** The last job of every machine, by machine. */
export function machinesOf(jobs: readonly Job[]): readonly Job[] {
  const last = new Map<string, Job>();
  for (const job of jobs) {
    const known = last.get(job.machine.id);
    if (!known || job.updatedAt > known.updatedAt) last.set(job.machine.id, job);
  }
  return [...last.values()].sort((a, b) => a.machine.name.localeCompare(b.machine.name));
}
