import { fieldPath } from '../../job/fieldPath';
import type { Job } from '../../job/types';
import { turningText } from '../../setting/adjuster';
import type { GapPlan } from '../../setting/plans';
import { gainReadings, gapPlan } from '../../setting/plans';
import type { Sentence } from '../../text/sentence';
import { length, say } from '../../text/sentence';
import type { ChecklistLine } from '../../worksheet/line';

/* An expanding disc at the bench: its gap is set, and its gain read. */

/** Half of the last decimal that a length is shown with, mm. */
const MIN_SHOWN = 0.0005;

/** The turn required, the gap it gives, and the remainder that the marks can't set. */
function gapSettingText({ turning, wanted, given }: GapPlan): Sentence {
  if (given)
    return say`By the leaflet out by ${turningText(turning)}, for a gap of ${length(turning.gap)}`;
  const out = say`From there out by ${turningText(turning)}, for a gap of ${length(turning.gap)}`;
  return Math.abs(turning.rest) < MIN_SHOWN
    ? out
    : [...out, ...say`: the mark nearest to ${length(wanted)}`];
}

/**
 * The lines by which the install gap is set.
 * @example gapLines(quad).map((l) => l.key) // ["gapStart", "gap", "gauges"]
 */
export function gapLines(job: Job): readonly ChecklistLine[] {
  const section = 'Install gap';
  const plan = gapPlan(job);
  const contact = job.leaflet?.contact?.trim();
  return [
    {
      key: 'gapStart',
      section,
      text: [
        contact
          ? `Start point: adjuster in to first firm contact, felt ${contact}`
          : 'Start point: adjuster in to first firm contact, cable slack, contact felt at the nut',
      ],
      watch:
        'If the start is at the bearing instead of the nut, the gap is wrong by all of the slack.',
    },
    {
      key: 'gap',
      section,
      text: plan ? gapSettingText(plan) : ['From there out by turns and marks to the gap'],
      tool: 'gap',
      fields: [
        'setting.gapMin',
        'setting.gapMax',
        'setting.pitch',
        'setting.marksPerTurn',
        'setting.linkage',
        'setting.turnsGiven',
        'setting.turnsOut',
        // Marks apart from the turns are of earlier records: one field takes both.
        ...(job.setting.marksOut ? (['setting.marksOut'] as const) : []),
      ],
      answers: ['setting.turnsOut'],
    },
    {
      key: 'gauges',
      section,
      text: ['Gap checked by gauges, go and no-go, or by caliper'],
      unread: [job.setting.goSize, job.setting.noGoSize, job.setting.gapMeasured].every(
        (size) => size === undefined,
      ),
      tool: 'gauges',
      answers: ['setting.goSize', 'setting.noGoSize', 'setting.gapMeasured'],
      fields: ['setting.goSize', 'setting.noGoSize', 'setting.gapMeasured', 'setting.installGap'],
    },
  ];
}

/**
 * The line by which lever gain is read.
 * @example gainLine(quad).tool // "gain"
 */
export const gainLine = (job: Job): ChecklistLine => ({
  key: 'gain',
  section: 'Running',
  text: [
    'Warm, in neutral, light pressure on the lever to take up the free play, blip the throttle: read how far the lever moves in',
  ],
  watch:
    'Machine on its stand, wheel clear, brake within reach: an auto-clutch can move it with the lever out.',
  tool: 'gain',
  answers: job.setting.readings.map((r) => fieldPath('setting.readings.*.gain', r.id)),
  unread: gainReadings(job).length === 0,
  fields: ['setting.targetGain'],
});
