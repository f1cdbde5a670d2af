import { evaluate } from '@/core/evaluate/evaluate';
import { inspect } from '@/core/inspect/inspect';
import { fixturesOf } from '@/core/inspect/fixtures';
import { measuringRun, runParts } from '@/core/inspect/run';
import { RUN_PARTS } from '@/core/inspect/runStep';
import { begunJob } from '@/core/job/blank';
import { chooseLayout } from '@/core/job/edits/details';
import { chooseSpringType } from '@/core/job/edits/springs';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';
import type { Job } from '@/core/job/types';
import { openItems } from '@/core/signoff/openItems';
import { nextAction } from '@/core/signoff/nextAction';
import { asCame, cameAsNow, springsCame } from '@/core/strip/asCame';
import { smallParts, stripLines } from '@/core/strip/stripList';
import { customerSheet } from '@/core/paper/customerSheet';
import { jobSheet } from '@/core/paper/jobSheet';
import { readSentence } from '@/core/text/sentence';
import { buildLines } from '@/core/worksheet/buildLines';
import { proveLines } from '@/core/worksheet/proveLines';
import { setLines } from '@/core/worksheet/setLines';
import { usualFasteners } from '@/core/worksheet/fasteners';
import { stepsAnswered, stepsOf } from '@/core/worksheet/worksheet';
import { stepWorded, templateApplied, templateOf } from '@/core/worksheet/edits';
import { crag, fen } from '@/testing/jobs';

import { loose } from '../loose/kind';
import { chooseTypeAsCame, chooseTypeAsGoes, clutchType, typeAsCame } from '../type';

const NOW = '2026-11-28T10:00:00.000Z';
const fresh = (): Job => begunJob('j', 'UR-1', NOW);
const quad = (): Job => chooseLayout(fresh(), 'startAndBelt');
const textsOf = (lines: readonly { text: Parameters<typeof readSentence>[0] }[]) =>
  lines.map((l) => readSentence(l.text)).join('; ');
const judged = (job: Job) => {
  const evaluation = evaluate(job);
  return { evaluation, inspection: inspect(job, evaluation) };
};

describe('a machine with a start clutch and a belt', () => {
  it('is asked for nothing of a pack', () => {
    const job = quad();
    const all = [
      stripLines(job)
        .map((l) => l.text)
        .join('; '),
      smallParts(job)
        .map((p) => p.name)
        .join('; '),
      textsOf(buildLines(job)),
      textsOf(setLines(job)),
      textsOf(proveLines(job)),
      usualFasteners(job, () => 'f')
        .map((f) => f.name)
        .join('; '),
    ].join('; ');
    expect(all).not.toMatch(/\b(plate|hub|slave|bled|hydraulic|pushrod|judder|lever|gear)/i);
    expect(all).toMatch(/drum/i);
  });

  it('has its own inspection, judged by its limits', () => {
    const job = quad();
    expect(runParts(job)).toEqual(['start']);
    expect(fixturesOf(job)).toEqual(['cover', 'shoes', 'drum', 'oneWay']);
    expect(measuringRun(job, RUN_PARTS).map((s) => s.path)).toEqual([
      'startClutch.shoeLining',
      'startClutch.drumBore',
    ]);
    const worn = [
      ['startClutch.shoeLining', 1.1],
      ['startClutch.shoeLiningMin', 1.5],
      ['startClutch.drumBore', 70.2],
      ['startClutch.drumBoreMax', 70],
    ] as const;
    const measured = worn.reduce((j, [path, value]) => withEntry(j, path, entry(value)), job);
    const locked: Job = {
      ...measured,
      startClutch: { ...measured.startClutch, oneWay: 'locksOneWay' },
    };
    const { parts } = judged(locked).inspection;
    expect(parts.map((p) => [p.fixture, p.decision])).toEqual([
      ['shoes', 'change'],
      ['drum', 'change'],
      ['oneWay', 'keep'],
    ]);
    // The drum is read and written as a diameter.
    expect(readSentence(parts[1]?.reasons[0]?.sentence ?? [])).toContain('140.400 mm');
  });

  it('has papers that speak of no plates', () => {
    const papers = JSON.stringify([jobSheet(quad()).blocks, customerSheet(quad()).blocks]);
    expect(papers).not.toMatch(/\b(plates?|discs?|steels?|gap)\b/i);
    expect(papers).toContain('The start clutch: shoes, drum and one-way bearing.');
  });

  it('is judged by its start clutch alone, and can be signed with that', () => {
    const job = quad();
    expect(evaluate(job).verdicts).toEqual([]);
    expect(evaluate(job).overall.state).toBe('unknown');
    const known = (
      [
        ['startClutch.shoes', 4],
        ['startClutch.mass', 0.12],
        ['startClutch.radius', 40],
        ['startClutch.springPull', 320],
        ['startClutch.drumRadius', 55],
        ['engine.idleRpm', 1400],
      ] as const
    ).reduce((j, [path, value]) => withEntry(j, path, entry(value)), job);
    const { overall, verdicts } = evaluate(known);
    expect(verdicts.map((v) => v.id)).toEqual(['start']);
    expect(overall).toMatchObject({ state: 'good', title: 'Start clutch clear of idle' });
    const items = openItems(known);
    expect(items.filter((i) => i.kind === 'verdict' || i.kind === 'measure')).toEqual([]);
  });
});

describe('the clutch as it came and as it goes', () => {
  it('are one until they are separated', () => {
    const auto = chooseTypeAsCame(fresh(), 'auto');
    expect([typeAsCame(auto), clutchType(auto)]).toEqual(['auto', 'auto']);
    const kit = chooseTypeAsGoes(chooseTypeAsCame(fresh(), 'pack'), true);
    expect([typeAsCame(kit), clutchType(kit)]).toEqual(['pack', 'auto']);
    // A second choice changes only the clutch as it came.
    const again = chooseTypeAsCame(kit, 'auto');
    expect([typeAsCame(again), clutchType(again)]).toEqual(['auto', 'auto']);
  });

  it('are two lists: the strip list follows the one on the machine', () => {
    const coil = chooseSpringType(crag(), 'coil');
    const listed: Job = { ...coil, strip: { ...coil.strip, came: cameAsNow(coil) } };
    const designed = chooseTypeAsGoes(chooseSpringType(listed, 'diaphragm'), true);
    expect(asCame(designed).springs.type).toBe('coil');
    expect(stripLines(designed).map((l) => l.key)).toContain('coils');
    expect(stripLines(designed).map((l) => l.key)).not.toContain('expandingDisc');
    expect(textsOf(buildLines(designed))).toContain('Diaphragm on');
    expect(textsOf(setLines(designed))).toContain('gap');
    // A correction of what came leaves a design of its own alone.
    expect(springsCame(designed, 'loose').springs.type).toBe('diaphragm');
    expect(springsCame(listed, 'loose').springs.type).toBe('loose');
  });

  it('come apart in the order of the hands, two washers and every judder pair by themselves', () => {
    const job = crag();
    const two: Job = {
      ...job,
      pack: {
        ...job.pack,
        plates: job.pack.plates.map((p, i) => (i === 0 || i === 6 ? { ...p, judder: true } : p)),
      },
    };
    const keys = stripLines(two).map((l) => l.key);
    expect(keys.indexOf('wireRing')).toBeLessThan(keys.indexOf('judder'));
    expect(
      stripLines(two)
        .filter((l) => l.key.startsWith('judder'))
        .map((l) => l.text),
    ).toEqual([
      'Plate 7: judder spring and flat seat out of its bore',
      'Plate 1: judder spring and flat seat out of its bore',
    ]);
    const names = smallParts(two).map((p) => p.name);
    expect(names).toEqual(
      expect.arrayContaining(['Judder spring, plate 1', 'Judder spring, plate 7']),
    );
    expect(names).toEqual(expect.arrayContaining(['Plain washer under the nut', 'Lock washer']));
    const stays: Job = { ...two, strip: { ...two.strip, hubStays: true } };
    expect(stripLines(stays).map((l) => l.key)).not.toContain('hubNut');
    expect(textsOf(buildLines(stays))).not.toMatch(/Hub nut|lock washer|Thrust washer/);
  });

  it('get back what was counted out, a part of the shop’s own list too', () => {
    const job = crag();
    const counted: Job = {
      ...job,
      strip: {
        ...job.strip,
        parts: [
          ...smallParts(job).map((p, i) => ({ ...p, id: `n${i}`, out: entry(1) })),
          { id: 'own', name: 'Oil jet', note: '', out: entry(2) },
        ],
      },
    };
    const texts = textsOf(buildLines(counted));
    for (const part of [
      'Wire ring',
      'Plain washer',
      'Thrust washer',
      'Drive pins',
      'Oil jet: 2 back',
    ])
      expect(texts).toContain(part);
  });
});

describe('answers', () => {
  it('tick the step that asks for them, once all are there', () => {
    const job = chooseLayout(crag(), 'pack');
    const stateOf = (j: Job, key: string) =>
      stepsOf(j, 'set').find((s) => s.line.key === key)?.state;
    const played = withEntry(job, 'release.freePlay', entry(3));
    expect(stateOf(stepsAnswered(played, 'release.freePlay', NOW), 'freePlay')).toBe('done');
    // A limit is no reading.
    const limited = withEntry(job, 'setting.freePlayMin', entry(2));
    expect(stepsAnswered(limited, 'setting.freePlayMin', NOW)).toBe(limited);
    const dial = (count: number): Job => ({
      ...job,
      release: {
        ...job.release,
        liftReadings: [0, 120, 240].slice(0, count).map((angle, i) => ({
          id: `d${i}`,
          angle: entry(angle),
          lift: entry(1.8),
        })),
      },
    });
    expect(stateOf(stepsAnswered(dial(2), 'release.liftReadings.d1.lift', NOW), 'lift')).toBe(
      'open',
    );
    expect(stateOf(stepsAnswered(dial(3), 'release.liftReadings.d2.lift', NOW), 'lift')).toBe(
      'done',
    );
  });

  it('can be asked in the shop’s own words, kept with its template', () => {
    const worded = stepWorded(fen(), 'prove', 'oRings', 'Faces dry, paper gasket new');
    const textOf = (j: Job) =>
      readSentence(stepsOf(j, 'prove').find((s) => s.line.key === 'oRings')?.line.text ?? []);
    expect(textOf(worded)).toBe('Faces dry, paper gasket new');
    expect(textOf(templateApplied(fen(), 'prove', templateOf(worded.work.prove)))).toBe(
      'Faces dry, paper gasket new',
    );
    expect(textOf(stepWorded(worded, 'prove', 'oRings', ''))).toBe(textOf(fen()));
  });
});

describe('what is to be done next', () => {
  it('is the first open item of the current stage, and nothing once it is signed', () => {
    expect(nextAction(fresh(), judged(fresh()))).toBe('Enter: machine name');
    const strip: Job = {
      ...crag(),
      stage: 'strip',
      strip: { ...crag().strip, steps: [{ id: 's', text: 'Drain the oil', done: false }] },
    };
    expect(nextAction(strip, judged(strip))).toBe('Drain the oil');
    const build: Job = { ...crag(), stage: 'build' };
    expect(nextAction(build, judged(build))).toMatch(/^Soak the linings/);
    const log: Job = { ...crag(), stage: 'log' };
    expect(nextAction(log, judged(log))).toBe('Sign the job');
  });
});

describe('a length or a gap as measured', () => {
  it('takes the place of the distances, and follows another stack', () => {
    const known = evaluate(crag()).figures;
    const value = (figures: typeof known, id: 'installedLength' | 'stack' | 'plateGap') => {
      const outcome = figures.get(id);
      return outcome?.status === 'known' ? outcome.value : NaN;
    };
    const { seatDistance: _seat, pressurePlate: _plate, ...coil } = crag().springs.coil;
    const bare: Job = { ...crag(), springs: { ...crag().springs, coil } };
    const measured = withEntry(
      withEntry(bare, 'springs.coil.fittedLength', entry(30)),
      'springs.coil.fittedStack',
      entry(value(known, 'stack') + 0.4),
    );
    // A pack lower than the one that was measured lets the springs out.
    expect(value(evaluate(measured).figures, 'installedLength')).toBeCloseTo(30.4, 9);
    const shimmed = withEntry(measured, 'springs.coil.shim', entry(0.5));
    expect(value(evaluate(shimmed).figures, 'installedLength')).toBeCloseTo(29.9, 9);
    const between = loose.example(crag());
    const { span: _span, ...rest } = between.springs.loose;
    const gap: Job = {
      ...between,
      springs: {
        ...between.springs,
        loose: { ...rest, gapFitted: entry(12.8), gapStack: entry(value(known, 'stack') - 0.3) },
      },
    };
    expect(value(evaluate(gap).figures, 'plateGap')).toBeCloseTo(12.5, 9);
  });
});
