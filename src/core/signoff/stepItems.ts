import type { OpenItem } from './openItem';
import { count, lowerFirst, readSentence, say } from '@/core/text/sentence';
import { isStepDemanded } from '../job/purpose';
import type { Job } from '../job/types';
import { STAGE_NAME } from '../job/words';
import type { WorkStage } from '../job/work';
import type { SheetStep } from '../worksheet/worksheet';
import { isOpen, stepsOf } from '../worksheet/worksheet';

export const NAMED = 3;

export function stepItems(job: Job, stage: WorkStage): OpenItem[] {
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

export function breakInItems(job: Job): OpenItem[] {
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
