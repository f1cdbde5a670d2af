import { deviationItems } from './deviations';
import type { OpenItem } from './openItem';
import { stageOfVerdict } from '@/core/advice/manualFix';
import { needsOf } from '../evaluate/engine/needs';
import type { Evaluation } from '../evaluate/evaluate';
import { evaluate } from '../evaluate/evaluate';
import { readSentence, say } from '@/core/text/sentence';
import { inspect } from '../inspect/inspect';
import type { FieldPath } from '../job/fieldPath';
import { fieldAt } from '../job/fields';
import { demandsOf } from '../job/purpose';
import type { Job, Stage } from '../job/types';
import { WORK_STAGES } from '../job/work';
import { inspectItems, partItems, pathOf } from './partItems';
import { NAMED, breakInItems, stepItems } from './stepItems';

/**
 * All open items before the signature: missing parts, stop verdicts and layers, rejected or unmeasured plates, open steps,
 * break-in, and deviations. Each once, in stage order.
 * @param job the record
 * @param unfinished fields that hold text which is no value yet
 * @param evaluation of the same record, where it is at hand
 * Never throws for a job that passes the schema.
 * Source: workshop practice; `docs/mechanics.md`, sign-off.
 * @example openItems(job).length // 0
 */
export function openItems(
  job: Job,
  unfinished: readonly FieldPath[] = [],
  evaluation: Evaluation = evaluate(job),
): OpenItem[] {
  const inspection = inspect(job, evaluation);
  const items: OpenItem[] = [
    ...partItems(job),
    ...inspectItems(inspection, demandsOf(job)),
    ...verdictItems(job, evaluation),
    ...WORK_STAGES.flatMap((stage) => stepItems(job, stage)),
    ...breakInItems(job),
    ...deviationItems(job, evaluation),
    ...textItems(unfinished),
  ];
  const reasons = new Map(job.signOff.overrides.map((o) => [o.itemId, o]));
  return items.map((item) => {
    const override = reasons.get(item.id);
    // A skipped step brings its own reason.
    const answers =
      override !== undefined &&
      override.reason.trim() !== '' &&
      (override.said === undefined || override.said === readSentence(item.sentence));
    return answers ? { ...item, override } : item;
  });
}

function textItems(unfinished: readonly FieldPath[]): OpenItem[] {
  const [first] = unfinished;
  if (first === undefined) return [];
  const names = unfinished.map((path) => fieldAt(path).across ?? fieldAt(path).label);
  const more = names.length - NAMED;
  const list = names.slice(0, NAMED).join(', ') + (more > 0 ? ` and ${more} more` : '');
  return [
    {
      id: 'text',
      kind: 'text',
      stage: STAGE_OF.find(([beginning]) => first.startsWith(beginning))?.[1] ?? 'specify',
      path: first,
      title: 'Text that is not a value',
      sentence: say`${list}: this text is not a value yet.`,
    },
  ];
}

/** Where fields are typed that are not of the pack itself. */
const STAGE_OF: readonly (readonly [string, Stage])[] = [
  ['inspection.', 'inspect'],
  ['strip.', 'strip'],
  ['setting.', 'set'],
  ['prove.', 'prove'],
  ['visits.', 'log'],
];

/**
 * Whether a job can be signed: a signer, and a reason for every open item.
 * @example canSign([], 'Bench 1') // true
 */
export const canSign = (items: readonly OpenItem[], by: string): boolean =>
  by.trim() !== '' && items.every((i) => i.override !== undefined);

function verdictItems(job: Job, { verdicts, problems, figures }: Evaluation): OpenItem[] {
  const items: OpenItem[] = [];
  const demands = demandsOf(job);
  // Between two plates the gap replaces the stack limits.
  // The bands of a retainer select by the stack as well.
  const gapJudged = verdicts.some(
    (v) => (v.id === 'gap' || v.id === 'step') && v.state !== 'unknown',
  );
  for (const v of verdicts) {
    const must = demands.verdicts.includes(v.id) && !(v.id === 'stack' && gapJudged);
    if ((demands.stops && v.state === 'stop') || (must && v.state === 'unknown'))
      items.push({
        id: `verdict:${v.id}`,
        kind: v.state === 'stop' ? 'verdict' : 'measure',
        ...stageOfVerdict(job, v.id),
        title: v.title,
        sentence: v.sentence,
        ...pathOf(needsOf(v, figures)),
      });
  }
  const met = new Map<string, number>();
  for (const p of problems) {
    if (p.state !== 'stop' || !demands.stops) continue;
    // One place may have several things wrong with it.
    const place = `problem:${p.path}:${p.plateId ?? ''}`;
    const n = met.get(place) ?? 0;
    met.set(place, n + 1);
    items.push({
      id: n === 0 ? place : `${place}:${n}`,
      kind: 'problem',
      stage: 'specify',
      title: p.plateId ? 'Wrong plate position' : 'Contradicting values',
      sentence: p.sentence,
    });
  }
  return items;
}
