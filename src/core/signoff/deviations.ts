import type { Evaluation } from '@/core/evaluate/evaluate';
import type { VerdictId } from '@/core/evaluate/engine/verdict';
import type { Sentence } from '@/core/text/sentence';
import { say, torque } from '@/core/text/sentence';
import { stageOfVerdict } from '../advice/manualFix';
import { demandsOf } from '../job/purpose';
import type { Job } from '../job/types';
import type { Fastener } from '../job/work';
import { WORK_STAGES } from '../job/work';
import { minutesText, soakOf, soakState } from '../worksheet/soak';
import { stepsOf } from '../worksheet/worksheet';
import type { OpenItem } from './openItem';

/* What was not done as the manual or the leaflet asks: gathered from the record, asked about at the signature, printed. */

/** A wrench is read no closer than this, as a share of a torque that is one value. */
const WRENCH = 0.05;
/** Readings of the work whose verdicts are asked about although they are no stop. */
const READINGS: ReadonlySet<VerdictId> = new Set([
  'freePlay',
  'installGap',
  'gain',
  'gapRead',
  'even',
  'heads',
  'endFloat',
  'chain',
] satisfies VerdictId[]);

/**
 * The deviations of a job with the place of each: torques outside their value or range, tools that show no torque, a soak cut
 * short, parts used again, skipped steps, and readings outside their range.
 * @param evaluation of the same record
 * Never throws for a job that passes the schema. Source: workshop practice.
 * @example deviationItems(job, evaluate(job)) // []
 */
export function deviationItems(job: Job, { verdicts }: Evaluation): readonly OpenItem[] {
  return [
    ...job.build.fasteners.flatMap(fastenerItems),
    ...(job.build.gasketReused
      ? [
          item(
            'gasket',
            'Gasket used again',
            say`The old cover gasket is fitted again; the manual asks for a new one.`,
          ),
        ]
      : []),
    ...soakItems(job),
    ...skippedItems(job),
    // Where a fault is looked for, an odd reading is the finding, not a deviation.
    ...verdicts
      .filter((v) => v.state === 'watch' && READINGS.has(v.id as VerdictId) && demandsOf(job).stops)
      .map((v): OpenItem => ({
        ...item(`verdict:${v.id}`, v.title, v.sentence),
        ...stageOfVerdict(job, v.id),
      })),
  ];
}

const item = (id: string, title: string, sentence: Sentence): OpenItem => ({
  id: `deviation:${id}`,
  kind: 'deviation',
  stage: 'build',
  title,
  sentence,
});

function fastenerItems(f: Fastener): OpenItem[] {
  const name = f.name || 'Fastener';
  const { torque: asked, applied, tool, lock } = f;
  const items: OpenItem[] = [];
  if (asked && applied) {
    const [low, high] = asked.range
      ? [asked.range.low, asked.range.high]
      : [asked.value * (1 - WRENCH), asked.value * (1 + WRENCH)];
    if (applied.value < low || applied.value > high)
      items.push(
        item(
          `torque:${f.id}`,
          applied.value < low ? `${name}: torque short` : `${name}: torque over`,
          say`${name} tightened to ${torque(applied.value)}; the manual asks for ${torque(asked.value)}.`,
        ),
      );
  }
  if (tool === 'impact' || tool === 'hand')
    items.push(
      item(
        `tool:${f.id}`,
        `${name}: no torque wrench`,
        tool === 'impact'
          ? say`${name} tightened with an impact gun, which shows no torque.`
          : say`${name} tightened by feel, without a torque wrench.`,
      ),
    );
  if (lock === 'lockWasher' && f.lockReused)
    items.push(
      item(
        `lock:${f.id}`,
        `${name}: lock washer used again`,
        say`The old lock washer is fitted again: a tab that was bent once may break off.`,
      ),
    );
  return items;
}

/** A soak that was ticked before the least time had passed. */
function soakItems(job: Job): OpenItem[] {
  const { soakStart } = job.build;
  const done = stepsOf(job, 'build').find((s) => s.line.tool === 'soak')?.record.done;
  if (soakStart === undefined || !done) return [];
  const { plan, least } = soakOf(job);
  const { soaked } = soakState(soakStart, plan, least, done.at);
  return soaked < least
    ? [
        item(
          'soak',
          'Soak cut short',
          say`Linings were in the oil for ${minutesText(Math.max(1, soaked))}; at least ${minutesText(least)} is asked for.`,
        ),
      ]
    : [];
}

/** Steps left out with a reason: the reason is theirs, and is printed. */
function skippedItems(job: Job): OpenItem[] {
  return WORK_STAGES.flatMap((stage) =>
    stepsOf(job, stage).flatMap(({ state, line, record }): OpenItem[] =>
      state === 'skipped' && !line.optional
        ? [
            {
              ...item(`skipped:${stage}:${line.key}`, 'Step skipped', [...line.text, '.']),
              stage,
              step: line.key,
              override: {
                itemId: `deviation:skipped:${stage}:${line.key}`,
                reason: record.skipped ?? '',
                by: job.work.by,
                at: job.updatedAt,
              },
            },
          ]
        : [],
    ),
  );
}
