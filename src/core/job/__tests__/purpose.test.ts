import { evaluate } from '@/core/evaluate/evaluate';
import { inspect } from '@/core/inspect/inspect';
import { withAllNew } from '@/core/job/edits/pack';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';
import { demandsOf, isStepDemanded, PURPOSE_NAME, PURPOSE_NOTE } from '@/core/job/purpose';
import type { Job, Purpose } from '@/core/job/types';
import { PURPOSES, STAGES } from '@/core/job/types';
import { WORK_STAGES } from '@/core/job/work';
import { jobSheet } from '@/core/paper/jobSheet';
import { missingAt } from '@/core/signoff/missingAt';
import { openItems } from '@/core/signoff/openItems';
import { isOpen, stepsMarkedTo, stepsOf } from '@/core/worksheet/worksheet';
import { crag, fen, finished, jobsOfEachKind, NOW, strippedDown, torqued } from '@/testing/jobs';

const as = (purpose: Purpose, job: Job): Job => ({ ...job, intake: { ...job.intake, purpose } });

const idsOf = (job: Job): readonly string[] => openItems(job).map((i) => i.id);

/** Every step of every checklist that is neither a check nor a count, done. */
const ticked = (job: Job): Job =>
  WORK_STAGES.reduce((j, stage) => {
    const last = stepsOf(j, stage).at(-1)?.line.key ?? '';
    return stepsMarkedTo(j, stage, last, NOW);
  }, job);

describe('the kind of a job', () => {
  it('has a name and a note of its own', () => {
    expect(new Set(PURPOSES.map((p) => PURPOSE_NAME[p])).size).toBe(PURPOSES.length);
    expect(new Set(PURPOSES.map((p) => PURPOSE_NOTE[p])).size).toBe(PURPOSES.length);
  });

  it('demands everything while it is not chosen, as in jobs of earlier versions', () => {
    for (const job of jobsOfEachKind()) {
      expect(idsOf(job)).toEqual(idsOf(as('buildToSpec', job)));
      expect(demandsOf(job)).toEqual(demandsOf(as('buildToSpec', job)));
    }
  });

  it('never adds an open item, whatever it is', () => {
    for (const job of jobsOfEachKind())
      for (const purpose of PURPOSES) {
        const all = idsOf(job);
        const steps = (id: string) => /^(steps|changed|step):/.test(id);
        expect(all.filter((id) => !steps(id))).toEqual(
          expect.arrayContaining(idsOf(as(purpose, job)).filter((id) => !steps(id))),
        );
      }
  });

  it('takes nothing away from a record that is widened', () => {
    const job = finished(crag());
    expect(idsOf(as('buildToSpec', as('findFault', job)))).toEqual(idsOf(job));
  });
});

describe('replacing plates', () => {
  const plain = as('replacePlates', withAllNew({ ...torqued(crag()), strip: crag().strip }));
  const uncounted: Job = {
    ...plain,
    strip: { ...plain.strip, parts: [] },
    engine: {},
    springs: { ...plain.springs, coil: { ...plain.springs.coil, groups: [] } },
  };

  it('needs no count of small parts, no torque, no lift and no break-in', () => {
    const ids = idsOf(uncounted);
    for (const id of ['parts', 'verdict:holds', 'verdict:releases', 'verdict:stack'])
      expect(ids).not.toContain(id);
    expect(ids.filter((id) => id.startsWith('step:prove:recheck'))).toEqual([]);
    expect(
      stepsOf(uncounted, 'set')
        .filter(isOpen)
        .map((s) => s.line.key),
    ).toEqual(['freePlay']);
  });

  it('completes a count that was begun', () => {
    const [first, ...rest] = strippedDown(crag()).strip.parts;
    if (!first) throw new Error('no small part');
    const begun: Job = {
      ...uncounted,
      strip: { ...uncounted.strip, parts: [{ ...first, out: { value: 6 } }, ...rest] },
    };
    expect(idsOf(begun).some((id) => id.startsWith('part'))).toBe(true);
  });

  it('still stops at a stop', () => {
    const one = uncounted.pack.plates.slice(0, 1);
    expect(evaluate({ ...uncounted, pack: { ...uncounted.pack, plates: one } }).overall.state).toBe(
      'stop',
    );
    expect(
      openItems({ ...uncounted, pack: { ...uncounted.pack, plates: one } }).some(
        (i) => i.kind === 'problem' || i.kind === 'verdict',
      ),
    ).toBe(true);
  });

  it('prints no verdict that it does not demand as not judged', () => {
    const rows = (job: Job) =>
      jobSheet(job).blocks.flatMap((b) => (b.kind === 'verdicts' ? b.rows.slice(1) : []));
    expect(rows(uncounted).filter((v) => v.state === 'unknown')).toEqual([]);
    const { purpose: _purpose, ...intake } = uncounted.intake;
    expect(rows({ ...uncounted, intake }).some((v) => v.state === 'unknown')).toBe(true);
  });
});

describe('replacing plates that a shift pedal opens', () => {
  it('demands the adjuster and the pedal in place of a free play at the lever', () => {
    const keys = stepsOf(as('replacePlates', fen()), 'set').map((s) => s.line.key);
    expect(keys).not.toContain('freePlay');
    for (const key of ['packAdjuster', 'pedal']) {
      expect(keys).toContain(key);
      expect(isStepDemanded(as('replacePlates', fen()), 'set', key)).toBe(true);
    }
    expect(isStepDemanded(as('findFault', fen()), 'set', 'pedal')).toBe(false);
  });
});

describe('finding a fault', () => {
  it('is open for its complaint alone, and lets a finding be signed', () => {
    const job = as('findFault', fen());
    const judged = (j: Job) => {
      const evaluation = evaluate(j);
      return { evaluation, inspection: inspect(j, evaluation) };
    };
    const bare = { ...job, intake: { ...job.intake, complaints: [], aims: [] } };
    expect(STAGES.flatMap((stage) => missingAt(stage, bare, judged(bare)))).toEqual([
      'complaint or goal',
    ]);
    expect(openItems(job)).toEqual([]);
    const tilted = {
      ...job,
      release: {
        ...job.release,
        liftReadings: [1.9, 0.9, 1.8].map((lift, i) => ({
          id: `d${i}`,
          angle: entry(i * 120),
          lift: entry(lift),
        })),
      },
    };
    expect(openItems(tilted)).toEqual([]);
    expect(openItems(as('replacePlates', tilted)).map((i) => i.kind)).toContain('deviation');
  });
});

describe('finding a fault, with assembly begun', () => {
  it('blocks the signature at a stop, as every other job does', () => {
    const one = { ...crag(), pack: { ...crag().pack, plates: crag().pack.plates.slice(0, 1) } };
    const found = as('findFault', one);
    expect(evaluate(found).overall.state).toBe('stop');
    expect(openItems(found)).toEqual([]);
    const [first] = stepsOf(found, 'build');
    const begun = stepsMarkedTo(found, 'build', first?.line.key ?? '', NOW);
    expect(openItems(begun).map((i) => i.kind)).toContain('problem');
  });
});

describe('done to here', () => {
  it('marks the open steps up to one, and leaves checks and missing readings open', () => {
    const job = ticked(crag());
    for (const stage of WORK_STAGES)
      for (const { line, state } of stepsOf(job, stage))
        expect([line.key, state]).toEqual([
          line.key,
          line.test || line.unread === true ? 'open' : 'done',
        ]);
  });

  it('marks steps again that have changed since they were done', () => {
    const before = ticked(crag());
    const [plate] = before.pack.plates;
    const changed = withEntry(before, `pack.plates.${plate?.id ?? ''}.readings.1`, entry(2.5));
    const states = (job: Job) => stepsOf(job, 'build').map((s) => s.state);
    expect(states(changed)).toContain('changed');
    expect(states(ticked(changed))).not.toContain('changed');
  });

  it('leaves the steps after it', () => {
    const [first, second] = stepsOf(crag(), 'build');
    const job = stepsMarkedTo(crag(), 'build', first?.line.key ?? '', NOW);
    const [one, two] = stepsOf(job, 'build');
    expect([one?.state, two?.state]).toEqual(['done', second?.state]);
  });
});
