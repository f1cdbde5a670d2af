import { readdirSync, readFileSync } from 'node:fs';
import path from 'node:path';

/*
 * The examples in the core's doc blocks are run as they stand: a line `@example call // result` must be true, to the
 * decimals that it gives. Lines with an ellipsis, or with a job or a part that is not written out, are for reading only.
 */

const CORE = path.join(__dirname, '..');

const sources = (folder: string): string[] =>
  readdirSync(folder, { withFileTypes: true }).flatMap((entry) => {
    const file = path.join(folder, entry.name);
    if (entry.isDirectory()) return entry.name === '__tests__' ? [] : sources(file);
    return file.endsWith('.ts') ? [file] : [];
  });

const EXAMPLE = /@example (?<call>[a-z]\w*\(.*\)\S*) \/\/ (?<result>[^\n]+)/g;

/** A result as it is written: a text, a number, a truth, a list, a record. Anything else is words, and not run. */
function written(result: string): { readonly value: unknown } | undefined {
  if (!/^(?:["'[{]|-?\d|true|false)/.test(result)) return undefined;
  try {
    return { value: new Function(`return (${result})`)() as unknown };
  } catch {
    return undefined;
  }
}

/** Numbers of a value to so many decimals. */
function rounded(value: unknown, decimals: number): unknown {
  if (typeof value === 'number') return Number(value.toFixed(decimals));
  if (Array.isArray(value)) return value.map((part) => rounded(part, decimals));
  if (typeof value === 'object' && value !== null)
    return Object.fromEntries(
      Object.entries(value).map(([key, part]) => [key, rounded(part, decimals)]),
    );
  return value;
}

/** Which modules there are is found when it runs. */
const load = (name: string) => jest.requireActual<Record<string, unknown>>(path.join(CORE, name));

/** What a call gives, with its module and the units at hand. */
function outcomeOf(file: string, call: string): unknown {
  const names = { ...load('units/quantity.ts'), ...load(file) };
  const run = new Function(...Object.keys(names), `return (${call})`) as (
    ...values: unknown[]
  ) => unknown;
  return run(...Object.values(names));
}

const canRun = (file: string, call: string): boolean => {
  try {
    outcomeOf(file, call);
    return true;
  } catch (error) {
    return !(error instanceof ReferenceError);
  }
};

const examples = sources(CORE).flatMap((source) =>
  [...readFileSync(source, 'utf8').matchAll(EXAMPLE)].flatMap(({ groups }) => {
    const { call = '', result = '' } = groups ?? {};
    const file = path.relative(CORE, source);
    const expected = `${call}${result}`.includes('…') ? undefined : written(result);
    if (!expected || !canRun(file, call)) return [];
    const decimals = Math.max(0, ...[...result.matchAll(/\.(\d+)/g)].map((d) => d[1]?.length ?? 0));
    return [{ file, call, expected: expected.value, decimals }];
  }),
);

describe('examples in the doc blocks', () => {
  it('are there to be run', () => {
    expect(examples.length).toBeGreaterThan(60);
  });

  it.each(examples)('$file: $call', ({ file, call, expected, decimals }) => {
    expect(rounded(outcomeOf(file, call), decimals)).toEqual(rounded(expected, decimals));
  });
});
