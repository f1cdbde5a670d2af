import type { PackLayer } from '@/core/evaluate/engine/layers';
import type { Fixture } from '../job/types';
import type { Decision, Reason } from './decisions';

/** A part with its decision and the reasons, the most serious first. */
export interface PartVerdict {
  readonly id: string;
  readonly name: string;
  readonly plate?: PackLayer | undefined;
  readonly fixture?: Fixture | undefined;
  readonly decision: Decision;
  readonly reasons: readonly Reason[];
}
