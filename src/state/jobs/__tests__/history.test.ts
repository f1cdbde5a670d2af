import type { FieldPath } from '@/core/job/fieldPath';
import { typeInField } from '../editJob';
import { configureStore } from '@reduxjs/toolkit';
import fc from 'fast-check';

import { blankJob } from '@/core/job/blank';

import { historyOpened, redone, undone } from '../editing';
import { jobActions, jobsReducer } from '../jobsSlice';

const ID = 'one';

function opened() {
  const store = configureStore({
    reducer: { jobs: jobsReducer },
    middleware: (defaults) => defaults({ serializableCheck: false, immutableCheck: false }),
  });
  const job = blankJob(ID, 'UR-0101', '2026-01-01T00:00:00.000Z');
  store.dispatch(jobActions.jobsLoaded({ jobs: [job], drafts: {} }));
  store.dispatch(historyOpened({ jobId: ID }));
  const type = (path: FieldPath, text: string) => store.dispatch(typeInField(ID, path, text, {}));
  const now = () => {
    const { entities, drafts } = store.getState().jobs;
    return { job: entities[ID], drafts: drafts[ID] ?? {} };
  };
  return { store, job, type, now };
}

describe('undo and redo', () => {
  it('knows no step that was no edit of the job: reading others, drafts elsewhere', () => {
    const { store } = opened();
    store.dispatch(jobActions.jobsRead({ jobs: [], missing: ['other'] }));
    store.dispatch(jobActions.draftsSynced({ jobId: 'other', drafts: {} }));
    expect(store.getState().jobs.history?.past).toEqual([]);
  });

  it('takes typing in one field as one step, and brings back what stood there', () => {
    const { store, job, type, now } = opened();
    type('engine.peakTorque', '4');
    type('engine.peakTorque', '40');
    type('engine.primaryRatio', '2.8');
    store.dispatch(undone());
    expect(now().job?.engine).toEqual({ peakTorque: { value: 40 } });
    store.dispatch(undone());
    expect(now().job).toBe(job);
    store.dispatch(redone());
    store.dispatch(redone());
    expect(now().job?.engine.primaryRatio?.value).toBe(2.8);
  });

  it('brings back text that was no value', () => {
    const { store, type, now } = opened();
    type('engine.peakTorque', 'forty');
    type('engine.primaryRatio', '2.8');
    type('engine.peakTorque', '40');
    store.dispatch(undone());
    expect(now().drafts['engine.peakTorque']?.text).toBe('forty');
  });

  it('forgets what was undone once another edit is made', () => {
    const { store, type, now } = opened();
    type('engine.peakTorque', '40');
    store.dispatch(undone());
    type('engine.primaryRatio', '2');
    store.dispatch(redone());
    expect(now().job?.engine).toEqual({ primaryRatio: { value: 2 } });
  });

  it('leads back to the start and on to the end, whatever was done', () => {
    const edits = fc.array(
      fc.oneof(
        fc.tuple(
          fc.constantFrom('engine.peakTorque', 'engine.primaryRatio', 'pack.windowMin'),
          fc.constantFrom('3', '4.5', 'x', ''),
        ),
        fc.constantFrom('undo' as const, 'redo' as const),
      ),
      { maxLength: 40 },
    );
    fc.assert(
      fc.property(edits, (list) => {
        const { store, job, type, now } = opened();
        for (const e of list) {
          if (e === 'undo') store.dispatch(undone());
          else if (e === 'redo') store.dispatch(redone());
          else type(...e);
        }
        for (let i = 0; i < 50; i++) store.dispatch(redone());
        const end = now();
        for (let i = 0; i < 50; i++) store.dispatch(undone());
        expect(now()).toEqual({ job, drafts: {} });
        for (let i = 0; i < 50; i++) store.dispatch(redone());
        expect(now()).toEqual(end);
      }),
      { numRuns: 60 },
    );
  });

  it('belongs to the job that is open', () => {
    const { store, job, type, now } = opened();
    type('engine.peakTorque', '40');
    store.dispatch(historyOpened({ jobId: 'another' }));
    store.dispatch(undone());
    expect(now().job).not.toBe(job);
  });
});
