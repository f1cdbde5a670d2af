import type { Job } from '../../job/types';
import type { Fastener } from '../../job/work';
import type { PartLine, StripLine } from '../../strip/line';
import { countedOut, line, part, SPRINGS } from '../../strip/line';

/* Checklist lines of coil springs: removal, fitting, and their bolts. */

export const COILS_OFF: readonly StripLine[] = [
  line(
    'springBolts',
    'Spring bolts a little at a time, criss-cross',
    'The plate must come off square. Springs are loaded: wear eye protection.',
  ),
  line(
    'coils',
    'Springs out in their order',
    'Two kinds may be fitted on purpose: note the position of each.',
  ),
];

export const COIL_PARTS: readonly PartLine[] = [
  part('springBolts', 'Spring bolts and washers'),
  part(SPRINGS, 'Springs'),
];

/**
 * The spring bolts, one per spring.
 * @example coilBolts(job).name // "Spring bolts"
 */
export function coilBolts(job: Job): Pick<Fastener, 'name' | 'lock' | 'count'> {
  const many = job.springs.coil.groups.reduce((sum, g) => sum + (g.count?.value ?? 0), 0);
  return {
    name: 'Spring bolts',
    lock: 'none',
    ...(many > 0 && many <= 60 ? { count: { value: many } } : countedOut(job, SPRINGS)),
  };
}

/**
 * How the springs go in, kind by kind round the circle.
 * @example coilsIn(job) // "Springs in: 5 Springs"
 */
export function coilsIn({ springs: { coil } }: Job): string {
  const groups = coil.groups.filter((g) => (g.count?.value ?? 0) > 0);
  const kinds = groups.map((g) => `${g.count?.value ?? 0} ${g.name || 'springs'}`).join(', ');
  const name = (id: string) => coil.groups.find((g) => g.id === id)?.name || 'springs';
  const laid =
    coil.ring.length > 0
      ? `, round the circle from the mark: ${runsOf(coil.ring.map(name)).join(', ')}`
      : groups.length > 1
        ? ', alternating evenly'
        : '';
  return `Springs in${kinds ? `: ${kinds}` : ''}${laid}`;
}

/** Counts equal neighbours: "Long × 4", "Short", "Long". */
function runsOf(names: readonly string[]): readonly string[] {
  const runs: { name: string; count: number }[] = [];
  for (const name of names) {
    const last = runs.at(-1);
    if (last?.name === name) last.count += 1;
    else runs.push({ name, count: 1 });
  }
  return runs.map(({ name, count: n }) => (n === 1 ? name : `${name} × ${n}`));
}

/**
 * The line by which springs go in.
 * @example springsIn('Diaphragm on').key // "springs"
 */
export const springsIn = (text: string) => ({
  key: 'springs',
  section: 'Springs',
  text: [text],
  watch: 'Springs are loaded: release and tighten evenly, wear eye protection.',
});
