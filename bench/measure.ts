import { existsSync, readFileSync } from 'node:fs';

export const median = (times: readonly number[]): number =>
  [...times].sort((a, b) => a - b)[Math.floor(times.length / 2)] ?? NaN;

/** Median time of one call in milliseconds, over runs long enough for the clock. */
export function medianMs(work: () => unknown, runs = 15, warmUp = 2000): number {
  for (let i = 0; i < warmUp; i++) work();
  const started = performance.now();
  work();
  const once = Math.max(performance.now() - started, 1e-4);
  const inner = Math.max(1, Math.min(2000, Math.round(8 / once)));
  return median(
    Array.from({ length: runs }, () => {
      const t = performance.now();
      for (let i = 0; i < inner; i++) work();
      return (performance.now() - t) / inner;
    }),
  );
}

export function line(name: string, value: string, aim = ''): void {
  console.log(`${name.padEnd(58)} ${value.padStart(14)}${aim ? `   aim ${aim}` : ''}`);
}

export const ms = (value: number): string => `${value.toFixed(value < 10 ? 3 : 1)} ms`;

/** Busy and stolen processor time, in kernel ticks; undefined where not available. */
function ticks(): { readonly busy: number; readonly stolen: number } | undefined {
  if (!existsSync('/proc/stat')) return undefined;
  const [user = 0, nice = 0, system = 0, , , irq = 0, softIrq = 0, stolen = 0] = readFileSync(
    '/proc/stat',
    'utf8',
  )
    .split('\n', 1)
    .join()
    .trim()
    .split(/\s+/)
    .slice(1)
    .map(Number);
  return { busy: user + nice + system + irq + softIrq, stolen };
}

/** Reports the share of processor time given to others: with more than a few percent, the figures describe the machine. */
export function watchMachine(): () => void {
  const before = ticks();
  return () => {
    const after = ticks();
    if (!before || !after) return;
    const stolen = after.stolen - before.stolen;
    const wanted = stolen + after.busy - before.busy;
    line('processor time taken by others meanwhile', `${((100 * stolen) / wanted).toFixed(0)} %`);
  };
}
