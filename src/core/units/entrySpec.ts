import type { Bounds } from '../errors';
import type { Quantity, Unit, UnitId } from './quantity';
import type { UnitChoice } from './format';
import { fromBase } from './quantity';
import { withSymbol, withoutZeros } from './format';

/** The entry rules of a field: its quantity and range, in the base unit. */
export interface EntrySpec {
  readonly quantity: Quantity;
  readonly bounds: Bounds;
  /** Range of real parts; a value outside it that would fit in another unit is questioned. */
  readonly plausible?: readonly [number, number];
  /** The unit of the field unless the builder has chosen another. */
  readonly unit?: UnitId;
  /** The field is a radius, so "117 dia" or "Ø117" is halved. */
  readonly radius?: boolean;
  /** The radius is entered as a diameter, as a caliper reads it, under this name; "58.5 rad" is still a radius. */
  readonly across?: string;
  /** The field is the pitch of a thread, so "20 tpi" is taken as an inch parted by it. */
  readonly thread?: boolean;
  /** The field counts turns of a screw, so "1 turn 4" is a turn and four of its marks. */
  readonly turns?: boolean;
  /** Marks in one turn of that screw, once they are known. */
  readonly marksPerTurn?: number;
  /** The length is set by a screw, so "3/8 turn" is so much of its pitch. */
  readonly byScrew?: boolean;
  /** Pitch of that screw, mm, once it is known. */
  readonly perTurn?: number;
}

/** One interpretation of the typed text. */
export interface Reading {
  /** In the base unit. */
  readonly value: number;
  readonly unit: Unit;
  /** Where a range was given: the value is its middle. In the base unit. */
  readonly range?: { readonly low: number; readonly high: number };
  /** The value as it would be shown, with its unit. */
  readonly text: string;
}

export type ParsedEntry =
  | { readonly kind: 'empty' }
  | ({ readonly kind: 'value' } & Reading)
  /** Readable, but more likely meant otherwise: the builder decides. */
  | { readonly kind: 'question'; readonly message: string; readonly readings: readonly Reading[] }
  | { readonly kind: 'refused'; readonly message: string };

/**
 * The units of a field: those the builder has chosen, else the field's own.
 * Never throws.
 * @example unitsFor({ quantity: 'mass', unit: 'g', bounds: {} }) // { mass: 'g' }
 */
export const unitsFor = ({ quantity, unit }: EntrySpec, chosen: UnitChoice = {}): UnitChoice =>
  unit === undefined || chosen[quantity] ? chosen : { ...chosen, [quantity]: unit };

/**
 * Describes the accepted values in the builder's unit: "Enter a number from 0.2 to 20 mm, such as 2.92, .115" or 115 thou."
 * @example acceptedText({ quantity: 'length', bounds: { above: 0, max: 20 } }, unitById('mm')) // "Enter a number above 0 and up to 20 mm, such as 2.92, 0.115 in, 115 thou or 1/8\"."
 */
export function acceptedText(spec: EntrySpec, unit: Unit): string {
  const { bounds } = spec;
  const show = (base: number) =>
    withoutZeros(fromBase(asShown(base, spec), unit).toFixed(unit.decimals));
  const symbol = unit.symbol ? ` ${unit.symbol}` : '';
  const noun = bounds.integer ? 'a whole number' : 'a number';
  const low = bounds.min ?? bounds.above;
  const high = bounds.max ?? bounds.below;
  const above = bounds.above !== undefined ? `above ${show(bounds.above)}` : '';
  const range =
    low !== undefined && high !== undefined
      ? above && bounds.max !== undefined
        ? ` ${above} and up to ${show(high)}`
        : ` from ${show(low)} to ${show(high)}`
      : low !== undefined
        ? above
          ? ` ${above}`
          : ` of ${show(low)} or more`
        : high !== undefined
          ? ` up to ${show(high)}`
          : '';
  const example = spec.thread ? '1.25, 1/20 in or 20 tpi' : EXAMPLES[spec.quantity];
  return `Enter ${noun}${range}${symbol}${example ? `, such as ${example}` : ''}.`;
}

const EXAMPLES: Partial<Record<Quantity, string>> = {
  length: '2.92, 0.115 in, 115 thou or 1/8"',
  torque: '12.5 Nm, 8.1 ft-lb, 97.4 in-lb or 11–13 Nm',
  force: '260 N or 58 lbf',
};

export function reading(value: number, unit: Unit, spec: EntrySpec): Reading {
  const shown = asShown(value, spec);
  const inUnit = fromBase(shown, unit);
  // A choice must keep its exact value.
  let decimals = unit.decimals;
  while (decimals < 6 && Math.abs(Number(inUnit.toFixed(decimals)) - inUnit) > 1e-9) decimals++;
  return {
    value,
    unit,
    text: withSymbol(inUnit.toFixed(decimals), unit.symbol),
  };
}

/**
 * A value as shown in its field: twice the radius where a diameter is entered.
 * @example asShown(58.5, { quantity: 'length', bounds: {}, across: 'Lining outer diameter' }) // 117
 */
export const asShown = (value: number, spec: EntrySpec): number =>
  spec.across === undefined ? value : 2 * value;

export function isPlausible(value: number, spec: EntrySpec): boolean {
  return !spec.plausible || (value >= spec.plausible[0] && value <= spec.plausible[1]);
}

export function outOfRange(first: Reading, spec: EntrySpec): string {
  if (!Number.isFinite(first.value)) return 'That is not a finite number.';
  if (spec.bounds.integer && !Number.isInteger(first.value))
    return `${withoutZeros(String(first.value))} is not a whole number.`;
  const low = spec.bounds.above ?? spec.bounds.min;
  if (
    low !== undefined &&
    (first.value < low || (spec.bounds.above !== undefined && first.value === low))
  ) {
    return first.value < 0
      ? 'A negative value is not possible here.'
      : `${first.text} is too small.`;
  }
  return `${first.text} is too large.`;
}
