import { STORED_PARTS } from '@/state/saving/parts';
import { makeStore } from '../store';

import { practiceActions } from '../practiceSlice';

const part = STORED_PARTS.find((p) => p.key === 'practice');
const kind = 'measureDisc';

describe('practice', () => {
  it('keeps a case as it is worked on, and counts it once it is checked', () => {
    const { dispatch, getState } = makeStore();
    const progress = () => getState().practice.exercises[kind];
    dispatch(practiceActions.measured({ kind, spot: 'disc.0' }));
    expect(progress()?.open).toBeUndefined();
    dispatch(practiceActions.caseOpened({ kind, seed: 4 }));
    dispatch(practiceActions.measured({ kind, spot: 'disc.0' }));
    dispatch(practiceActions.measured({ kind, spot: 'disc.0' }));
    dispatch(practiceActions.answered({ kind, question: 'least', answer: '2.7' }));
    expect(progress()?.open).toEqual({
      seed: 4,
      answers: { least: '2.7' },
      taken: ['disc.0'],
      checked: false,
    });
    dispatch(practiceActions.caseChecked({ kind, share: 0.5 }));
    dispatch(practiceActions.caseChecked({ kind, share: 1 }));
    // A checked answer stays: neither the answer nor the count changes any more.
    dispatch(practiceActions.answered({ kind, question: 'least', answer: '2.6' }));
    expect(progress()).toMatchObject({ done: 1, right: 0, best: 0.5, last: 0.5 });
    expect(progress()?.open?.answers).toEqual({ least: '2.7' });
    dispatch(practiceActions.caseOpened({ kind, seed: 5 }));
    dispatch(practiceActions.caseChecked({ kind, share: 1 }));
    expect(progress()).toMatchObject({ done: 2, right: 1, best: 1, last: 1 });
  });

  it('is stored and read again, and refused where it is no such record', () => {
    const first = makeStore();
    first.dispatch(practiceActions.caseOpened({ kind, seed: 4 }));
    first.dispatch(practiceActions.answered({ kind, question: 'order', answer: ['1', '4'] }));
    first.dispatch(
      practiceActions.handsRecorded([
        { t: 0, lever: 1, throttle: 0 },
        { t: 1, lever: 0, throttle: 0.4 },
      ]),
    );
    const stored: unknown = JSON.parse(JSON.stringify(part?.of(first.getState())));
    const second = makeStore();
    expect(part?.take(second.dispatch, stored)).toBe(true);
    expect(second.getState().practice).toEqual(first.getState().practice);
    const progress = { done: 1, right: 1, best: 1, last: 1 };
    for (const odd of [
      undefined,
      [],
      {},
      { exercises: { measureDisc: 3 } },
      { exercises: { measureDisc: { ...progress, best: 7 } } },
      { exercises: { measureDisc: { ...progress, open: { seed: 'x', answers: {}, taken: [] } } } },
      {
        exercises: {
          measureDisc: { ...progress, open: { seed: 1, answers: { a: 3 }, taken: [] } },
        },
      },
      { exercises: {}, hands: [{ t: 0, lever: 2, throttle: 0 }] },
      { exercises: {}, hands: [{ t: 'now' }, null] },
    ])
      expect(part?.take(second.dispatch, odd)).toBe(false);
    expect(second.getState().practice).toEqual(first.getState().practice);
  });
});
