import { readFileSync, statSync } from 'node:fs';

import { evaluate } from '@/core/evaluate/evaluate';
import { readSentence } from '@/core/evaluate/sentence';
import type { Verdict } from '@/core/evaluate/verdicts';
import { baseUnit } from '@/core/units/quantity';
import { FileRefused, MAX_FILE_BYTES, readJobFile } from '@/files/jobFile';

/*
 * The evaluation of an exported job, without the application:
 *   npm run --silent spec -- FILE.json
 * prints JSON and exits 0, or one line on why not and exits 2.
 */

const USAGE = 'usage: npm run --silent spec -- FILE.json';

function main(args: readonly string[]): number {
  const [file, ...more] = args;
  if (file === undefined || more.length > 0) return refuse(USAGE);
  if (file === '--help') {
    process.stdout.write(
      `${USAGE}\nPrints every figure with unit and working, and the verdicts, as JSON.\n`,
    );
    return 0;
  }
  let text: string;
  try {
    if (statSync(file).size > MAX_FILE_BYTES)
      return refuse(`${file}: too large for a job, at most 5 MB`);
    text = readFileSync(file, 'utf8');
  } catch (error) {
    return refuse(
      `${file}: ${error instanceof Error && 'code' in error && error.code === 'ENOENT' ? 'no such file' : 'can’t be read'}`,
    );
  }
  try {
    const { job } = readJobFile(text);
    process.stdout.write(`${JSON.stringify(report(evaluate(job)), null, 2)}\n`);
    return 0;
  } catch (error) {
    if (error instanceof FileRefused) return refuse(`${file}: ${error.message}`);
    throw error;
  }
}

function report(evaluation: ReturnType<typeof evaluate>) {
  const verdict = ({ id, state, title, sentence, figures }: Verdict) => ({
    id,
    state,
    title,
    sentence: readSentence(sentence),
    figures,
  });
  return {
    overall: verdict(evaluation.overall),
    verdicts: evaluation.verdicts.map(verdict),
    figures: Object.fromEntries(
      [...evaluation.figures].map(([id, f]) => [
        id,
        f.status === 'known'
          ? {
              ...f,
              unit: baseUnit(f.quantity).symbol,
              working: {
                ...f.working,
                inputs: f.working.inputs.map((i) => ({ ...i, unit: baseUnit(i.quantity).symbol })),
              },
            }
          : f,
      ]),
    ),
    problems: evaluation.problems.map((p) => ({ ...p, sentence: readSentence(p.sentence) })),
  };
}

function refuse(reason: string): number {
  process.stderr.write(`${reason.replace(/\s*\n\s*/g, ' ')}\n`);
  return 2;
}

process.exitCode = main(process.argv.slice(2));
