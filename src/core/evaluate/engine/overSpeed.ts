import type { SpringsOverRise } from '../../assist/centrifugal';
import type { Newton, Rpm } from '../../units/quantity';
import type { FigureId } from './figure';
import type { Sheet } from './sheet';
import { springForceAt } from './springs';
import type { Term } from './term';

/** Effect of a kind of clutch on the clamp by its speed. */
export interface OverSpeed {
  /** Clamp that it adds over engine speed, and that the lever has to lift as well; undefined while not known. */
  readonly adds?: (sheet: Sheet) => ((rpm: Rpm) => Newton) | undefined;
  /** The figure of its share at peak torque, with its symbol. */
  readonly added?: readonly [FigureId, string];
  /** Clamp over engine speed where it presses in place of the springs alone; undefined while not known. */
  readonly clamp?: (sheet: Sheet) => ((rpm: Rpm, springs: SpringsOverRise) => Newton) | undefined;
  /** The same at peak torque, for a working. */
  readonly atPeak?: (sheet: Sheet) => {
    readonly clamp: Term;
    readonly formula: string;
    readonly section: number;
    readonly notes: readonly string[];
  };
  /** The figure of the speed from which it has locked up. */
  readonly lockUp?: FigureId;
}

/**
 * Spring force over the rise of the plate, N over mm. @throws {DomainError} beyond the measured range
 * @example springsOverRise(sheet)(0) // 1570
 */
export function springsOverRise(sheet: Sheet): SpringsOverRise {
  const force = springForceAt(sheet);
  const stack = sheet.known('stack')?.value ?? Number.NaN;
  return (rise) => force?.(stack, rise) ?? Number.NaN;
}
