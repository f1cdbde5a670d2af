import { ATTACHMENTS, SPRING_KINDS } from '@/core/clutch/fitted';
import { hasPack } from '@/core/guide/layouts';
import type { Job, SmallPart, StripStep } from '@/core/job/types';
import { omit } from '@/core/omit';
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
 * @example withUpdatedLists(job, id).steps.length // 16
 */
export function withUpdatedLists(job: Job, newId: () => string): Job['strip'] {
  const { steps, parts } = job.strip;
  const own = linesOf(job);
  const standard = everyLine(job);
  const common = commonLines(job);
  for (const key of linesToComeBack(job)) common.delete(key);
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

/** The answers that take whole groups of lines off the lists, or put them on. */
const ANSWERS: readonly ((job: Job, answer: boolean) => Job)[] = [
  (job, hubStays) => ({ ...job, strip: { ...job.strip, hubStays } }),
  (job, separatePrimary) => ({ ...job, setting: { ...job.setting, separatePrimary } }),
];

/** Lines of a group of which nothing is on the lists: they were made with the other answer. */
function linesToComeBack(job: Job): readonly string[] {
  const there = new Set([...job.strip.steps, ...job.strip.parts].flatMap(({ key }) => key ?? []));
  return ANSWERS.flatMap((answered) => {
    const [yes, no] = [linesOf(answered(job, true)), linesOf(answered(job, false))];
    const group = [...yes, ...no].filter((key) => !yes.has(key) || !no.has(key));
    return group.some((key) => there.has(key)) ? [] : group;
  });
}

/** The job as each kind of clutch that the lists distinguish; attachments add their own lines only. */
function everyClutch(job: Job): Job[] {
  const most = Math.max(...ATTACHMENTS.map(({ choice }) => choice?.options.length ?? 0));
  // The design alone is varied here.
  const designed = { ...job, strip: omit(job.strip, 'came') };
  return SPRING_KINDS.flatMap((springs) =>
    (['hydraulic', 'cable', 'measured'] as const).flatMap((type) =>
      (['pack', 'startAndPack', 'startAndBelt'] as const).flatMap((layout) => {
        const made: Job = {
          ...springs.example(designed),
          release: { ...omit(job.release, 'undecided'), type },
          machine: { ...job.machine, layout },
        };
        return Array.from({ length: most }, (_, i) => withOptions(made, i));
      }),
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
  new Set(
    [true, false]
      .map((answer) => ANSWERS.reduce((made, answered) => answered(made, answer), job))
      .flatMap(everyClutch)
      .flatMap((j) => [...linesOf(j)]),
  );

/** Lines that every clutch with a pack has: where one is not on the list, it was taken off. */
function commonLines(job: Job): Set<string> {
  const all = everyClutch(job)
    .filter((j) => hasPack(j.machine.layout))
    .map(linesOf);
  const [first = new Set<string>()] = all;
  return new Set([...first].filter((key) => all.every((lines) => lines.has(key))));
}
