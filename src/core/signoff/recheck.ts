import type { State } from '@/core/evaluate/engine/figure';
import type { Sentence } from '@/core/text/sentence';
import { length, say, travel } from '@/core/text/sentence';
import type { Job } from '../job/types';
import { gainTarget, isOnTarget } from '../setting/plans';
import { evaluate } from '../evaluate/evaluate';

export interface RecheckFinding {
  readonly id: 'freePlay' | 'lift' | 'gain';
  readonly state: State;
  readonly sentence: Sentence;
}

/**
 * Findings of the measurements after break-in: free play, gap and lift change as discs bed in.
 * @param job the record; what is not measured again gives no finding
 * Never throws for a job that passes the schema. Source: workshop practice; `docs/mechanics.md`, prove.
 * @example recheckFindings(job).length // 2
 */
export function recheckFindings(job: Job): RecheckFinding[] {
  const { prove, setting, release } = job;
  const found: RecheckFinding[] = [];
  const play = prove.recheckFreePlay?.value;
  if (play !== undefined) {
    const least = setting.freePlayMin?.value ?? 0;
    const most = setting.freePlayMax?.value ?? Infinity;
    const before = release.freePlay?.value;
    const moved = before === undefined ? [] : say` It was set to ${travel(before)}.`;
    found.push(
      play <= 0 || play < least
        ? {
            id: 'freePlay',
            state: 'stop',
            sentence: [
              ...say`Free play ${travel(play)}: too little; the bearing is loaded. Reset it.`,
              ...moved,
            ],
          }
        : play > most
          ? {
              id: 'freePlay',
              state: 'watch',
              sentence: [...say`Free play ${travel(play)}: too much; lift is lost.`, ...moved],
            }
          : {
              id: 'freePlay',
              state: 'good',
              sentence: [...say`Free play ${travel(play)}.`, ...moved],
            },
    );
  }
  const lift = prove.recheckLift?.value;
  if (lift !== undefined) {
    const needed = evaluate(job).figures.get('liftNeeded');
    const need = needed?.status === 'known' ? needed.value : undefined;
    found.push(
      need !== undefined && lift < need
        ? {
            id: 'lift',
            state: 'stop',
            sentence: say`Lift ${length(lift)}, ${length(need)} required: it drags.`,
          }
        : {
            id: 'lift',
            state: 'good',
            sentence:
              need === undefined
                ? say`Lift ${length(lift)}.`
                : say`Lift ${length(lift)}, ${length(need)} required.`,
          },
    );
  }
  const gain = prove.recheckGain?.value;
  const wanted = gainTarget({ setting });
  if (gain !== undefined && wanted !== undefined) {
    const target = wanted.middle;
    found.push(
      isOnTarget(gain, wanted)
        ? {
            id: 'gain',
            state: 'good',
            sentence: say`Lever gain ${travel(gain)}, target ${travel(target)}.`,
          }
        : {
            id: 'gain',
            state: 'watch',
            sentence: say`Lever gain ${travel(gain)}, target ${travel(target)}: enter it as a gain reading to get the correction.`,
          },
    );
  }
  return found;
}
