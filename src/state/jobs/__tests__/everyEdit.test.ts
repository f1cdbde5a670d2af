import { crag, signedOff } from '@/testing/jobs';
import { configureStore } from '@reduxjs/toolkit';

import * as details from '@/core/job/edits/details';
import * as pack from '@/core/job/edits/pack';
import * as springs from '@/core/job/edits/springs';
import { isFrozen } from '@/core/job/signOff';
import type { Job } from '@/core/job/types';
import * as packEdit from '@/core/pack/edit';

import { historyOpened, undone } from '../editing';
import { editJob } from '../editJob';
import { jobActions, jobsReducer } from '../jobsSlice';

/*
 * Every edit that the core has, on a job that is open and on one that is signed. An edit that is added without a line here
 * fails the types.
 */

type Change = (job: Job) => Job;
type Edits<M> = {
  readonly [K in keyof M as M[K] extends (job: Job, ...rest: never[]) => Job ? K : never]: Change;
};

const job = crag();
const disc = job.pack.kinds[0]?.id ?? '';
const plates = job.pack.plates.slice(2, 4).map((p) => p.id);
const filling = { discs: 3, first: 'steel', frictionKind: disc, steelKind: disc } as const;
const group = job.springs.coil.groups[0]?.id ?? '';
const withParts: Job = {
  ...job,
  pack: { ...job.pack, kinds: [...job.pack.kinds, { ...job.pack.kinds[0]!, id: 'spare' }] },
  springs: {
    ...job.springs,
    coil: {
      ...job.springs.coil,
      groups: job.springs.coil.groups.map((g) => ({ ...g, testerPoints: [{ id: 't1' }] })),
    },
    diaphragm: {
      ...job.springs.diaphragm,
      points: [{ id: 'd1' }],
      steps: [
        { id: 's1', name: '1' },
        { id: 's2', name: '2' },
      ],
    },
  },
};

const DETAILS: Edits<typeof details> = {
  writeDetails: (j) => details.writeDetails(j, { notes: 'Call first' }),
  archive: (j) => details.archive(j, true),
  chooseAttachment: (j) => details.chooseAttachment(j, 'assist', 'levers'),
  chooseLayout: (j) => details.chooseLayout(j, 'startAndPack'),
  chooseRelease: (j) => details.chooseRelease(j, 'hydraulic'),
  chooseSource: (j) => details.chooseSource(j, 'release.leverTravel', { kind: 'manual' }),
  chooseReading: (j) => details.chooseReading(j, 'release.leverTravel', 61, '61 mm'),
};
const PACK: Edits<typeof pack> = {
  addKind: (j) => pack.addKind(j, 'steel', 'k9'),
  changeKind: (j) => pack.changeKind(j, disc, { name: 'Thin' }),
  removeKind: (j) => pack.removeKind(j, 'spare'),
  withAllNew: (j) => pack.withAllNew(j),
  newByIntake: (j) => pack.newByIntake({ ...j, intake: { ...j.intake, newPlates: 'discs' } }),
  chooseNewPlates: (j) => pack.chooseNewPlates(j, 'all'),
  fillStack: (j) => pack.fillStack(j, filling, (n) => `n${n}`),
  replaceByNew: (j) => pack.replaceByNew(j, new Map([[j.pack.plates[0]!.id, 'Worn.']])),
  choosePack: (j) => pack.choosePack(j, { floorTurnsWith: 'basket' }),
};
const SPRINGS: Edits<typeof springs> = {
  chooseSpringType: (j) => springs.chooseSpringType(j, 'loose'),
  addGroup: (j) => springs.addGroup(j, 'g9'),
  changeGroup: (j) => springs.changeGroup(j, group, { name: 'Softer' }),
  removeGroup: (j) => springs.removeGroup(j, group),
  addTesterPoint: (j) => springs.addTesterPoint(j, group, 't9'),
  removeTesterPoint: (j) => springs.removeTesterPoint(j, group, 't1'),
  chooseDiaphragm: (j) => springs.chooseDiaphragm(j, { stepId: 's2' }),
  addStep: (j) => springs.addStep(j, 's9'),
  removeStep: (j) => springs.removeStep(j, 's1'),
  addDiaphragmPoint: (j) => springs.addDiaphragmPoint(j, 'd9'),
  removeDiaphragmPoint: (j) => springs.removeDiaphragmPoint(j, 'd1'),
};
const PLATES: Edits<typeof packEdit> = {
  movedByOne: (j) => packEdit.movedByOne(j, plates, 1),
  movedTo: (j) => packEdit.movedTo(j, plates, 0),
  duplicated: (j) => packEdit.duplicated(j, plates, () => 'p9'),
  flipped: (j) => packEdit.flipped(j, plates),
  removed: (j) => packEdit.removed(j, plates),
  inserted: (j) => packEdit.inserted(j, disc, 1, 'p9'),
  ofKind: (j) => packEdit.ofKind(j, plates, 'spare'),
  ofThickness: (j) => packEdit.ofThickness(j, plates, 1.77, () => 'k9'),
  markedNew: (j) => packEdit.markedNew(j, plates, true),
};

const EVERY: readonly (readonly [string, Change])[] = [DETAILS, PACK, SPRINGS, PLATES].flatMap(
  (edits) => Object.entries(edits),
);

function opened(begun: Job) {
  const store = configureStore({ reducer: { jobs: jobsReducer } });
  store.dispatch(jobActions.jobsLoaded({ jobs: [begun], drafts: {} }));
  store.dispatch(historyOpened({ jobId: begun.id }));
  return { store, now: () => store.getState().jobs.entities[begun.id] };
}

describe('every edit of the core', () => {
  it.each(EVERY)('%s changes an open job, stamps it, and is undone', (_name, change) => {
    const { store, now } = opened(withParts);
    store.dispatch(editJob(withParts.id, change));
    expect(now()).not.toEqual(withParts);
    expect(now()?.updatedAt).not.toBe(withParts.updatedAt);
    store.dispatch(undone());
    expect(now()).toBe(withParts);
  });

  it.each(EVERY)('%s leaves a signed job as it was signed', (name, change) => {
    const signed: Job = { ...withParts, signOff: signedOff(crag()).signOff };
    expect(isFrozen(signed)).toBe(true);
    const { store, now } = opened(signed);
    store.dispatch(editJob(signed.id, change));
    const { refusedId } = store.getState().jobs;
    // The archive is no part of the record that was signed.
    if (name === 'archive') expect(now()).toMatchObject({ archived: true });
    else {
      expect(now()).toBe(signed);
      expect(refusedId).toBe(signed.id);
    }
  });
});
