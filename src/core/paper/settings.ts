import { readSentence, travel } from '../evaluate/sentence';
import type { Entry, Job } from '../job/types';
import { turningWords } from '../setting/adjuster';
import { eighthsWords, pushrodPlan } from '../setting/plans';
import type { UnitChoice } from '../units/quantity';
import { formatWithUnit } from '../units/quantity';
import { minutesText, soakOf } from '../worksheet/soak';
import type { PaperBlock } from './paper';
import { facts, minute } from './paper';

/**
 * How the clutch is set and what was read while it was: the settings of a job sheet, those that are recorded.
 * @example settingBlocks(blank, {}).length // 0
 */
export function settingBlocks(job: Job, units: UnitChoice): PaperBlock[] {
  const { build, setting, release, expanding, springs } = job;
  const fine = ({ value }: Entry) => formatWithUnit(value, 'length', units);
  const atLever = ({ value }: Entry) => readSentence([travel(value)], units);
  const within = (
    value: Entry | undefined,
    min: Entry | undefined,
    max: Entry | undefined,
    words: (entry: Entry) => string,
  ): string | undefined => {
    const window =
      min && max
        ? `${words(min)} to ${words(max)}`
        : min
          ? `${words(min)} or more`
          : max
            ? `up to ${words(max)}`
            : '';
    if (!value) return window ? `not recorded; asked ${window}` : undefined;
    return window ? `${words(value)}; asked ${window}` : words(value);
  };
  const step = springs.diaphragm.steps.find((s) => s.id === springs.diaphragm.stepId);
  const pushrod = pushrodPlan(job);
  const rows = facts([
    [
      'Soak',
      build.soakStart === undefined
        ? undefined
        : `in the oil from ${minute(build.soakStart)}, planned ${minutesText(soakOf(job).plan)}`,
    ],
    ['Retainer step', springs.type === 'diaphragm' ? step?.name : undefined],
    [
      'Install gap',
      expanding.fitted
        ? within(setting.installGap, setting.gapMin, setting.gapMax, fine)
        : undefined,
    ],
    [
      'Adjuster stands at',
      expanding.fitted && (setting.turnsOut ?? setting.marksOut)
        ? `${turningWords({ turns: setting.turnsOut?.value ?? 0, marks: setting.marksOut?.value ?? 0 })} out from firm contact`
        : undefined,
    ],
    [
      'Lever gain',
      expanding.fitted
        ? setting.readings
            .flatMap(({ turns, gain }) =>
              turns && gain ? [`${atLever(gain)} at ${turns.value} turns`] : [],
            )
            .concat(setting.targetGain ? [`aimed at ${atLever(setting.targetGain)}`] : [])
            .join('; ')
        : undefined,
    ],
    [
      'Free play at the lever',
      within(release.freePlay, setting.freePlayMin, setting.freePlayMax, atLever),
    ],
    ['Pushrod screw', pushrod ? `back ${eighthsWords(pushrod)} from light touch` : undefined],
    [
      'End float',
      setting.separatePrimary
        ? within(setting.endFloat, setting.endFloatWanted, undefined, fine)
        : undefined,
    ],
    [
      'Primary chain slack',
      setting.separatePrimary
        ? within(setting.chainSlack, setting.chainSlackMin, setting.chainSlackMax, atLever)
        : undefined,
    ],
    [
      'Lift round the plate',
      release.liftReadings
        .flatMap(({ angle, lift }) => (angle && lift ? [`${angle.value}° ${fine(lift)}`] : []))
        .join(', '),
    ],
    ['Bolt heads to cover', build.headClearance && fine(build.headClearance)],
  ]);
  return rows.length === 0 ? [] : [{ kind: 'heading', text: 'Settings' }, ...rows];
}
