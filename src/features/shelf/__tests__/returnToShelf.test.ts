import { jobOf, smallStock } from '@/testing/jobs';
import { evaluate } from '@/core/evaluate/evaluate';
import { inspect } from '@/core/inspect/inspect';
import { springsAway } from '@/core/shelf/fromJob';
import { jobActions } from '@/state/jobs/jobsSlice';
import { makeStore } from '@/state/store';

import { returnPlate, returnSpringsToShelf } from '../returnToShelf';
import { shelfActions } from '@/state/shelfSlice';

const TODAY = '2026-11-24';

function open(number: string) {
  const store = makeStore();
  const job = jobOf(number);
  store.dispatch(shelfActions.shelfLoaded(smallStock()));
  store.dispatch(jobActions.jobsLoaded({ jobs: [job], drafts: {} }));
  return {
    store,
    job,
    plates: inspect(job, evaluate(job)).parts.filter((p) => p.plate),
    now: () => store.getState().jobs.entities[job.id],
    shelf: () => store.getState().shelf,
  };
}

describe('putting plates of a job away', () => {
  it('moves each with what it measured, lays new ones, and takes all of it back', () => {
    const { store, job, plates, now, shelf } = open('T-1');
    const some = plates.filter((p) => !p.plate?.plate.shelfId).slice(0, 3);
    const before = shelf();
    const done = store.dispatch(returnPlate(job.id, some, 'scrap', TODAY));
    expect(done.text).toContain('Replaced by new parts.');
    expect(shelf().scrap).toHaveLength(before.scrap.length + 3);
    // They were fit to be kept: that is the builder's own judgement.
    expect(shelf().scrap.at(-1)?.why).toBe('by the builder');
    expect(new Set(shelf().scrap.map((p) => p.label)).size).toBe(before.scrap.length + 3);
    for (const { id } of some) {
      const plate = now()?.pack.plates.find((p) => p.id === id);
      expect(plate).toMatchObject({ isNew: true });
      expect(plate?.readings).toBeUndefined();
    }
    done.undo?.();
    expect(shelf()).toEqual(before);
    expect(now()?.pack).toEqual(job.pack);
  });

  it('gives a plate that came from the shelf back as the item that it was', () => {
    const { store, job, plates, now, shelf } = open('T-1');
    const [item] = shelf().plates;
    const [first] = plates;
    if (!item || !first?.plate) throw new Error('nothing to try with');
    const part = {
      ...first,
      plate: { ...first.plate, plate: { ...first.plate.plate, shelfId: item.id } },
    };
    const before = shelf();
    const done = store.dispatch(returnPlate(job.id, [part], 'shelf', TODAY));
    expect(done.text).toContain(`is back on the shelf as ${item.label}`);
    expect(shelf()).toEqual(before);
    expect(now()?.pack.plates.find((p) => p.id === first.id)?.shelfId).toBeUndefined();
  });

  it('takes a plate that came from the shelf off it when it goes to the scrap', () => {
    const { store, job, plates, shelf } = open('T-1');
    const item = shelf().plates.find((p) => p.count > 1);
    const [first] = plates;
    if (!item || !first?.plate) throw new Error('nothing to try with');
    const part = {
      ...first,
      plate: { ...first.plate, plate: { ...first.plate.plate, shelfId: item.id } },
    };
    const before = shelf();
    const left = () => shelf().plates.find((p) => p.id === item.id)?.count;
    const done = store.dispatch(returnPlate(job.id, [part], 'scrap', TODAY));
    expect(left()).toBe(item.count - 1);
    expect(shelf().scrap).toHaveLength(before.scrap.length + 1);
    done.undo?.();
    expect(shelf()).toEqual(before);
  });

  it('moves springs with what they are, and takes them back', () => {
    const { store, job, now, shelf } = open('T-1');
    const [group] = job.springs.coil.groups;
    if (!group) throw new Error('no springs');
    const before = shelf();
    for (const where of ['shelf', 'scrap'] as const) {
      const done = store.dispatch(returnSpringsToShelf(job.id, group.id, where, TODAY));
      expect(done.text).toMatch(where === 'shelf' ? /are on the shelf/ : /are scrap/);
      const item = where === 'shelf' ? shelf().springs.at(-1) : shelf().scrapSprings.at(-1);
      expect(item).toMatchObject({ count: group.count?.value, from: 'T-1' });
      expect(springsAway(shelf(), job, group)).toBe(true);
      done.undo?.();
      expect(shelf()).toEqual(before);
      expect(springsAway(shelf(), job, group)).toBe(false);
      expect(now()?.springs).toEqual(job.springs);
      expect(now()?.inspection).toEqual(job.inspection);
    }
  });

  it('leaves a plate of unknown thickness where it is and says why', () => {
    const { store, job, plates, now } = open('T-5');
    const [first] = plates;
    if (!first?.plate) throw new Error('no plate');
    const { thickness: _t, ...kind } = first.plate.kind;
    const bare = { ...first, plate: { ...first.plate, kind } };
    const done = store.dispatch(returnPlate(job.id, [bare], 'shelf', TODAY));
    expect(done.text).toMatch(/stays: it was not measured/);
    expect(done.undo).toBeUndefined();
    expect(now()).toBe(store.getState().jobs.entities[job.id]);
  });
});
