import { readSentence, travel } from '@/core/text/sentence';
import type { Entry, Job } from '../job/types';
import { eighthsText, pushrodPlan } from '../setting/plans';
import { fittedKinds } from '../clutch/fitted';
import { within } from '../text/within';
import type { UnitChoice } from '../units/format';
import { formatWithUnit } from '../units/format';
import { minutesText, soakOf } from '../worksheet/soak';
import type { PaperBlock } from './paper';
import { minute } from '../text/minute';
import { facts, gaugeDecimals } from './paper';

/**
 * Recorded settings and their readings, for a job sheet.
 * @example settingBlocks(blank, {}).length // 0
 */
export function settingBlocks(job: Job, units: UnitChoice): PaperBlock[] {
  const { build, setting, release } = job;
  const fine = ({ value }: Entry) => formatWithUnit(value, 'length', units);
  const atLever = ({ value }: Entry) => readSentence([travel(value)], units);
  const pushrod = pushrodPlan(job);
  const dial = gaugeDecimals(release.liftReadings.flatMap((r) => r.lift?.value ?? []));
  const decimals = (units.length ?? 'mm') === 'mm' ? dial : undefined;
  const rows = facts([
    [
      'Soak',
      build.soakStart === undefined
        ? undefined
        : `in oil from ${minute(build.soakStart)}, planned ${minutesText(soakOf(job).plan)}`,
    ],
    ...fittedKinds(job).flatMap((kind) => kind.sheetRows?.(job, units) ?? []),
    [
      'Free play at the lever',
      within(release.freePlay, setting.freePlayMin, setting.freePlayMax, atLever),
    ],
    ['Pushrod screw', pushrod ? `back ${eighthsText(pushrod)} from light touch` : undefined],
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
        .flatMap(({ angle, lift }) =>
          angle && lift
            ? [`${angle.value}° ${formatWithUnit(lift.value, 'length', units, decimals)}`]
            : [],
        )
        .join(', '),
    ],
    ['Bolt heads to cover', build.headClearance && fine(build.headClearance)],
  ]);
  return rows.length === 0 ? [] : [{ kind: 'heading', text: 'Settings' }, ...rows];
}
