import { rankCauses } from '@/core/causes/rank';
import { evaluate } from '@/core/evaluate/evaluate';
import { findingText, READY_FINDINGS, withFinding, withoutFinding } from '@/core/findings';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';
import type { Finding } from '@/core/job/record/findings';
import { rowOf } from '@/core/job/row';
import type { Job } from '@/core/job/types';
import { customerSheet } from '@/core/paper/customerSheet';
import { jobSheet } from '@/core/paper/jobSheet';
import { orderList } from '@/core/paper/orderList';
import { openItems } from '@/core/signoff/openItems';
import { stepsAnswered, stepsOf } from '@/core/worksheet/worksheet';
import { readJobFile, writeJobFile } from '@/files/jsonFiles';
import { crag, NOW } from '@/testing/jobs';

import { compareSets, readingsNow, setsOf, withNewSet } from '../sets';

const withDial = (lifts: readonly number[], job: Job = crag()): Job => ({
  ...job,
  release: {
    ...job.release,
    liftReadings: lifts.map((lift, i) => ({
      id: `r${i}`,
      angle: entry(i * 120),
      lift: entry(lift),
    })),
  },
});
const closed = (job: Job, kind: Parameters<typeof withNewSet>[1], then = 'seat machined') =>
  withNewSet(
    job,
    kind,
    { id: 's1', date: '2026-11-30', machine: 'springs out', then },
    evaluate(job),
  );

describe('sets of readings', () => {
  it('keep the first dial readings while a second set is taken, side by side with the change', () => {
    const first = withDial([1.62, 1.21, 1.49]);
    const next = closed(first, 'dial');
    expect(setsOf(next, 'dial')[0]).toMatchObject({
      then: 'seat machined',
      machine: 'springs out',
    });
    // The angles stay, the lifts are asked for again.
    expect(next.release.liftReadings.map((r) => [r.angle?.value, r.lift])).toEqual([
      [0, undefined],
      [120, undefined],
      [240, undefined],
    ]);
    const second = withDial([1.45, 1.44, 1.46], next);
    const rows = compareSets(second, 'dial', evaluate(second));
    expect(rows.find((r) => r.name === '120°')?.change).toBeCloseTo(0.23, 9);
    expect(rows.find((r) => r.name === 'across the plate')?.change).toBeLessThan(0);
  });

  it('reopen the step that depends on them', () => {
    const read = stepsAnswered(
      withEntry(crag(), 'release.freePlay', entry(3)),
      'release.freePlay',
      NOW,
    );
    const state = (job: Job) =>
      stepsOf(job, 'set').find((s) => s.line.tool === 'freePlay')?.state ?? 'none';
    expect(state(read)).toBe('done');
    const next = closed(read, 'freePlay', 'cable turned in');
    expect(state(next)).toBe('open');
    expect(next.release.freePlay).toBeUndefined();
  });

  it('are nothing where nothing was read, and of an old record the readings are the first', () => {
    expect(closed(crag(), 'caliper')).toEqual(crag());
    expect(readingsNow(crag(), 'thumb', evaluate(crag()))).toEqual([]);
    expect(compareSets(withDial([1, 1, 1]), 'dial', evaluate(crag()))).toEqual([]);
    const thumb: Job = { ...crag(), setting: { ...crag().setting, thumbTest: 'tilts' } };
    expect(readingsNow(thumb, 'thumb', evaluate(thumb))).toEqual([
      { name: 'Springs out', text: 'still tilts' },
    ]);
    expect(closed(thumb, 'thumb').setting.thumbTest).toBeUndefined();
  });

  it('are printed before and after, and go through a file', () => {
    const job = withDial([1.4, 1.4, 1.4], closed(withDial([1.62, 1.21, 1.49]), 'dial'));
    const text = JSON.stringify(jobSheet(job).blocks);
    expect(text).toContain('Before and after');
    expect(text).toContain('seat machined');
    const read = readJobFile(writeJobFile(job, {}, NOW));
    expect(read.job.earlierSets).toEqual(job.earlierSets);
  });

  it('void a reason that was given for another reading', () => {
    const job = {
      ...crag(),
      build: {
        ...crag().build,
        fasteners: [
          {
            id: 'f',
            role: 'cover' as const,
            name: 'Cover bolts',
            lock: 'none' as const,
            grade: '',
            torque: entry(10),
            applied: entry(5),
          },
        ],
      },
    };
    const found = (j: Job) => openItems(j).find((i) => i.id === 'deviation:torque:f');
    const said = found(job)
      ?.sentence.map((p) => (typeof p === 'string' ? p : ''))
      .join('');
    expect(said).toContain('tightened to');
    const signed = (text: string): Job => ({
      ...job,
      signOff: {
        ...job.signOff,
        overrides: [
          { itemId: 'deviation:torque:f', said: text, reason: 'Agreed.', by: 'B', at: NOW },
        ],
      },
    });
    expect(found(signed('another sentence'))?.override).toBeUndefined();
  });
});

describe('findings', () => {
  const finding: Finding = {
    id: 'f',
    part: 'worm',
    text: 'Soft worm: its faces are worn.',
    decision: 'replace',
    agreed: 'customer agreed on 40 for a new one',
    photoIds: [],
    cause: 'shortLift',
  };

  it('are added, changed and taken out', () => {
    const job = withFinding(crag(), finding);
    expect(withFinding(job, { ...finding, decision: 'done' }).findings).toHaveLength(1);
    expect(withoutFinding(job, 'f').findings).toEqual([]);
    expect(findingText(finding)).toBe(
      'Worm or screw: Soft worm: its faces are worn. Replace; customer agreed on 40 for a new one.',
    );
    expect(READY_FINDINGS.every((r) => r.text !== '')).toBe(true);
  });

  it('reach causes, order list, both sheets, the search and the file', () => {
    const job = withFinding(crag(), finding);
    const share = (j: Job) =>
      rankCauses({ complaints: ['drags'], job: j }).causes.find((c) => c.id === 'shortLift')
        ?.share ?? 0;
    expect(share(job)).toBeGreaterThan(share(crag()));
    expect(share(withFinding(job, { ...finding, against: true }))).toBeLessThan(share(crag()));
    expect(orderList(job)).toContainEqual(
      expect.objectContaining({ what: 'Worm or screw', from: 'order' }),
    );
    expect(orderList(withFinding(job, { ...finding, decision: 'keep' }))).not.toContainEqual(
      expect.objectContaining({ what: 'Worm or screw' }),
    );
    for (const paper of [jobSheet(job), customerSheet(job)])
      expect(JSON.stringify(paper.blocks)).toContain('Soft worm');
    expect(rowOf(job).words).toContain('soft worm');
    expect(readJobFile(writeJobFile(job, {}, NOW)).job.findings).toEqual(job.findings);
  });

  it('a thumb test reaches the causes at once, for and against', () => {
    const tested = (thumbTest: 'tilts' | 'true'): Job => ({
      ...crag(),
      setting: { ...crag().setting, thumbTest },
    });
    const share = (job: Job, id: string) =>
      rankCauses({ complaints: ['drags'], job }).causes.find((c) => c.id === id)?.share ?? 0;
    expect(share(tested('tilts'), 'tiltedPlate')).toBeGreaterThan(share(crag(), 'tiltedPlate'));
    expect(share(tested('true'), 'mixedSprings')).toBeGreaterThan(share(crag(), 'mixedSprings'));
    expect(share(tested('true'), 'tiltedPlate')).toBeLessThan(share(crag(), 'tiltedPlate'));
  });
});
