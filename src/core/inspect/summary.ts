import { warpOf } from '@/core/evaluate/engine/layers';
import type { Evaluation } from '../evaluate/evaluate';
import type { Sentence } from '@/core/text/sentence';
import { countOf } from '@/core/text/countOf';
import { count, force, length, lowerFirst, say, upperFirst } from '@/core/text/sentence';
import { isAssemblyBegun } from '../job/purpose';
import type { Job } from '../job/types';
import { readingsOf } from '../job/types';
import { summarizeReadings } from '../pack/stack';
import type { Decision } from './decisions';
import type { Inspection } from './inspect';
import type { PartVerdict } from './partVerdict';

/** The result of an inspection in two versions: for the customer, and for the shop. */
export interface Summary {
  readonly customer: readonly Sentence[];
  readonly shop: readonly Sentence[];
}

/**
 * Summarizes an inspection: for the customer the findings, their effect on the road and the work to do, without figures; for
 * the shop the counts, the worst of each kind, and the pack as measured.
 * Source: workshop practice; `docs/mechanics.md`, inspection.
 * @example summarize(job, inspect(job, evaluate(job)), evaluate(job)).shop.length // 6
 */
export function summarize(job: Job, inspection: Inspection, evaluation: Evaluation): Summary {
  if (!inspection.begun) {
    const none = say`Nothing measured yet.`;
    return { customer: [none], shop: [none] };
  }
  return {
    customer: forCustomer(inspection, evaluation, isAssemblyBegun(job)),
    shop: forShop(job, inspection, evaluation),
  };
}

const discsOf = (parts: readonly PartVerdict[]) =>
  parts.filter((p) => p.plate && p.plate.lined !== 'none');
const steelsOf = (parts: readonly PartVerdict[]) => parts.filter((p) => p.plate?.lined === 'none');
const goes = (d: Decision) => d === 'change' || d === 'scrap';

function forCustomer(
  { parts, across }: Inspection,
  { verdicts }: Evaluation,
  assembled: boolean,
): Sentence[] {
  const lines: Sentence[] = [];
  const reported = (all: readonly PartVerdict[], one: string, many: string) => {
    const fresh = all.filter((p) => p.plate?.plate.isNew).length;
    // What was replaced does not stay.
    if (fresh > 0)
      lines.push(
        assembled
          ? say`${count(fresh)} ${fresh === 1 ? one : many} replaced by new.`
          : say`${count(fresh)} ${fresh === 1 ? `${one} is` : `${many} are`} to be replaced.`,
      );
    const sort = all.filter((p) => !p.plate?.plate.isNew);
    if (sort.length === 0) return;
    const out = sort.filter((p) => goes(p.decision)).length;
    const open = sort.filter((p) => p.decision === 'open').length;
    const grind = sort.filter((p) => p.decision === 'grind').length;
    if (open === sort.length) return;
    if (out === 0 && grind === 0) {
      lines.push(
        open > 0
          ? say`The ${many} measured so far can stay.`
          : sort.length === all.length
            ? say`All ${count(sort.length)} ${many} can stay.`
            : say`The other ${count(sort.length)} ${many} can stay.`,
      );
      return;
    }
    if (out > 0)
      lines.push(
        out === sort.length
          ? say`All ${count(out)} ${many} need replacing.`
          : say`${count(out)} of ${count(sort.length)} ${many} ${out === 1 ? 'needs' : 'need'} replacing.`,
      );
    if (grind > 0) lines.push(say`${count(grind)} ${grind === 1 ? one : many} can be ground flat.`);
  };
  reported(discsOf(parts), 'friction disc', 'friction discs');
  reported(steelsOf(parts), 'steel plate', 'steel plates');
  for (const part of parts) {
    if (!part.fixture || !(goes(part.decision) || part.decision === 'grind')) continue;
    lines.push(
      part.decision === 'grind'
        ? say`The ${part.name.toLowerCase()} can be ground.`
        : say`The ${part.name.toLowerCase()} ${part.fixture === 'springs' || part.fixture === 'release' ? 'need' : 'needs'} replacing.`,
    );
  }
  if (across.some((f) => f.id === 'newAgainstWarped'))
    lines.push(
      say`New discs would not last on the warped steels, so both are replaced or ground together.`,
    );
  const holds = verdicts.find((v) => v.id === 'holds');
  if (holds?.state === 'stop') lines.push(say`In this state the clutch can slip under full power.`);
  else if (holds?.state === 'watch')
    lines.push(say`In this state the clutch has little reserve and may slip when hot.`);
  const releases = verdicts.find((v) => v.id === 'releases');
  if (releases?.state === 'stop')
    lines.push(say`It does not release fully, which makes neutral hard to find.`);
  const watched = parts.filter((p) => p.decision === 'watch').length;
  if (watched > 0)
    lines.push(say`${countOf(watched, 'part')} can stay for now and should be checked next time.`);
  if (parts.some((p) => p.decision === 'open'))
    lines.push(say`Not everything is judged yet; this may change.`);
  if (lines.length === 0) lines.push(say`All inspected parts can stay.`);
  return lines;
}

function forShop(
  job: Job,
  { parts, counts, across }: Inspection,
  evaluation: Evaluation,
): Sentence[] {
  const { figures } = evaluation;
  const value = (id: 'stack' | 'packWear') => {
    const f = figures.get(id);
    return f?.status === 'known' ? f.value : undefined;
  };
  const lines: Sentence[] = [[`${countsText(counts)}.`]];
  const stack = value('stack');
  const wear = value('packWear');
  if (stack !== undefined)
    lines.push(
      wear === undefined
        ? say`Stack ${length(stack)}.`
        : wear < 0
          ? say`Stack ${length(stack)}, ${length(-wear)} taller than new.`
          : say`Stack ${length(stack)}, worn ${length(wear)}${job.pack.maxWear ? ' of ' : ''}${job.pack.maxWear ? length(job.pack.maxWear.value) : ''}.`,
    );
  const warp = warpOf(evaluation.layout);
  if (warp > 0) lines.push(say`Out-of-flat ${length(warp)} over all steels.`);
  const taper = evaluation.layout.layers.reduce((most, l) => {
    const values = readingsOf(l.plate).map((r) => r.value);
    return l.lined === 'none' || values.length < 2
      ? most
      : Math.max(most, summarizeReadings(values).taper);
  }, 0);
  if (taper > 0) lines.push(say`Maximum taper ${length(taper)}.`);
  const clamp = figures.get('clamp');
  if (clamp?.status === 'known') lines.push(say`Clamp with these springs ${force(clamp.value)}.`);
  for (const id of ['stack', 'holds'] as const) {
    const v = evaluation.verdicts.find((x) => x.id === id);
    if (v && v.state !== 'unknown') lines.push(say`${v.title}.`);
  }
  for (const d of ['scrap', 'change', 'grind'] as const) {
    const those = parts.filter((p) => p.decision === d);
    if (those.length === 0) continue;
    lines.push(
      say`${NAME[d]}: ${those.map((p) => (p.plate ? `plate ${p.plate.number}` : p.name.toLowerCase())).join(', ')}.`,
    );
  }
  const out = job.replaced ?? [];
  if (out.length > 0)
    lines.push(say`Replaced by new: ${out.map((r) => lowerFirst(r.name)).join('; ')}.`);
  for (const f of across) if (f.decision === undefined) lines.push(say`${f.title}.`);
  return [...new Map(lines.map((l) => [JSON.stringify(l), l])).values()];
}

const NAME = { scrap: 'Scrap', change: 'Replace', grind: 'Grind' } as const;

const DECISION_VERBS: readonly (readonly [keyof Inspection['counts'], string])[] = [
  ['keep', 'keep'],
  ['watch', 'keep and watch'],
  ['grind', 'grind'],
  ['change', 'replace'],
  ['scrap', 'scrap'],
  ['open', 'not judged'],
];

/** The decisions that occur, with their counts: "Keep 12, replace 3"; a single one applies to all parts. */
function countsText(counts: Inspection['counts']): string {
  const used = DECISION_VERBS.filter(([decision]) => counts[decision] > 0);
  const [only] = used;
  if (only === undefined) return 'No parts yet';
  if (used.length > 1)
    return upperFirst(used.map(([d, verb]) => `${verb} ${counts[d]}`).join(', '));
  const n = counts[only[0]];
  if (only[0] === 'open') return `${countOf(n, 'part')} not judged`;
  return upperFirst(n === 1 ? `${only[1]} the part` : `${only[1]} all ${n} parts`);
}
