/**
 * The job record: everything a builder typed or measured for one clutch, and nothing computed. Plain data, so that it can be
 * stored, exported, compared and copied. All values in base units (mm, N, N·m, MPa, kg, s, rpm, degrees); see
 * `units/quantity.ts`. Its parts are in `record/`, the work in `work.ts`.
 */

import type { Finding, ReadingSet, ReplacedPlate } from './record/findings';
import type { Entry } from './record/entry';
import type { Oil, Slip } from './record/oil';
import type { Engine, Intake, Machine, Stage, StartDuty } from './record/intake';
import type { InspectionRecord } from './record/inspection';
import type { LeafletTexts } from './record/leaflet';
import type { Pack } from './record/pack';
import type {
  Assist,
  ExpandingDiscRecord,
  Release,
  Setting,
  StartClutchRecord,
} from './record/setting';
import type { Springs } from './record/springs';
import type { Photo, Strip } from './record/strip';
import type { Visit } from './record/visits';
import type { BuildRecord, ProveRecord, Work } from './work';

export * from './record/entry';
export * from './record/inspection';
export * from './record/intake';
export * from './record/leaflet';
export * from './record/oil';
export * from './record/pack';
export * from './record/setting';
export * from './record/springs';
export * from './record/strip';
export * from './record/visits';

/** Attachments without a part of the record of their own, by kind: the choice as `type`, and its entries. */
export type Fittings = Readonly<Record<string, Readonly<Record<string, Entry | string>>>>;

/** The parts of a job that form a variant. */
export interface VariantParts {
  readonly pack: Pack;
  readonly springs: Springs;
  readonly assist: Assist;
  readonly startClutch: StartClutchRecord;
  readonly release: Release;
  readonly expanding: ExpandingDiscRecord;
  readonly setting: Setting;
  readonly fittings?: Fittings;
}

export const VARIANT_PARTS = [
  'pack',
  'springs',
  'assist',
  'startClutch',
  'release',
  'expanding',
  'setting',
  'fittings',
] as const satisfies readonly (keyof VariantParts)[];

/** A saved alternative pack of the job. */
export interface Variant extends VariantParts {
  readonly id: string;
  readonly name: string;
}

export interface Job extends VariantParts {
  readonly id: string;
  readonly number: string;
  readonly stage: Stage;
  readonly createdAt: string;
  readonly updatedAt: string;
  readonly archived: boolean;
  readonly machine: Machine;
  readonly intake: Intake;
  readonly engine: Engine;
  readonly duty: StartDuty;
  readonly oil?: Oil;
  /** Slips seen on the dyno or on the road. */
  readonly slips?: readonly Slip[];
  readonly strip: Strip;
  readonly inspection: InspectionRecord;
  /** Saved alternative packs; switching keeps the current one. */
  readonly variants: readonly Variant[];
  /** Name of the pack that is being worked on. */
  readonly variantName?: string;
  /** The work: steps, counts, checks and signature. */
  readonly work: Work;
  readonly build: BuildRecord;
  readonly prove: ProveRecord;
  readonly signOff: SignOff;
  /** Returns of the machine while this pack is in it. */
  readonly visits: readonly Visit[];
  readonly photos: readonly Photo[];
  readonly notes: string;
  /** What was found on any part, in free words. */
  readonly findings?: readonly Finding[];
  readonly replaced?: readonly ReplacedPlate[];
  /** Sets of readings that were followed by others; the latest are in the fields themselves. */
  readonly earlierSets?: readonly ReadingSet[];
  /** What the leaflet says in words, as the spec sheet gave it. */
  readonly leaflet?: LeafletTexts;
}

/** A builder's written reason to sign although something is open; printed. */
export interface Override {
  readonly itemId: string;
  /** The sentence that the reason answers: another one asks again. */
  readonly said?: string;
  readonly reason: string;
  readonly by: string;
  readonly at: string;
}

/** A record as signed: the job without its earlier revisions and service visits. */
export type SignedRecord = Omit<Job, 'signOff' | 'visits'> & {
  readonly overrides: readonly Override[];
};

export interface Revision {
  readonly number: number;
  readonly signedAt: string;
  readonly by: string;
  /** SHA-256 of the record in canonical form, in hex. */
  readonly digest: string;
  /** Why the record was opened again; empty for the first. */
  readonly why: string;
  readonly record: SignedRecord;
}

export interface SignOff {
  readonly overrides: readonly Override[];
  readonly revisions: readonly Revision[];
  /** Why the signed record was opened to change it; absent while the last revision is valid. */
  readonly reopened?: string;
}
