import type { PackLayer } from '@/core/evaluate/engine/layers';
import type { Fixture } from '../job/types';
import type { Decision, Reason } from './decisions';

/** A part with what becomes of it and why, the gravest reason first. */
export interface PartVerdict {
  readonly id: string;
  readonly name: string;
  readonly plate?: PackLayer | undefined;
  readonly fixture?: Fixture | undefined;
  readonly decision: Decision;
  readonly reasons: readonly Reason[];
}
