import { put } from '@/testing/packs';
import { blankWork } from '@/core/job/work';
import { cairn, crag, finished, measured, scree, signedOff } from '@/testing/jobs';
import fc from 'fast-check';

import { entry } from '@/core/job/entry';
import { copyOfJob, nextJobOf } from '@/core/job/derive';
import { withEntry } from '@/core/job/paths';
import { readSentence } from '@/core/text/sentence';
import type { FieldPath } from '../../job/fieldPath';
import type { Job } from '@/core/job/types';
import { isFrozen } from '@/core/job/signOff';
import { digestOf } from '@/files/digest';
import { arbitraryJob } from '@/testing/arbitraryJob';

import { canSign, openItems } from '../openItems';
import { recheckFindings } from '../recheck';
import { jobOfRevision, withReason, reopened, signed } from '../revisions';

const NOW = '2026-11-25T12:00:00.000Z';
const half: Job = withEntry(
  { ...finished(measured(crag(), 0.02)), work: blankWork() },
  'strip.parts.n4.in',
  entry(5),
);
const signedJob = signedOff(measured(crag(), 0.02));
const whole = reopened(signedJob, 'to test');
const ids = (job: Job, unfinished: readonly FieldPath[] = []) =>
  openItems(job, unfinished).map((i) => i.id);

describe('what is open', () => {
  it('is nothing for a job that is done, and the missing pin for one that is not', () => {
    expect(ids(whole)).toEqual([]);
    expect(ids(half)).toContain('part:n4');
    expect(ids(half)).toContain('steps:build');
  });

  it.each<[string, (job: Job) => Job, string]>([
    ['a part short', (j) => withEntry(j, 'strip.parts.n4.in', entry(5)), 'part:n4'],
    ['a part too many', (j) => withEntry(j, 'strip.parts.n4.in', entry(7)), 'part:n4'],
    ['no count at all', (j) => ({ ...j, strip: { ...j.strip, parts: [] } }), 'parts'],
    [
      'springs too short to hold',
      (j) => withEntry(j, 'springs.coil.seatDistance', entry(74)),
      'verdict:holds',
    ],
    ['lift short', (j) => withEntry(j, 'release.requiredLift', entry(4)), 'verdict:releases'],
    [
      'metal on metal',
      (j) => ({
        ...j,
        pack: { ...j.pack, kinds: j.pack.kinds.map((k) => ({ ...k, lined: 'none' as const })) },
      }),
      'verdict:order',
    ],
    [
      'a plate below its limit',
      (j) => withEntry(j, 'pack.plates.p3.readings.1', entry(2.5)),
      'part-verdict:p3',
    ],
    [
      'a plate not measured',
      (j) => ({
        ...j,
        pack: {
          ...j.pack,
          plates: j.pack.plates.map((p) => (p.id === 'p3' ? { ...p, readings: {} } : p)),
        },
      }),
      'measure:plates',
    ],
    [
      'break-in not finished',
      (j) => withEntry(j, 'prove.starts.first.done', entry(9)),
      'breakIn:first',
    ],
    [
      'not measured again',
      (j) => {
        const { recheck: _gone, ...records } = j.work.prove.records;
        return { ...j, work: { ...j.work, prove: { ...j.work.prove, records } } };
      },
      'step:prove:recheck',
    ],
    [
      'heads that foul the cover',
      (j) => withEntry(j, 'build.headClearance', entry(0.2)),
      'verdict:heads',
    ],
    ['no free play', (j) => withEntry(j, 'release.freePlay', entry(0)), 'verdict:freePlay'],
  ])('names %s', (_what, change, id) => {
    expect(ids(change(whole))).toContain(id);
  });

  it('gives removed and fitted counts of a part, and the title of a verdict', () => {
    const said = (back: number) => {
      const item = openItems(withEntry(half, 'strip.parts.n4.in', entry(back))).find(
        (i) => i.id === 'part:n4',
      );
      return `${item?.title}. ${readSentence(item?.sentence ?? [])}`;
    };
    expect(said(5)).toBe('Drive pins: some missing. Drive pins: 6 removed, 5 fitted.');
    expect(said(7)).toBe('Drive pins: more fitted than removed. Drive pins: 6 removed, 7 fitted.');
    const none = openItems(withEntry(half, 'strip.parts.n4.in', undefined));
    const kinds = new Map(
      openItems(withEntry(whole, 'springs.coil.seatDistance', entry(74))).map((i) => [
        i.id,
        i.kind,
      ]),
    );
    expect(kinds.get('verdict:holds')).toBe('verdict');
    expect(readSentence(none.find((i) => i.id === 'part:n4')?.sentence ?? [])).toMatch(
      /6 removed, none counted back in/,
    );
    const unknown = openItems(withEntry(whole, 'springs.coil.seatDistance', undefined));
    expect(unknown.find((i) => i.id === 'verdict:holds')?.kind).toBe('measure');
  });

  it('takes a list on which nothing was counted for no count', () => {
    const bare = (keep: readonly ('out' | 'in')[]): Job => ({
      ...whole,
      strip: {
        ...whole.strip,
        parts: whole.strip.parts.map(({ out, in: back, ...part }) => ({
          ...part,
          ...(keep.includes('out') && out ? { out } : {}),
          ...(keep.includes('in') && back ? { in: back } : {}),
        })),
      },
    });
    expect(ids(bare([]))).toContain('parts');
    expect(ids(bare(['out', 'in']))).toEqual([]);
    // Not begun is one thing to do, not one for each part.
    expect(ids(bare(['out']))).toEqual(['parts-in']);
    const [first] = whole.strip.parts;
    const one: Job = {
      ...whole,
      strip: {
        ...whole.strip,
        parts: whole.strip.parts.map((p) =>
          p === first ? { id: p.id, name: p.name, note: p.note } : p,
        ),
      },
    };
    expect(openItems(one)).toMatchObject([{ id: 'parts', stage: 'strip' }]);
    expect(readSentence(openItems(one)[0]?.sentence ?? [])).toContain(first?.name);
  });

  it('distinguishes an unmeasured plate from one without a limit', () => {
    const unlimited: Job = {
      ...whole,
      pack: {
        ...whole.pack,
        kinds: whole.pack.kinds.map(({ minThickness: _limit, ...k }) => k),
        plates: whole.pack.plates.map(({ isNew: _new, ...p }) => p),
      },
    };
    expect(ids(unlimited)).toContain('measure:limits');
    const limit = openItems(unlimited).find((i) => i.id === 'measure:limits');
    expect(limit?.path).toMatch(/^pack\.kinds\..+\.minThickness$/);
    const bent: Job = {
      ...whole,
      pack: {
        ...whole.pack,
        plates: whole.pack.plates.map(({ outOfFlat: _flat, isNew: _new, ...p }) => p),
      },
    };
    const flat = openItems(bent).find((i) => i.id === 'measure:plates');
    expect(readSentence(flat?.sentence ?? [])).toContain('Flatness not checked yet.');
  });

  it('asks for no stack window between two plates whose gap is judged', () => {
    const loose = cairn();
    const { windowMin: _min, windowMax: _max, ...pack } = loose.pack;
    expect(ids({ ...loose, pack })).not.toContain('verdict:stack');
    const { gapMin: _g, gapMax: _h, ...open } = loose.springs.loose;
    const blind = { ...loose, pack, springs: { ...loose.springs, loose: open } };
    expect(ids(blind)).toContain('verdict:stack');
  });

  it('names the fields that hold text which is no value yet, and where they are', () => {
    const paths: FieldPath[] = ['setting.installGap', 'pack.maxWear'];
    expect(ids(whole, paths)).toEqual(['text']);
    const [item] = openItems(whole, paths);
    expect(item).toMatchObject({ stage: 'set', path: 'setting.installGap' });
    expect(readSentence(item?.sentence ?? [])).toMatch(
      /^.+, Pack wear limit: this text is not a value yet\.$/,
    );
    const many: FieldPath[] = ['pack.maxWear', 'pack.windowMin', 'pack.windowMax', 'pack.caliper'];
    expect(readSentence(openItems(whole, many)[0]?.sentence ?? [])).toContain(' and 1 more:');
  });

  it('lets a written reason stand for one item, by a name, and not an empty one', () => {
    const item = { itemId: 'part:n4', by: 'Bench 1', at: NOW };
    const short = withEntry(whole, 'strip.parts.n4.in', entry(5));
    // One pin short leaves the step of the count done, but the count open.
    expect(canSign(openItems(short), 'Bench 1')).toBe(false);
    const over = withReason(short, { ...item, reason: 'two were never there' });
    expect(canSign(openItems(over), 'Bench 1')).toBe(true);
    expect(canSign(openItems(over), '  ')).toBe(false);
    expect(canSign(openItems(withReason(over, { ...item, reason: ' ' })), 'Bench 1')).toBe(false);
  });

  it('names what has changed under done steps as one thing, and alone what has a reason', () => {
    const build = (job: Job) => openItems(job).filter((i) => i.stage === 'build');
    const withNew = (...at: readonly number[]): Job => ({
      ...whole,
      pack: {
        ...whole.pack,
        plates: whole.pack.plates.map((p, i) =>
          at.includes(i) ? { id: p.id, kindId: p.kindId, isNew: true } : p,
        ),
      },
    });
    const both = build(withNew(0, 4));
    expect(both).toHaveLength(1);
    expect(both[0]).toMatchObject({ id: 'changed:build', kind: 'step' });
    expect(readSentence(both[0]?.sentence ?? [])).toBe('2 steps have changed: plates 1, 5.');
    const [single, ...more] = build(withNew(4));
    expect(more).toEqual([]);
    expect(single?.title).toBe('Changed since it was done');
    // A reason that was written for one step stays with it, whatever else changes.
    const reasoned = withReason(withNew(0, 2, 4), {
      itemId: single?.id ?? '',
      reason: 'the same disc, measured again',
      by: 'Bench 1',
      at: NOW,
    });
    expect(
      build(reasoned)
        .map((i) => [i.id, i.override?.reason])
        .sort(),
    ).toEqual([
      ['changed:build', undefined],
      [single?.id, 'the same disc, measured again'],
    ]);
  });

  it('leads each verdict to the step that fixes it', () => {
    const tight = withEntry(
      withEntry(whole, 'release.freePlay', entry(0.1)),
      'setting.freePlayMin',
      entry(2),
    );
    expect(openItems(tight).find((i) => i.id === 'verdict:freePlay')).toMatchObject({
      stage: 'set',
      step: 'freePlay',
    });
  });

  it('never throws for any job, each item once', () => {
    fc.assert(
      fc.property(arbitraryJob, (job) => {
        const found = ids(job);
        expect(new Set(found).size).toBe(found.length);
      }),
    );
  });
});

describe('a signature', () => {
  it('freezes the record under a digest, and a later one does not touch it', () => {
    const first = signed(whole, ' Bench 1 ', NOW, digestOf);
    expect(isFrozen(first)).toBe(true);
    const [, second] = first.signOff.revisions;
    expect(second).toMatchObject({ number: 2, by: 'Bench 1', why: 'to test', signedAt: NOW });
    expect(digestOf(second?.record ?? {})).toBe(second?.digest);
    // Signed again without being opened it is the same.
    expect(signed(first, 'Bench 2', NOW, digestOf)).toBe(first);
    expect(reopened(first, ' ')).toBe(first);

    const changed = withEntry(reopened(first, 'more play'), 'release.freePlay', entry(4));
    const third = signed(changed, 'Bench 2', NOW, digestOf);
    expect(third.signOff.revisions).toHaveLength(3);
    expect(third.signOff.revisions[1]).toBe(second);
    const [a, b] = third.signOff.revisions.slice(1).map((r) => jobOfRevision(r));
    expect([a?.release.freePlay?.value, b?.release.freePlay?.value]).toEqual([2.5, 4]);
  });

  it('is refused by the core while anything is open without a reason', () => {
    const open = withEntry(reopened(whole, 'more play'), 'engine.peakTorque', entry(90));
    const [item] = openItems(open);
    expect(() => signed(open, 'Bench 1', NOW, digestOf)).toThrow(item?.title ?? 'nothing open');
    const reasoned = openItems(open).reduce(
      (j, { id }) => withReason(j, { itemId: id, reason: 'the owner’s wish', by: 'B', at: NOW }),
      open,
    );
    expect(isFrozen(signed(reasoned, 'Bench 1', NOW, digestOf))).toBe(true);
    expect(() => signed(reasoned, 'Bench 1', NOW, digestOf, ['engine.idleRpm'])).toThrow(
      'a reason for every open item',
    );
  });

  it('gives the same digest whatever the order of names, another for any change', () => {
    expect(digestOf({ a: 1, b: [2, { c: 'x' }] })).toBe(digestOf({ b: [2, { c: 'x' }], a: 1 }));
    expect(digestOf({ a: 1 })).not.toBe(digestOf({ a: 1.0000001 }));
    // As another program gives it for the text {"a":1}.
    expect(digestOf({ a: 1 })).toBe(
      '015abd7f5cc57a2dd94b7590f04ad8084273905ee33ec5cebeae62276a97f862',
    );
  });

  it('does not go with a copy, nor with the next job of the machine', () => {
    const job = signedJob;
    expect(copyOfJob(job, 'c', 'UR-2', NOW).signOff.revisions).toEqual([]);
    const next = nextJobOf(job, 'n', 'UR-3', NOW);
    expect(next.signOff.revisions).toEqual([]);
    expect(next.work.build.records).toEqual({});
    expect(next.build.fasteners.map((f) => [f.torque?.typed, f.applied])).toEqual([
      ['10 Nm', undefined],
      ['10 Nm', undefined],
      ['10 Nm', undefined],
    ]);
    expect(next.prove.starts.map((s) => [s.wanted?.value, s.done])).toEqual([[10, undefined]]);
  });
});

describe('measured again after break-in', () => {
  const states = (job: Job) => recheckFindings(job).map((f) => [f.id, f.state]);

  it('says what closed, what dropped and what is off target', () => {
    expect(states(whole)).toEqual([
      ['freePlay', 'good'],
      ['lift', 'good'],
    ]);
    expect(states(withEntry(whole, 'prove.recheckFreePlay', entry(0)))).toContainEqual([
      'freePlay',
      'stop',
    ]);
    // On the least that the manual asks for it is right.
    const least = whole.setting.freePlayMin?.value ?? Number.NaN;
    expect(states(withEntry(whole, 'prove.recheckFreePlay', entry(least)))).toContainEqual([
      'freePlay',
      'good',
    ]);
    expect(states(withEntry(whole, 'prove.recheckFreePlay', entry(least - 0.01)))).toContainEqual([
      'freePlay',
      'stop',
    ]);
    expect(states(withEntry(whole, 'prove.recheckFreePlay', entry(9)))).toContainEqual([
      'freePlay',
      'watch',
    ]);
    expect(states(withEntry(whole, 'prove.recheckLift', entry(1.2)))).toContainEqual([
      'lift',
      'stop',
    ]);
    const auto = put(scree(), { 'setting.targetGain': 12, 'prove.recheckGain': 9 });
    expect(states(auto)).toEqual([['gain', 'watch']]);
    expect(states(withEntry(auto, 'prove.recheckGain', entry(12.3)))).toEqual([['gain', 'good']]);
  });
});
