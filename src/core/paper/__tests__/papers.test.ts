import { crag, done as doneAll, fen, jobsOfEachKind, measured } from '@/testing/jobs';
import { put } from '@/testing/packs';
import fc from 'fast-check';

import { digestOf } from '@/files/digest';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { evaluate } from '../../evaluate/evaluate';
import { blankJob } from '../../job/blank';
import { fillStack, replaceByNew } from '../../job/edits/pack';
import { entry } from '../../job/entry';
import { withEntry } from '../../job/paths';
import type { Job } from '../../job/types';
import { releasedBy } from '../../release/way';
import { openItems } from '../../signoff/openItems';
import { withReason, reopened, signed } from '../../signoff/revisions';
import { jobSheet } from '../jobSheet';
import { orderList } from '../orderList';
import { orderSheet } from '../orderSheet';
import type { Paper } from '../paper';
import { customerSheet } from '../customerSheet';

/** All words of a sheet, in order. */
const wordsOf = (paper: Paper): string => JSON.stringify(paper.blocks);
const rider = (job: Job) => wordsOf(customerSheet(job));

const done = crag();
const half = crag();
const NOW = '2026-11-28T12:00:00.000Z';
/** With a reason for all that is open. */
const reasoned = (job: Job): Job =>
  openItems(job).reduce(
    (j, { id }) => withReason(j, { itemId: id, reason: 'to test', by: 'Bench 1', at: NOW }),
    job,
  );
const sign = (job: Job) => signed(reasoned(reopened(job, 'to test')), 'Bench 1', NOW, digestOf);

describe('the rider’s sheet', () => {
  it('keeps no replaced plate among those that stay', () => {
    const { plates, kinds } = done.pack;
    const isDisc = (id: string) => kinds.find((k) => k.id === id)?.lined !== 'none';
    const discs = plates.filter((p) => isDisc(p.kindId)).length;
    const replaced: Job = {
      ...done,
      pack: {
        ...done.pack,
        plates: plates.map((p) =>
          isDisc(p.kindId)
            ? { ...p, isNew: true }
            : { ...p, readings: { 1: entry(1.5) }, outOfFlat: entry(0.02) },
        ),
      },
    };
    const fitted = doneAll(replaced, 'build');
    expect(rider(fitted)).toContain(`${discs} friction discs replaced by new.`);
    expect(rider(fitted)).toContain('Fitted now');
    // Before the assembly they are only to be replaced.
    expect(rider(replaced)).toContain(`${discs} friction discs are to be replaced.`);
    expect(rider(replaced)).not.toMatch(/Fitted now|replaced by new|after break-in/);
    expect(rider(replaced)).not.toContain('friction discs can stay');
    expect(rider(replaced)).toContain('steel plates can stay');
  });

  it('describes an OK pack, and unfinished work only as unfinished', () => {
    expect(rider(done)).toContain('× peak torque at worst-case friction');
    const scarce = withEntry(half, 'release.leverTravel', entry(30));
    expect(evaluate(scarce).overall.state).toBe('stop');
    expect(rider(scarce)).toContain('The work is not finished yet.');
    expect(rider(scarce)).not.toContain('less than needed');
  });

  it('names the verdict of a signed pack on Watch', () => {
    // Full lift is heavy: nothing to finish, and the rider feels it.
    const heavy = sign(withEntry(reopened(done, 'to test'), 'release.pullMax', entry(40)));
    expect(evaluate(heavy).overall.title).toBe('Holds and releases, heavy lever');
    expect(rider(heavy)).not.toContain('not finished');
    expect(rider(heavy)).toMatch(/Maximum lever pull \d+\sN/);
    const open = reopened(heavy, 'lighter springs');
    expect(rider(open)).toContain('The work is not finished yet.');
  });

  it('sends the rider of a pack that was signed against a stop to the builder', () => {
    const slack = sign(withEntry(reopened(done, 'to test'), 'engine.peakTorque', entry(90)));
    expect(evaluate(slack).overall.state).toBe('stop');
    expect(rider(slack)).toContain('your builder has written why');
  });

  it('calls nothing amiss where plates were replaced and nothing else was asked', () => {
    const plain = blankJob('j', 'T-1', NOW);
    const [frictionKind, steelKind] = plain.pack.kinds.map((k) => k.id);
    const laid = fillStack(
      plain,
      { discs: 5, first: 'friction', frictionKind: frictionKind ?? '', steelKind: steelKind ?? '' },
      String,
    );
    const replaced = sign({ ...laid, intake: { ...laid.intake, purpose: 'replacePlates' } });
    expect(evaluate(replaced).overall.state).toBe('unknown');
    expect(rider(replaced)).not.toContain('your builder has written why. Please ask');
    expect(wordsOf(jobSheet(replaced))).not.toContain('Not judged');
    expect(wordsOf(jobSheet(replaced))).not.toContain('Lift required');
    expect(wordsOf(jobSheet(done))).toContain('Lift required *');
  });

  it('carries the cautions, those of a clutch that takes up by itself where it is one', () => {
    for (const job of jobsOfEachKind()) {
      const said = rider(job);
      expect(said).toContain('First ride slow, off the road, brakes tested');
      expect(said).toContain('manual and local rules take precedence over this sheet');
      const byItself = job.expanding.fitted || job.startClutch.place !== 'none';
      expect(said.includes('The machine can move')).toBe(byItself);
      // A machine without a lever gets no advice about one.
      expect(/the lever|free play/.test(said)).toBe(releasedBy(job) !== 'pedal');
    }
  });

  it('speaks to the rider of a belt machine of its start clutch alone', () => {
    const belt = put(
      {
        ...fen(),
        machine: { ...fen().machine, layout: 'startAndBelt' },
        intake: { ...fen().intake, aims: [], complaints: [] },
        startClutch: { ...fen().startClutch, oneWay: 'locksOneWay' },
        pack: { ...fen().pack, plates: [] },
      },
      {
        'startClutch.shoeLining': 2.4,
        'startClutch.shoeLiningMin': 1.5,
        'startClutch.drumBore': 56,
        'startClutch.drumBoreMax': 57,
      },
    );
    const said = rider(doneAll(belt, 'build'));
    expect(said).toContain('All inspected parts can stay.');
    expect(said).not.toMatch(/lever|free play|break-in/);
  });

  it('counts what is new in it', () => {
    const fresh: Job = {
      ...half,
      pack: {
        ...half.pack,
        plates: half.pack.plates.map((p, i) =>
          i < 3 ? { id: p.id, kindId: p.kindId, isNew: true } : p,
        ),
      },
    };
    expect(rider(fresh)).toContain('15 plates, of which new: 2 discs and 1 steel.');
  });
});

describe('a fault that was looked for', () => {
  it('is printed with its likely causes on both sheets, and no other job is', () => {
    const tilted: Job = {
      ...crag(),
      intake: { ...crag().intake, purpose: 'findFault', complaints: ['drags'] },
      setting: { ...crag().setting, thumbTest: 'tilts' },
    };
    for (const sheet of [customerSheet, jobSheet]) {
      expect(wordsOf(sheet(tilted))).toMatch(
        /Pressure plate lifts on one side, \d+ in 100\. Thumb test: the plate tilts/,
      );
      expect(wordsOf(sheet(crag()))).not.toContain('Likely causes');
    }
    expect(rider(tilted)).toContain('"Pack"');
  });
});

describe('the job sheet', () => {
  it('keeps what was measured on a plate that was replaced, and why', () => {
    const worn = measured(crag(), 0.2);
    const steel = worn.pack.plates[1]!;
    const warped = withEntry(worn, `pack.plates.${steel.id}.outOfFlat`, entry(0.23));
    const sheet = (job: Job) => wordsOf(jobSheet(job));
    const once = replaceByNew(warped, new Map([[steel.id, 'Out of flat.']]));
    expect(sheet(once)).toContain('"Steel, plate 2"');
    expect(sheet(once)).toMatch(/0\.23\smm out of flat\. Out of flat\./);
    expect(once.pack.plates[1]).toEqual({ id: steel.id, kindId: steel.kindId, isNew: true });
    // The new one may be found bad as well: both are kept.
    const twice = replaceByNew(once, new Map([[steel.id, 'Dropped.']]));
    expect(twice.replaced?.map((r) => r.why)).toEqual(['Out of flat.', 'Dropped.']);
    expect(new Set(twice.replaced?.map((r) => r.id)).size).toBe(2);
    expect(replaceByNew(warped, new Map())).toBe(warped);
  });
});

describe('the order list', () => {
  it('has the new plates, what is worn or scrap, and what is used up', () => {
    const worn = withEntry(half, 'pack.plates.p3.readings.1', entry(2));
    const lines = orderList(worn);
    expect(lines.find((l) => l.why === 'old part worn')).toMatchObject({
      count: 1,
      from: 'order',
    });
    const fresh: Job = {
      ...half,
      pack: {
        ...half.pack,
        plates: half.pack.plates.map((p) =>
          p.kindId === half.pack.plates[2]?.kindId
            ? { id: p.id, kindId: p.kindId, isNew: true }
            : p,
        ),
      },
    };
    expect(orderList(fresh).find((l) => l.why === 'new in this pack')?.count).toBe(8);
    expect(orderList(half).map((l) => l.what)).toEqual(
      expect.arrayContaining(['Lock washer', 'Cover gasket', 'Oil for wet clutches']),
    );
  });

  it('has the lock washer of a hub nut that nobody has listed, and nothing for no pack at all', () => {
    const unlisted: Job = { ...half, build: { ...half.build, fasteners: [] } };
    expect(orderList(unlisted).filter((l) => l.what === 'Lock washer')).toEqual([
      expect.objectContaining({ count: 1, spec: 'Hub nut', why: 'never reused' }),
    ]);
    expect(orderList(blankJob('one', 'UR-1', NOW))).toEqual([]);
  });

  it('distinguishes parts on the shelf from parts to order', () => {
    const shelved: Job = {
      ...half,
      pack: {
        ...half.pack,
        plates: half.pack.plates.map((p, i) => (i === 1 ? { ...p, shelfId: 's1' } : p)),
      },
    };
    expect(orderList(shelved).filter((l) => l.from === 'shelf')).toEqual([
      expect.objectContaining({ count: 1, why: 'chosen for this pack' }),
    ]);
  });
});

describe('any sheet', () => {
  it('can be made of any job, and never says what is no number', () => {
    fc.assert(
      fc.property(arbitraryJob, (job) => {
        for (const make of [jobSheet, customerSheet, orderSheet]) {
          const paper = make(job);
          expect(paper.blocks.length).toBeGreaterThan(0);
          expect(wordsOf(paper)).not.toMatch(/NaN|undefined|Infinity|\[object/);
        }
      }),
      { numRuns: 60 },
    );
  });

  it('has the machine and its number as title', () => {
    for (const job of jobsOfEachKind())
      for (const make of [jobSheet, customerSheet, orderSheet]) {
        const { title, foot } = make(job);
        expect(title).toContain(job.machine.name);
        expect(foot).toContain(job.number);
      }
  });
});
