import { deviationItems } from './deviations';
import type { OpenItem } from './openItem';
import { stageOfVerdict } from '@/core/advice/manualFix';
import type { Need } from '../evaluate/engine/figure';
import { needsOf } from '../evaluate/engine/needs';
import type { Evaluation } from '../evaluate/evaluate';
import { evaluate } from '../evaluate/evaluate';
import { count, lowerFirst, readSentence, say } from '@/core/text/sentence';
import type { Sentence } from '@/core/text/sentence';
import type { Inspection } from '../inspect/inspect';
import type { PartVerdict } from '../inspect/partVerdict';
import { inspect, mainReason } from '../inspect/inspect';
import { DECISION_NAME, staysIn } from '../inspect/decisions';
import type { FieldPath } from '../job/fieldPath';
import { fieldAt, isFieldPath } from '../job/fields';
import type { Demands } from '../job/purpose';
import { demandsOf, isStepDemanded } from '../job/purpose';
import type { Job, SmallPart, Stage } from '../job/types';
import { STAGE_NAME } from '../job/words';
import type { WorkStage } from '../job/work';
import { WORK_STAGES } from '../job/work';
import type { SheetStep } from '../worksheet/worksheet';
import { isOpen, stepsOf } from '../worksheet/worksheet';

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

const NAMED = 3;

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

/**
 * Parts that are not back: counted in against counted out.
 * @example partMissing({ id: 'a', name: 'Drive pins', note: '', out: { value: 6 }, in: { value: 5 } }) // true
 */
export const partMissing = (part: SmallPart): boolean =>
  (part.out?.value ?? 0) > 0 && part.in?.value !== part.out?.value;

function partItems(job: Job): OpenItem[] {
  const { strip } = job;
  // A count that was begun must be complete; without a demand there need not be one.
  if (!demandsOf(job).parts && strip.parts.every((p) => p.out === undefined)) return [];
  const uncounted = strip.parts.filter((p) => p.out === undefined);
  const item = (sentence: Sentence): OpenItem => ({
    id: 'parts',
    kind: 'part',
    stage: 'strip',
    title: 'Small parts not counted',
    sentence,
  });
  // A list without any count is not a count.
  if (uncounted.length === strip.parts.length)
    return [
      item(say`No small parts were counted, so there is no way to confirm that all are back in.`),
    ];
  const open: OpenItem[] =
    uncounted.length === 0
      ? []
      : [
          item(
            say`Not counted: ${uncounted.map((p) => p.name || 'a part').join(', ')}. Enter 0 if there were none.`,
          ),
        ];
  const missing = strip.parts.filter(partMissing);
  const none = missing.filter((p) => p.in === undefined);
  // Before the count in has begun it is one thing to do, not one for each part.
  if (none.length > 1)
    open.push({
      ...item(say`Not counted back in: ${none.map((p) => p.name || 'a part').join(', ')}.`),
      id: 'parts-in',
      stage: 'build',
      title: 'Small parts not counted back in',
    });
  const single = missing.filter((p) => none.length === 1 || p.in !== undefined);
  return [...open, ...single.map(partItem)];
}

function partItem(part: SmallPart): OpenItem {
  const out = part.out?.value ?? 0;
  const back = part.in?.value;
  const name = part.name || 'Part';
  return {
    id: `part:${part.id}`,
    kind: 'part',
    stage: 'build',
    title:
      back !== undefined && back > out
        ? `${name}: more fitted than removed`
        : `${name}: some missing`,
    sentence:
      back === undefined
        ? say`${name}: ${count(out)} removed, none counted back in.`
        : say`${name}: ${count(out)} removed, ${count(back)} fitted.`,
  };
}

function inspectItems({ parts }: Inspection, { plates, stops }: Demands): OpenItem[] {
  const unjudged = plates ? parts.filter((p) => p.decision === 'open' && p.plate) : [];
  const missing = unjudged.filter((p) => p.reasons.some((r) => r.missing));
  const open = unjudged.filter((p) => !missing.includes(p));
  const going = stops ? parts.filter((p) => !staysIn(p.decision)) : [];
  return [
    ...(open.length > 0
      ? [
          {
            id: 'measure:plates',
            kind: 'measure',
            stage: 'inspect',
            title: open.length === 1 ? 'Plate not measured' : 'Plates not measured',
            sentence: say`${platesNamed(open)} ${open.length === 1 ? 'is' : 'are'} neither fully measured nor marked as new. ${missingReadings(open)}`,
          } satisfies OpenItem,
        ]
      : []),
    ...(missing.length > 0
      ? [
          {
            id: 'measure:limits',
            kind: 'measure',
            stage: 'inspect',
            title: 'Minimum thickness missing',
            sentence: say`${platesNamed(missing)}: enter the manual’s minimum thickness.`,
            path: missing[0]?.reasons.find((r) => r.missing)?.missing,
          } satisfies OpenItem,
        ]
      : []),
    ...going.map((part): OpenItem => ({
      id: `part-verdict:${part.id}`,
      kind: 'verdict',
      stage: 'inspect',
      title: `${part.name}: ${DECISION_NAME[part.decision].toLowerCase()}`,
      sentence: mainReason(part),
    })),
  ];
}

const platesNamed = (parts: readonly PartVerdict[]): string =>
  `${parts.length === 1 ? 'Plate' : 'Plates'} ${parts.map((p) => p.plate?.number).join(', ')}`;

/** Missing readings of some plates, in shared sentences. */
const missingReadings = (parts: readonly PartVerdict[]): string =>
  [
    ...new Set(
      parts.flatMap((p) =>
        p.reasons.filter((r) => r.decision === 'open').map((r) => readSentence(r.sentence)),
      ),
    ),
  ].join(' ');

/** The field of the first entry that is missing. */
function pathOf(needs: readonly Need[]): Pick<OpenItem, 'path'> {
  const [path] = needs.flatMap((n) => (n.path && isFieldPath(n.path) ? [n.path] : []));
  return path === undefined ? {} : { path };
}

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

function stepItems(job: Job, stage: WorkStage): OpenItem[] {
  const open = stepsOf(job, stage).filter(isOpen);
  const plain = open.filter((s) => s.state === 'open' && !alone(s));
  const reasoned = new Set(job.signOff.overrides.map((o) => o.itemId));
  const idOf = (step: SheetStep) => `step:${stage}:${step.line.key}`;
  // One replaced part may change the text of many steps: they are one item, unless one has a reason.
  const changed = open.filter((s) => s.state === 'changed' && !reasoned.has(idOf(s)));
  const together = changed.length > 1 ? changed : [];
  const single = open.filter((s) => !plain.includes(s) && !together.includes(s));
  return [
    ...(plain.length > 0
      ? [
          {
            id: `steps:${stage}`,
            kind: 'step',
            stage,
            step: plain[0]?.line.key ?? '',
            title: `${plain.length === 1 ? 'A step' : 'Steps'} of ${STAGE_NAME[stage]} not done`,
            sentence:
              plain.length === 1
                ? [...(plain[0]?.line.text ?? []), '.']
                : say`${count(plain.length)} steps are neither done nor skipped with a reason.`,
          } satisfies OpenItem,
        ]
      : []),
    ...(together.length > 0
      ? [
          {
            id: `changed:${stage}`,
            kind: 'step',
            stage,
            step: together[0]?.line.key ?? '',
            title: 'Changed since they were done',
            sentence: say`${count(together.length)} steps have changed: ${changedNamed(job, together)}.`,
          } satisfies OpenItem,
        ]
      : []),
    ...single.map((step): OpenItem => ({
      id: idOf(step),
      kind: 'step',
      stage,
      step: step.line.key,
      title:
        step.state === 'failed'
          ? 'Check not passed'
          : step.state === 'changed'
            ? 'Changed since it was done'
            : 'No measurement after break-in',
      sentence: [...step.line.text, '.'],
    })),
  ];
}

/** Plates by their numbers, other steps by the words that they have now. */
function changedNamed({ pack }: Job, steps: readonly SheetStep[]): string {
  const numbers = steps.flatMap(({ line }) => {
    const at = pack.plates.findIndex((p) => p.id === line.plateId);
    return at < 0 ? [] : [at + 1];
  });
  const others = steps
    .filter(({ line }) => line.plateId === undefined)
    .map(({ line }) => lowerFirst(readSentence(line.text)));
  return [
    ...(numbers.length > 0
      ? [`${numbers.length === 1 ? 'plate' : 'plates'} ${numbers.sort((a, b) => a - b).join(', ')}`]
      : []),
    ...others.slice(0, NAMED),
    ...(others.length > NAMED ? [`${others.length - NAMED} more`] : []),
  ].join('; ');
}

/** The measurement after break-in is an item of its own, since it is often forgotten. */
const alone = (step: SheetStep): boolean => step.line.key === 'recheck';

function breakInItems(job: Job): OpenItem[] {
  const starts = isStepDemanded(job, 'prove', 'breakIn') ? job.prove.starts : [];
  return starts.flatMap((s) => {
    const wanted = s.wanted?.value ?? 0;
    const done = s.done?.value ?? 0;
    return wanted > done
      ? [
          {
            id: `breakIn:${s.id}`,
            kind: 'step',
            stage: 'prove',
            title: 'Break-in not finished',
            sentence: say`${s.name || 'Break-in'}: ${count(done)} of ${count(wanted)} starts done.`,
          } satisfies OpenItem,
        ]
      : [];
  });
}
