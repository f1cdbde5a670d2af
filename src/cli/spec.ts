import { parseArgs } from 'node:util';
import { advise } from '@/core/advice/advise';
import { COMPLAINTS } from '@/core/causes/complaints';
import { rankCauses } from '@/core/causes/rank';
import { DomainError } from '@/core/errors';
import { coldDrag } from '@/core/evaluate/coldDrag';
import { evaluate } from '@/core/evaluate/evaluate';
import { packModel } from '@/core/evaluate/states';
import { readSentence } from '@/core/text/sentence';
import type { FieldPath } from '@/core/job/fieldPath';
import type { Job } from '@/core/job/types';
import type { WorkStage } from '@/core/job/work';
import { WORK_STAGES } from '@/core/job/work';
import { orderList } from '@/core/paper/orderList';
import { toleranceOf } from '@/core/pack/jobTolerance';
import { simulateTolerance } from '@/core/pack/tolerance';
import { chooseSteels } from '@/core/shelf/jobShelf';
import { openItems } from '@/core/signoff/openItems';
import { RUNS, simulateJob } from '@/core/sure/simulate';
import { frictionOfSlip, slipTorque } from '@/core/torque/slipFriction';
import { VARIED } from '@/core/tradeMap/options';
import { tradeMap } from '@/core/tradeMap/tradeMap';
import { WAYS } from '@/core/takeoff/hands';
import { peakOf, withCurve } from '@/core/torque/engineCurve';
import { stepsOf } from '@/core/worksheet/worksheet';
import { readJobFile } from '@/files/jobFile';
import { FileRefused } from '@/files/refused';
import { readShelfFile } from '@/files/shelfFile';
import { report, table } from './report';
import {
  Refused,
  codeOf,
  complaintsFrom,
  engineFrom,
  inOil,
  missingFor,
  numberFrom,
  read,
  runsFrom,
  stateFrom,
  takeoffFor,
} from './options';

/* The evaluation of an exported job, without the application. */

const HELP = `usage: npm run --silent spec -- FILE.json [options]

Prints every figure with unit and working, and the verdicts, of an exported job.

  --at wear=0.4,rpm=6000,lift=1.2   the pack worn, turning or lifted (mm, rpm); also plates=new, oil=hot
  --engine CURVE.csv                with this torque curve and its peak in the place of the job’s own
  --wheel 0.88                      it was measured at the wheel, where this share arrives
  --curves                          the same over wear, lift and rpm, and the wear reserve
  --advise                          fixes for each verdict that is not OK
  --tolerance[=PACKS]               share of packs within the limits, a million unless said
  --solve SHELF.json                the ten best sets of steels from a shelf
  --oil-temp 5                      drag in oil of this temperature, °C, and what would change it
  --sure[=RUNS]                     how sure the verdicts are, 10000 runs unless said
  --slips                           friction of the lining from the slips that were seen
  --map SHELF.json                  every pack that could be built with these steels, and those nothing beats
  --causes slips,drags,…            likely causes (${Object.keys(COMPLAINTS).join(', ')})
  --sheets                          the steps of Build, Set and Prove, with what was done
  --takeoff gentle                  a start followed to lock-up, with the heat (${Object.keys(WAYS).join(', ')})
  --open                            what holds the sign-off up
  --order                           the parts that the job takes
  --seed N                          for --tolerance and --sure, 1 unless said
  --json, --table                   JSON (the default into a file or pipe) or a table (on a terminal)

Exit code 0; 2 with one line for a bad file or option.
`;

/** Where the command line speaks. */
export interface Speaker {
  readonly out: (text: string) => void;
  readonly err: (text: string) => void;
  /** Whether somebody reads it as it comes. */
  readonly terminal: boolean;
}

/** Runs the command given by the arguments. @returns the exit code */
export function runSpec(args: readonly string[], say: Speaker): number {
  try {
    return run(args, say);
  } catch (error) {
    const known =
      error instanceof Refused || error instanceof FileRefused || error instanceof DomainError;
    if (!known && !codeOf(error).startsWith('ERR_PARSE_ARGS')) throw error;
    say.err(`${(error as Error).message.replace(/\s*\n\s*/g, ' ')}\n`);
    return 2;
  }
}

/** Options whose number may be left out. */
const OPTIONAL: Readonly<Record<string, string>> = {
  '--tolerance': '--tolerance=1000000',
  '--sure': `--sure=${RUNS}`,
};

function run(args: readonly string[], say: Speaker): number {
  const { values, positionals } = parseArgs({
    args: args.map((a) => OPTIONAL[a] ?? a),
    allowPositionals: true,
    options: {
      at: { type: 'string' },
      engine: { type: 'string' },
      wheel: { type: 'string' },
      curves: { type: 'boolean' },
      advise: { type: 'boolean' },
      tolerance: { type: 'string' },
      solve: { type: 'string' },
      'oil-temp': { type: 'string' },
      sure: { type: 'string' },
      slips: { type: 'boolean' },
      map: { type: 'string' },
      causes: { type: 'string' },
      sheets: { type: 'boolean' },
      open: { type: 'boolean' },
      takeoff: { type: 'string' },
      order: { type: 'boolean' },
      seed: { type: 'string' },
      json: { type: 'boolean' },
      table: { type: 'boolean' },
      help: { type: 'boolean' },
    },
  });
  if (values.help) {
    say.out(HELP);
    return 0;
  }
  const [file, ...more] = positionals;
  if (file === undefined || more.length > 0)
    throw new Refused('usage: npm run --silent spec -- FILE.json [options]; --help explains');
  const { job: exported, unfinished } = read(file, readJobFile);
  const engine = engineFrom(values.engine, values.wheel);
  const driven = engine
    ? withCurve(exported, engine.curve, { kind: 'entered', note: engine.curve.name })
    : exported;
  const job = inOil(driven, values['oil-temp']);
  const evaluation = evaluate(job);
  const result: Record<string, unknown> = {
    ...report(evaluation),
    ...(engine ? { engine: { ...peakOf(engine.curve.points), notes: engine.notes } } : {}),
  };
  const model = packModel(job);
  if (values.at !== undefined) result.at = model.at(stateFrom(values.at));
  if (values.curves)
    Object.assign(result, { curves: model.curves(), wearReserve: model.wearReserve() });
  if (values.advise) result.advice = adviceFor(job);
  if (values.tolerance !== undefined) {
    const seed = numberFrom('seed', values.seed ?? '1');
    result.tolerance = simulateTolerance(
      toleranceOf(job, numberFrom('tolerance', values.tolerance), seed),
    );
  }
  if (values.solve !== undefined)
    result.shelf = chooseSteels(job, { plates: read(values.solve, readShelfFile), anyStep: true });
  if (values['oil-temp'] !== undefined)
    result.coldDrag = coldDrag(job) ?? { needs: missingFor(evaluation, 'dragCold') };
  if (values.sure !== undefined)
    result.sure = simulateJob(job, {
      runs: runsFrom(values.sure),
      ...(values.seed === undefined ? {} : { seed: numberFrom('seed', values.seed) }),
    });
  if (values.map !== undefined)
    result.map = tradeMap(job, {
      vary: VARIED,
      steels: read(values.map, readShelfFile),
      springs: [],
      discs: [],
    });
  if (values.slips)
    result.slips = (job.slips ?? []).map((slip) => ({
      ...slip,
      torqueAtClutch: slipTorque(job, slip),
      friction: frictionOfSlip(job, slip),
    }));
  if (values.causes !== undefined)
    result.causes = rankCauses({
      complaints: complaintsFrom(values.causes),
      tests: job.intake.tests,
      evaluation,
      job,
    });
  if (values.sheets)
    result.sheets = Object.fromEntries(WORK_STAGES.map((stage) => [stage, sheetOf(job, stage)]));
  if (values.open)
    result.open = openItems(job, Object.keys(unfinished) as FieldPath[], evaluation).map((i) => ({
      ...i,
      sentence: readSentence(i.sentence),
    }));
  if (values.takeoff !== undefined) result.takeoff = takeoffFor(job, values.takeoff);
  if (values.order) result.order = orderList(job, {}, evaluation);
  const asTable = values.table ?? (!values.json && say.terminal);
  say.out(asTable ? table(result) : `${JSON.stringify(result, null, 2)}\n`);
  return 0;
}

const sheetOf = (job: Job, stage: WorkStage) =>
  stepsOf(job, stage).map(({ line, record, state }) => ({
    state,
    key: line.key,
    section: line.section,
    text: readSentence(line.text),
    ...(line.watch ? { watch: line.watch } : {}),
    ...record,
  }));

function adviceFor(job: Job) {
  return Object.fromEntries(
    evaluate(job).verdicts.flatMap((v) =>
      v.id !== 'overall' && (v.state === 'watch' || v.state === 'stop')
        ? [
            [
              v.id,
              advise(job, v.id).map(({ moves, effort, change, overall }) => ({
                moves: moves.map((move) => readSentence(move)),
                effort,
                change,
                overall: overall.title,
              })),
            ],
          ]
        : [],
    ),
  );
}
