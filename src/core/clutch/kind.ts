import type { Move } from '../advice/move';
import type { KindCause, MeasuredWeight, DecidingTest } from '../causes/cause';
import type { FigureId, Outcome } from '../evaluate/engine/figure';
import type { OverSpeed } from '../evaluate/engine/overSpeed';
import type { Problem } from '../evaluate/engine/problem';
import type { Sheet, SpringModel } from '../evaluate/engine/sheet';
import type { Term } from '../evaluate/engine/term';
import type { Verdict } from '../evaluate/engine/verdict';
import type { Reason } from '../inspect/decisions';
import type { RunStep } from '../inspect/runStep';
import type { FieldPath } from '../job/fieldPath';
import type { FieldSpec } from '../job/specs/spec';
import type { Job } from '../job/types';
import type { Fastener } from '../job/work';
import type { PartLine, StripLine, StripPlace } from '../strip/line';
import type { UnitChoice } from '../units/format';
import type { Family, GlossaryTerm } from '../words/term';
import type { ChecklistPlace, ChecklistLine } from '../worksheet/line';
import type { FormGroup, KindChoice, ReturnSprings, SetEntry } from './form';

/** What multiplies the torque that a clamp holds, by that torque itself. */
export interface Driven {
  /** Its inputs. */
  readonly terms: (sheet: Sheet) => readonly Term[];
  /**
   * Factor on the held torque, by the torque that the pack alone holds for each newton, N·m/N.
   * @throws {DomainError} where it locks
   */
  readonly gain: (sheet: Sheet) => (perNewton: number) => number;
  /** Its figures, once the torque per newton is known: at low, typical and high friction. */
  readonly figures: (
    sheet: Sheet,
    perNewton: Term,
    levels: readonly [low: number, typical: number, high: number],
  ) => void;
}

/** A kind of springs or of attachment: everything the program knows of it. */
export interface ClutchKind {
  readonly id: string;
  /** Within a sentence: "coil springs". */
  readonly name: string;
  readonly isFitted: (job: Job) => boolean;
  /** The job with a small made-up clutch of this kind, every value entered. */
  readonly example: (job: Job) => Job;
  readonly families: readonly Family[];
  readonly terms?: Readonly<Record<string, GlossaryTerm>>;
  readonly fields: Readonly<Record<string, FieldSpec>>;
  /** Of springs: the label among the others. */
  readonly label?: string;
  readonly springs?: SpringModel;
  /** For attachments: the question that selects it. */
  readonly choice?: KindChoice;
  readonly form?: (job: Job) => readonly FormGroup[];
  readonly shown?: readonly FigureId[];
  readonly figures?: (sheet: Sheet) => void;
  readonly overSpeed?: OverSpeed;
  readonly drive?: Driven;
  /** It engages by speed: in the pack itself, or before it. */
  readonly takesUp?: 'inPack' | 'before';
  readonly verdicts?: (sheet: Sheet) => readonly (Verdict | undefined)[];
  readonly problems?: (sheet: Sheet) => readonly Problem[];
  readonly strip?: (job: Job) => Partial<Record<StripPlace, readonly StripLine[]>>;
  readonly parts?: (job: Job) => readonly PartLine[];
  readonly fastener?: (job: Job) => Pick<Fastener, 'name' | 'lock' | 'count'>;
  readonly checklist?: (job: Job) => Partial<Record<ChecklistPlace, readonly ChecklistLine[]>>;
  readonly readings?: (job: Job) => readonly RunStep[];
  readonly judge?: (job: Job) => readonly Reason[];
  readonly limits?: (job: Job) => readonly { readonly path: FieldPath; readonly label?: string }[];
  readonly causes?: Readonly<Record<string, KindCause>>;
  readonly tests?: Readonly<Record<string, DecidingTest>>;
  readonly weigh?: (v: Verdict, figures: ReadonlyMap<FigureId, Outcome>) => MeasuredWeight[];
  readonly weighJob?: (job: Job) => MeasuredWeight[];
  readonly moves?: (job: Job, set: SetEntry) => readonly Move[];
  readonly returnSprings?: ReturnSprings;
  readonly sheetRows?: (job: Job, units: UnitChoice) => readonly (readonly [string, string])[];
}
