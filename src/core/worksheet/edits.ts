import { fittedKinds } from '../clutch/fitted';
import type { Job } from '../job/types';
import type { OwnStep, SheetTemplate, StepRecord, Worksheet, WorkStage } from '../job/work';
import { orderKey, stepsOf, withRecord, withSheet } from './worksheet';

/**
 * Sets the text of a step: note, deviation, reason to skip. Empty text removes it.
 * @example stepNoted(blank, 'set', 'fluid', { note: 'DOT 4' }).work.set.records.fluid.note // "DOT 4"
 */
export function stepNoted(
  job: Job,
  stage: WorkStage,
  key: string,
  part: Partial<Record<'note' | 'otherwise' | 'skipped', string>>,
): Job {
  const record = { ...job.work[stage].records[key], ...part };
  const kept = Object.fromEntries(Object.entries(record).filter(([, v]) => v !== ''));
  return withRecord(job, stage, key, kept as StepRecord);
}

/**
 * Adds a step of the shop's own at the end.
 * @example ownStepAdded(blank, 'set', { id: 'a', text: 'Ask the rider' }).work.set.own.length // 1
 */
export const ownStepAdded = (job: Job, stage: WorkStage, step: OwnStep): Job =>
  withSheet(job, stage, { own: [...job.work[stage].own, step] });

/**
 * Changes the text of a shop's own step.
 * Never throws.
 * @example ownStepWritten(ownStepAdded(blank, 'set', { id: 'a', text: '' }), 'set', 'a', 'Ask').work.set.own[0].text // "Ask"
 */
export const ownStepWritten = (job: Job, stage: WorkStage, id: string, text: string): Job =>
  withSheet(job, stage, {
    own: job.work[stage].own.map((s) => (s.id === id ? { ...s, text } : s)),
  });

/**
 * Words a step of the core for this shop; without words it speaks as before. A step with figures in it keeps them out of the
 * words: they come from the pack.
 * @example stepWorded(blank, 'set', 'bleed', 'Bled from below').work.set.words.bleed // "Bled from below"
 */
export function stepWorded(job: Job, stage: WorkStage, key: string, text: string): Job {
  const { [key]: _was, ...others } = job.work[stage].words ?? {};
  return withSheet(job, stage, {
    words: text.trim() === '' ? others : { ...others, [key]: text },
  });
}

/**
 * Takes a step of the shop's own out; lines of the core are left out with a reason instead.
 * @example ownStepRemoved(ownStepAdded(blank, 'set', { id: 'a', text: '' }), 'set', 'a').work.set.own.length // 0
 */
export function ownStepRemoved(job: Job, stage: WorkStage, id: string): Job {
  const sheet = job.work[stage];
  const { [`own:${id}`]: _gone, ...records } = sheet.records;
  return withSheet(job, stage, {
    own: sheet.own.filter((s) => s.id !== id),
    order: sheet.order.filter((key) => key !== `own:${id}`),
    records,
  });
}

/**
 * Moves a step one place up or down; the plates move together. The same record at the end of the list.
 * @example stepMoved(blank, 'set', 'bleed', -1).work.set.order.indexOf('bleed') // 0
 */
export function stepMoved(job: Job, stage: WorkStage, key: string, by: -1 | 1): Job {
  const steps = stepsOf(job, stage);
  const keys = [...new Set(steps.map((s) => orderKey(s.line)))];
  const moved = steps.find((s) => s.line.key === key);
  if (!moved) return job;
  const at = keys.indexOf(orderKey(moved.line));
  const other = keys[at + by];
  if (other === undefined) return job;
  const order = [...keys];
  order[at] = other;
  order[at + by] = orderKey(moved.line);
  return withSheet(job, stage, { order });
}

/**
 * Clutches that share a template: the same springs, release and auto parts.
 * @example familyOf(blank) // "coil-hydraulic"
 */
export function familyOf(job: Job): string {
  return [
    job.springs.type,
    job.release.type === 'hydraulic' ? 'hydraulic' : 'cable',
    ...fittedKinds(job).flatMap((kind) => (kind.takesUp ? [kind.id] : [])),
  ].join('-');
}

/**
 * The shop's own way with a family, from the sheet of one job.
 * @example templateOf(blank.work.set).own.length // 0
 */
export const templateOf = (sheet: Worksheet): SheetTemplate => ({
  own: sheet.own,
  order: sheet.order,
  ...(sheet.words ? { words: sheet.words } : {}),
});

/**
 * Applies a template to the checklist of a job; records and own steps stay.
 * @example templateApplied(blank, 'set', { order: [], own: [] }).work.set.order.length // 0
 */
export function templateApplied(job: Job, stage: WorkStage, template: SheetTemplate): Job {
  const { own } = job.work[stage];
  const known = new Set(template.own.map((s) => s.id));
  return withSheet(job, stage, {
    own: [...template.own, ...own.filter((s) => !known.has(s.id))],
    order: template.order,
    ...(template.words ? { words: { ...job.work[stage].words, ...template.words } } : {}),
  });
}
