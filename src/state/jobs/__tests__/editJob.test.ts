import { crag, scree, signedOff, visitOf } from '@/testing/jobs';
import { fieldPath } from '@/core/job/fieldPath';
import { chooseRelease, writeDetails } from '@/core/job/edits/details';
import { entry } from '@/core/job/entry';
import type { Job } from '@/core/job/types';
import { withEntry } from '@/core/job/paths';
import { isFrozen } from '@/core/job/signOff';
import { reopened, signed } from '@/core/signoff/revisions';
import { digestOf } from '@/files/digest';
import { makeStore } from '@/state/store';

import { archiveJob, editJob, typeInField } from '../editJob';
import { refusalRead, historyOpened, undone } from '../editing';
import { jobActions } from '../jobsSlice';

const signedJob: Job = {
  ...signedOff(scree()),
  visits: [visitOf(scree(), '2026-05-01', 230, 0.02)],
};
const ID = signedJob.id;

function setUp() {
  const store = makeStore();
  store.dispatch(jobActions.jobsLoaded({ jobs: [crag(), signedJob], drafts: {} }));
  store.dispatch(historyOpened({ jobId: ID }));
  const job = () => {
    const found = store.getState().jobs.entities[ID];
    if (!found) throw new Error('gone');
    return found;
  };
  const type = (text: string) => store.dispatch(typeInField(ID, 'engine.peakTorque', text, {}));
  return { store, job, type };
}

describe('a signed job', () => {
  it('refuses every kind of edit whole, drafts too, and remembers that it did', () => {
    const { store, job, type } = setUp();
    const before = job();
    for (const edit of [
      () => type('55'),
      () => type('fifty'),
      () => store.dispatch(editJob(ID, (job) => writeDetails(job, { notes: 'other' }))),
      () => store.dispatch(editJob(ID, (j) => chooseRelease(j, 'cable'))),
      () => store.dispatch(editJob(ID, (j) => withEntry(j, 'release.freePlay', entry(9)))),
    ]) {
      store.dispatch(refusalRead());
      expect(store.getState().jobs.refusedId).toBeUndefined();
      edit();
      expect(job()).toBe(before);
      expect(store.getState().jobs.drafts[ID]).toBeUndefined();
      expect(store.getState().jobs.refusedId).toBe(ID);
    }
    // Other jobs go on being edited, and the archive takes any.
    store.dispatch(editJob('crag', (job) => writeDetails(job, { notes: 'other' })));
    expect(store.getState().jobs.entities['crag']?.notes).toBe('other');
    store.dispatch(archiveJob(ID, true));
    expect(job().archived).toBe(true);
  });

  it('takes the machine’s returns, which the signature does not cover, and nothing with them', () => {
    const { store, job } = setUp();
    const path = fieldPath('visits.*.hours', job().visits[0]?.id ?? '');
    const typed = (text: string) => store.dispatch(typeInField(ID, path, text, {}));
    typed('231');
    expect(job().visits[0]?.hours?.value).toBe(231);
    typed('two hundred');
    expect(store.getState().jobs.drafts[ID]?.[path]?.text).toBe('two hundred');
    expect(store.getState().jobs.refusedId).toBeUndefined();
    expect(isFrozen(job())).toBe(true);
    const before = job();
    store.dispatch(editJob(ID, (j) => ({ ...j, visits: [], notes: 'other' })));
    expect(job()).toBe(before);
    // The digest of what was signed still holds.
    const [revision] = job().signOff.revisions;
    expect(revision && digestOf(revision.record)).toBe(revision?.digest);
  });

  it('opens with a reason; undo goes back to that and no further than the signature', () => {
    const { store, job, type } = setUp();
    const before = job();
    store.dispatch(editJob(ID, (j) => reopened(j, 'more play')));
    expect(isFrozen(job())).toBe(false);
    type('55');
    expect(job().engine.peakTorque?.value).toBe(55);
    store.dispatch(undone());
    expect(job().engine.peakTorque?.value).toBe(40);
    store.dispatch(editJob(ID, (j) => signed(j, 'Bench 1', '2026-11-25T12:00:00.000Z', digestOf)));
    expect(job().signOff.revisions).toHaveLength(2);
    store.dispatch(undone());
    expect(job().signOff.revisions).toHaveLength(2);
    expect(job().signOff.revisions[0]).toBe(before.signOff.revisions[0]);
  });
});

it('refuses an edit that makes a list longer than a file takes, and says which', () => {
  const { store } = setUp();
  const id = 'crag';
  const before = store.getState().jobs.entities[id];
  const photo = { id: 'p', caption: '', takenAt: '', width: 1, height: 1, bytes: 0 };
  store.dispatch(editJob(id, (j) => ({ ...j, photos: Array.from({ length: 201 }, () => photo) })));
  expect(store.getState().jobs.entities[id]).toBe(before);
  expect(store.getState().jobs.full).toEqual({ jobId: id, path: 'photos', most: 200 });
  store.dispatch(refusalRead());
  expect(store.getState().jobs.full).toBeUndefined();
});

it('leaves an edit alone that was made while another function only looked', () => {
  const { store } = setUp();
  const id = 'crag';
  store.dispatch(
    editJob(id, (seen) => {
      store.dispatch(editJob(id, (j) => ({ ...j, notes: `${seen.notes} and more` })));
      return seen;
    }),
  );
  expect(store.getState().jobs.entities[id]?.notes).toContain(' and more');
});
