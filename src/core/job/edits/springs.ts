import { omit } from '../../omit';
import { blankCoilGroup } from '../blank';
import { MAX_GROUPS, MAX_STEPS, MAX_TESTER_POINTS } from '../fields';
import type { CoilGroup, DiaphragmSpring, Job, SpringType } from '../types';
import { changeItem, freeName } from './lists';

function withGroups(job: Job, groups: readonly CoilGroup[]): Job {
  const ids = new Set(groups.map((g) => g.id));
  const ring = job.springs.coil.ring.filter((id) => ids.has(id));
  return { ...job, springs: { ...job.springs, coil: { ...job.springs.coil, groups, ring } } };
}

const withDiaphragm = (job: Job, diaphragm: DiaphragmSpring): Job => ({
  ...job,
  springs: { ...job.springs, diaphragm },
});

/**
 * Chooses the spring type; data of the other types stay.
 * @example chooseSpringType(job, 'diaphragm').springs.type // "diaphragm"
 */
export const chooseSpringType = (job: Job, type: SpringType): Job => ({
  ...job,
  springs: { ...omit(job.springs, 'undecided'), type },
});

/**
 * Adds a group of coil springs.
 * @returns the same job where it has as many groups as a job takes
 * @example addGroup(job, 'g9').springs.coil.groups.at(-1)?.id // "g9"
 */
export function addGroup(job: Job, id: string): Job {
  const { groups } = job.springs.coil;
  if (groups.length >= MAX_GROUPS) return job;
  const name = freeName(
    'Springs',
    groups.map((g) => g.name),
  );
  return withGroups(job, [...groups, blankCoilGroup(id, name)]);
}

/** Names a group of coil springs, or chooses the source of its rate. */
export const changeGroup = (
  job: Job,
  groupId: string,
  part: Partial<Pick<CoilGroup, 'name' | 'rateFrom'>>,
): Job => withGroups(job, changeItem(job.springs.coil.groups, groupId, part));

/** Removes a group of coil springs, from the ring of posts too. */
export const removeGroup = (job: Job, groupId: string): Job =>
  withGroups(
    job,
    job.springs.coil.groups.filter((g) => g.id !== groupId),
  );

function changePoints(
  job: Job,
  groupId: string,
  change: (points: CoilGroup['testerPoints']) => CoilGroup['testerPoints'],
): Job {
  return withGroups(
    job,
    job.springs.coil.groups.map((g) =>
      g.id === groupId ? { ...g, testerPoints: change(g.testerPoints) } : g,
    ),
  );
}

/** Adds an empty tester point to a group of coil springs, up to as many as a job takes. */
export const addTesterPoint = (job: Job, groupId: string, id: string): Job =>
  changePoints(job, groupId, (points) =>
    points.length >= MAX_TESTER_POINTS ? points : [...points, { id }],
  );

/** Removes a tester point of a group of coil springs. */
export const removeTesterPoint = (job: Job, groupId: string, pointId: string): Job =>
  changePoints(job, groupId, (points) => points.filter((p) => p.id !== pointId));

/** Chooses the source of the diaphragm force, or the retainer step in use. */
export const chooseDiaphragm = (
  job: Job,
  part: Partial<Pick<DiaphragmSpring, 'forceFrom' | 'stepId' | 'stepBy' | 'heightActs'>>,
): Job => withDiaphragm(job, { ...job.springs.diaphragm, ...part });

/** Adds a retainer step; the first one is the one that is used. */
export function addStep(job: Job, id: string): Job {
  const { diaphragm } = job.springs;
  const { steps, stepId } = diaphragm;
  if (steps.length >= MAX_STEPS) return job;
  const step = { id, name: String(steps.length + 1) };
  return withDiaphragm(job, { ...diaphragm, steps: [...steps, step], stepId: stepId ?? id });
}

/** Removes a retainer step; where it was the one that is used, the first one left is. */
export function removeStep(job: Job, id: string): Job {
  const { diaphragm } = job.springs;
  const steps = diaphragm.steps.filter((s) => s.id !== id);
  const stepId = diaphragm.stepId === id ? steps[0]?.id : diaphragm.stepId;
  return withDiaphragm(job, {
    ...omit(diaphragm, 'stepId'),
    steps,
    ...(stepId === undefined ? {} : { stepId }),
  });
}

/** Adds an empty tester point of the diaphragm, up to as many as a job takes. */
export function addDiaphragmPoint(job: Job, id: string): Job {
  const { diaphragm } = job.springs;
  return diaphragm.points.length >= MAX_TESTER_POINTS
    ? job
    : withDiaphragm(job, { ...diaphragm, points: [...diaphragm.points, { id }] });
}

/** Removes a tester point of the diaphragm. */
export function removeDiaphragmPoint(job: Job, pointId: string): Job {
  const { diaphragm } = job.springs;
  return withDiaphragm(job, {
    ...diaphragm,
    points: diaphragm.points.filter((p) => p.id !== pointId),
  });
}
