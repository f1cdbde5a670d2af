/** Median time of one call in milliseconds, over runs long enough for the clock. */
export function medianMs(work: () => unknown, runs = 15, warmUp = 2000): number {
  for (let i = 0; i < warmUp; i++) work();
  const started = performance.now();
  work();
  const once = Math.max(performance.now() - started, 1e-4);
  const inner = Math.max(1, Math.min(2000, Math.round(8 / once)));
  const times = Array.from({ length: runs }, () => {
    const t = performance.now();
    for (let i = 0; i < inner; i++) work();
    return (performance.now() - t) / inner;
  }).sort((a, b) => a - b);
  return times[Math.floor(times.length / 2)] ?? Number.NaN;
}

export function line(name: string, value: string, aim = ''): void {
  console.log(`${name.padEnd(58)} ${value.padStart(14)}${aim ? `   aim ${aim}` : ''}`);
}

export const ms = (value: number): string => `${value.toFixed(value < 10 ? 3 : 1)} ms`;
