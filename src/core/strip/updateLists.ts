import { ATTACHMENTS, SPRING_KINDS } from '@/core/clutch/fitted';
import type { Job, SmallPart, StripStep } from '@/core/job/types';
import { smallParts, stripLines } from './stripList';

/**
 * Whether the lists of a job contain open lines of a different clutch, such as a slave cylinder on a cable clutch. Own lines of
 * the builder fit every clutch.
 * @example isForOtherClutch(blank) // false
 */
export function isForOtherClutch(job: Job): boolean {
  const { steps, parts } = job.strip;
  const open = [...steps.filter((s) => !s.done), ...parts.filter((p) => !p.out)].flatMap(
    ({ key }) => key ?? [],
  );
  const own = linesOf(job);
  const strange = open.filter((key) => !own.has(key));
  // The lines of every clutch are generated only when a line is not of this clutch, which is rare.
  if (strange.length === 0) return false;
  const standard = everyLine(job);
  return strange.some((key) => standard.has(key));
}

/**
 * Updates the lists of a job to its clutch. Completed lines, counts, the builder's own lines and removed lines stay; open lines
 * of the other clutch are replaced by those of this one in working order.
 * @param newId makes an identifier for each new line
 * @example withUpdatedLists(job, id).steps.length // 14
 */
export function withUpdatedLists(job: Job, newId: () => string): Job['strip'] {
  const { steps, parts } = job.strip;
  const own = linesOf(job);
  const standard = everyLine(job);
  const common = commonLines(job);
  const stays = ({ key }: { readonly key?: string }, touched: boolean) =>
    touched || key === undefined || own.has(key) || !standard.has(key);
  return {
    ...job.strip,
    steps: inOrder(
      steps.filter((s) => stays(s, s.done)),
      stripLines(job).map((l): StripStep => ({ ...l, id: newId(), done: false })),
      common,
    ),
    parts: inOrder(
      parts.filter((p) => stays(p, p.out !== undefined)),
      smallParts(job).map((p): SmallPart => ({ ...p, id: newId() })),
      common,
    ),
  };
}

/** Inserts each new line after its predecessor in the wanted order. */
function inOrder<T extends { readonly key?: string }>(
  kept: readonly T[],
  wanted: readonly T[],
  common: ReadonlySet<string>,
): T[] {
  const lines = [...kept];
  let after = -1;
  for (const line of wanted) {
    const at = lines.findIndex((l) => l.key === line.key);
    if (at >= 0) after = at;
    else if (!common.has(line.key ?? '')) lines.splice(++after, 0, line);
  }
  return lines;
}

const linesOf = (job: Job): ReadonlySet<string> =>
  new Set([
    // Before the plates are known, a judder spring is looked for in every clutch.
    ...[job, { ...job, pack: { ...job.pack, plates: [] } }].flatMap((j) =>
      stripLines(j).map((l) => l.key),
    ),
    ...smallParts(job).map((p) => p.key),
  ]);

/** The job as each kind of clutch that the lists distinguish; attachments add their own lines only. */
function everyClutch(job: Job): Job[] {
  const most = Math.max(...ATTACHMENTS.map(({ choice }) => choice?.options.length ?? 0));
  return SPRING_KINDS.flatMap((springs) =>
    (['hydraulic', 'cable', 'measured'] as const).flatMap((type) =>
      (['pack', 'startAndPack'] as const).flatMap((layout) =>
        Array.from({ length: most }, (_, i) =>
          withOptions(
            {
              ...springs.example(job),
              release: { ...job.release, type },
              machine: { ...job.machine, layout },
            },
            i,
          ),
        ),
      ),
    ),
  );
}

/** Everything that can be attached at its option of this number, or its last. */
const withOptions = (job: Job, index: number): Job =>
  ATTACHMENTS.reduce((made, { choice }) => {
    const option = choice?.options[index] ?? choice?.options.at(-1);
    return choice && option ? choice.put(made, option.value) : made;
  }, job);

const everyLine = (job: Job): ReadonlySet<string> =>
  new Set(everyClutch(job).flatMap((j) => [...linesOf(j)]));

function commonLines(job: Job): ReadonlySet<string> {
  const all = everyClutch(job).map(linesOf);
  const [first = new Set<string>()] = all;
  return new Set([...first].filter((key) => all.every((lines) => lines.has(key))));
}
