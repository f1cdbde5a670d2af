import type { InputGroup } from './inputs';
import type { Chance } from './simulate';

/* How sure it is, in words. */

/**
 * A chance as a builder says it, never finer than a hundredth and never certain.
 * @example chanceText(0.983) // "98 in 100"
 */
export function chanceText(share: number): string {
  if (share > 0.995) return 'over 99 in 100';
  if (share < 0.005) return 'under 1 in 100';
  return `${Math.round(share * 100)} in 100`;
}

/** What each group of inputs is called, and what makes it surer. */
export const GROUP_TEXT: Readonly<
  Record<InputGroup, { readonly name: string; readonly better: string }>
> = {
  plates: { name: 'plate thickness', better: 'Measure the plates again' },
  flatness: { name: 'out-of-flat', better: 'Measure the flatness again' },
  friction: { name: 'friction of the lining', better: 'Enter a slip from the dyno or the road' },
  springs: { name: 'springs', better: 'Test the springs' },
  torque: { name: 'engine torque', better: 'Read the torque curve from the dyno' },
  train: { name: 'release train', better: 'Measure the lift by dial' },
  ramps: { name: 'ramps', better: 'Measure the ramps' },
};

/**
 * The input that matters most, with what measuring it again would take of the doubt; empty where nothing is in doubt.
 * @example doubtText({ share: 0.8, mean: 1, sigma: 0.1, doubts: [{ group: 'plates', share: 0.72 }] }, 'the stack') // "Measure the plates again: 72 % of the doubt about the stack."
 */
export function doubtText({ share, doubts }: Chance, about: string): string {
  const [most] = doubts;
  if (!most || share > 0.995 || share < 0.005) return '';
  return `${GROUP_TEXT[most.group].better}: ${Math.round(most.share * 100)} % of the doubt about ${about}.`;
}
