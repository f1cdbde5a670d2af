import { blankJob } from '../../job/blank';
import type { Job } from '../../job/types';
import { FIRST_QUESTION, GUIDE } from '../../guide/identify';
import { hasPack } from '../../guide/layouts';
import type { QuestionId } from '../../guide/identify';
import { smallParts, stripLines } from '../stripList';

const job = blankJob('j', 'UR-1', '2026-01-01T00:00:00.000Z');
const texts = (j: Job) =>
  stripLines(j)
    .map((l) => `${l.text} ${l.watch ?? ''}`)
    .join('\n');

describe('the strip list', () => {
  it('follows the clutch’s family', () => {
    expect(texts(job)).toContain('criss-cross');
    expect(texts({ ...job, springs: { ...job.springs, type: 'diaphragm' } })).toContain(
      'retainer’s step',
    );
    expect(texts({ ...job, springs: { ...job.springs, type: 'loose' } })).toContain(
      'gap between the plates',
    );
    expect(texts({ ...job, expanding: { fitted: true } })).toContain('adjuster');
    expect(texts({ ...job, startClutch: { place: 'crank' } })).toContain('shoes');
    const assisted = (type: Job['assist']['type']) =>
      texts({ ...job, assist: { ...job.assist, type } });
    expect(assisted('levers')).toContain('Assist levers out');
    expect(assisted('levers')).not.toContain('balls out');
    expect(assisted('balls')).toContain('Assist balls out, counted');
    expect(assisted('none')).not.toContain('Assist');
    expect(texts({ ...job, release: { type: 'cable', liftReadings: [] } })).toContain(
      'release arm',
    );
  });

  it('counts what gets lost, and carries the cautions', () => {
    expect(smallParts(job).map((p) => p.name)).toEqual(
      expect.arrayContaining(['Drive pins', 'Thrust washers', 'Pushrod ball or bearing']),
    );
    expect(texts(job)).toContain('asbestos');
    expect(texts(job)).toContain('wear eye protection');
  });
});

describe('the guide to an unknown machine', () => {
  /** Every way through, as the layouts it ends at. */
  function ends(id: QuestionId, seen: readonly QuestionId[] = []): string[] {
    if (seen.includes(id)) throw new Error(`the guide runs in a circle at ${id}`);
    return GUIDE[id].answers.flatMap(({ to }) =>
      'layout' in to ? [to.layout] : ends(to.question, [...seen, id]),
    );
  }

  it('ends at every layout, without a circle', () => {
    expect(new Set(ends(FIRST_QUESTION))).toEqual(
      new Set(['pack', 'startAndPack', 'startAndBelt', 'belt']),
    );
    expect(
      ['pack', 'startAndPack', 'startAndBelt', 'belt'].map((l) => hasPack(l as 'pack')),
    ).toEqual([true, true, false, false]);
  });
});
