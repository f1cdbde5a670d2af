import { fieldPath } from '../job/fieldPath';
import type { Job } from '../job/types';
import type { Fastener, FastenerRole, Lock } from '../job/work';
import { crissCross, torqueStages } from './boltCircle';
import { bothTorques, usualFasteners } from './fasteners';
import type { ChecklistLine } from './line';

/* Checklist lines of fasteners: single ones, circles in stages, and unlisted ones. */

/** The locking part of a fastener's line. */
function lockText(lock: Lock, grade: string): string {
  switch (lock) {
    case 'threadlocker':
      return `threadlocker${grade ? ` ${grade}` : ' of the grade the manual names'} on clean, oil-free threads`;
    case 'lockWasher':
      return 'new lock washer';
    case 'selfLocking':
      return 'new self-locking nut where the manual asks for one';
    case 'none':
      return '';
  }
}

/**
 * The fasteners of a role that are listed.
 * @example fastenersOf(job, 'hubNut').length // 1
 */
export const fastenersOf = (job: Job, role: FastenerRole) =>
  job.build.fasteners.filter((f) => f.role === role);

/**
 * The line for unlisted fasteners: they exist, and without a line they would be forgotten. Empty where fasteners of that role
 * are listed.
 * @example unlistedLines({ ...job, build: { ...job.build, fasteners: [] } }, 'hubNut', 'Hub').length // 1
 */
export function unlistedLines(
  job: Job,
  role: FastenerRole,
  section: string,
  extra: Partial<ChecklistLine> = {},
): ChecklistLine[] {
  if (fastenersOf(job, role).length > 0) return [];
  return usualFasteners(job, () => role)
    .filter((f) => f.role === role)
    .map(({ name, lock, grade }) => {
      const words = lockText(lock, grade);
      const how =
        role === 'hubNut'
          ? 'to the manual’s torque'
          : 'all in finger tight, then criss-cross in stages to the manual’s torque';
      return {
        key: `unlisted:${role}`,
        section,
        text: [`${name} ${how}${words ? `; ${words}` : ''}`],
        watch: 'Add it at Build with its torque to see both units here.',
        ...extra,
      };
    });
}

function torqueText(f: Fastener): string {
  return f.torque ? `to ${bothTorques(f.torque)}` : 'to the manual’s torque (not entered yet)';
}

/**
 * One line to a torque, where no circle needs stages.
 * @example tightenLine({ id: 'f', name: 'Hub nut', role: 'hubNut', lock: 'none', grade: '' }, 'Hub').key // "fastener:f"
 */
export function tightenLine(
  f: Fastener,
  section: string,
  extra: Partial<ChecklistLine> = {},
): ChecklistLine {
  const lock = lockText(f.lock, f.grade);
  return {
    key: `fastener:${f.id}`,
    section,
    text: [`${f.name || 'Fastener'} ${torqueText(f)}${lock ? `; ${lock}` : ''}`],
    fields: [
      fieldPath('build.fasteners.*.torque', f.id),
      fieldPath('build.fasteners.*.applied', f.id),
    ],
    answers: [fieldPath('build.fasteners.*.applied', f.id)],
    fastenerId: f.id,
    ...extra,
  };
}

/**
 * A circle: finger tight, then criss-cross in stages to torque.
 * @example circleLines({ id: 'f', name: 'Cover bolts', role: 'cover', lock: 'none', grade: '', count: entry(9), torque: entry(10) }, 2, 'Cover').length // 3
 */
export function circleLines(f: Fastener, stages: number, section: string): ChecklistLine[] {
  const n = f.count?.value ?? 0;
  const name = f.name || 'Bolts';
  const lock = lockText(f.lock, f.grade);
  const start: ChecklistLine = {
    key: `finger:${f.id}`,
    section,
    text: [
      `${name}: all in finger tight, by the lengths and places noted${lock ? `; ${lock}` : ''}${f.ownScrews ? '; the kit’s own low-head screws' : ''}`,
    ],
    watch: 'A bolt of the old set that is taller touches the cover.',
    fastenerId: f.id,
  };
  if (n < 3) return [start, tightenLine(f, section)];
  const steps = f.torque
    ? torqueStages(f.torque.value, stages).map((value, i) =>
        i === stages - 1 && f.torque ? bothTorques(f.torque) : bothTorques({ value }, {}, f.torque),
      )
    : Array.from({ length: stages }, (_, i) => `stage ${i + 1} of the manual’s torque`);
  return [
    start,
    ...steps.map((step, i): ChecklistLine => {
      const last = i === steps.length - 1;
      return {
        key: `stage:${f.id}:${i + 1}`,
        section,
        text: [
          `${name}, stage ${i + 1} of ${steps.length}: ${f.torque ? `to ${step}` : step}, criss-cross`,
        ],
        ...(i === 0
          ? {
              tool: 'circle' as const,
              watch: `Bolts counted clockwise from the first: ${crissCross(n).join(', ')}.`,
            }
          : {}),
        ...(last
          ? {
              fields: [
                fieldPath('build.fasteners.*.torque', f.id),
                fieldPath('build.fasteners.*.applied', f.id),
              ],
              answers: [fieldPath('build.fasteners.*.applied', f.id)],
              watch: 'Same order again. Uneven bolts tilt the plate.',
            }
          : {}),
        fastenerId: f.id,
      };
    }),
  ];
}
