import type { OpenItem } from './openItem';
import type { Need } from '../evaluate/engine/figure';
import { count, readSentence, say } from '@/core/text/sentence';
import type { Sentence } from '@/core/text/sentence';
import type { Inspection } from '../inspect/inspect';
import type { PartVerdict } from '../inspect/partVerdict';
import { mainReason } from '../inspect/inspect';
import { DECISION_NAME, staysIn } from '../inspect/decisions';
import { isFieldPath } from '../job/fields';
import type { Demands } from '../job/purpose';
import { demandsOf } from '../job/purpose';
import type { Job, SmallPart } from '../job/types';

/**
 * Parts that are not back: counted in against counted out.
 * @example partMissing({ id: 'a', name: 'Drive pins', note: '', out: { value: 6 }, in: { value: 5 } }) // true
 */
export const partMissing = (part: SmallPart): boolean =>
  (part.out?.value ?? 0) > 0 && part.in?.value !== part.out?.value;

export function partItems(job: Job): OpenItem[] {
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

export function inspectItems({ parts }: Inspection, { plates, stops }: Demands): OpenItem[] {
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
export function pathOf(needs: readonly Need[]): Pick<OpenItem, 'path'> {
  const [path] = needs.flatMap((n) => (n.path && isFieldPath(n.path) ? [n.path] : []));
  return path === undefined ? {} : { path };
}
