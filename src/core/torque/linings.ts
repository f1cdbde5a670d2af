import type { LiningId } from '../job/types';

/** Wet friction of a lining: assumed values, each to be replaced by the lining maker's own. */
export interface LiningFriction {
  readonly low: number;
  readonly typical: number;
  readonly high: number;
}

/** Source: usual wet values of machine-element textbooks; `docs/mechanics.md` section 3. */
export const LINING_ESTIMATES: Readonly<
  Record<LiningId, LiningFriction & { readonly name: string }>
> = {
  paper: { name: 'Paper', low: 0.1, typical: 0.12, high: 0.14 },
  cork: { name: 'Cork', low: 0.09, typical: 0.11, high: 0.13 },
  aramid: { name: 'Aramid', low: 0.1, typical: 0.12, high: 0.135 },
  sintered: { name: 'Sintered', low: 0.06, typical: 0.08, high: 0.1 },
};
