import { DomainError } from '@/core/errors';
import type { FieldPath, ListPath } from '@/core/job/fieldPath';
import type { Need, WorkingInput } from './figure';
import { domainSentence, NOT_FINITE } from '@/core/text/reasons';

/** A value on its way into a figure: known with its source, or missing with the inputs it needs. */
export type Term = KnownTerm | MissingTerm;

export interface KnownTerm {
  readonly known: true;
  readonly value: number;
  readonly range?: { readonly low: number; readonly high: number } | undefined;
  readonly inputs: readonly WorkingInput[];
  readonly estimated: boolean;
}

export interface MissingTerm {
  readonly known: false;
  readonly needs: readonly Need[];
  /** Why it can't be worked out although everything is entered. */
  readonly cause?: string | undefined;
}

/**
 * A term from one value with its place in the working.
 * @example term({ symbol: 't', label: 'Thickness', value: 3, quantity: 'length', source: { kind: 'entered' } }).value // 3
 */
export function term(input: WorkingInput): KnownTerm {
  return {
    known: true,
    value: input.value,
    inputs: [input],
    estimated: input.source.kind === 'estimate',
  };
}

/**
 * Combines several terms into one, with all their inputs shown. A missing term, or a value outside the formula's domain, makes
 * the result a missing term with the reason.
 * @example collectTerms([term({ symbol: 't', label: 'Thickness', value: 3, quantity: 'length', source: { kind: 'entered' } })], ([t]) => 2 * t).value // 6
 */
export function collectTerms(
  terms: readonly Term[],
  value: (values: readonly number[]) => number,
): Term {
  const missing = findMissing(terms);
  if (missing) return missing;
  try {
    const result = value(terms.map((t) => (t.known ? t.value : Number.NaN)));
    if (!Number.isFinite(result)) return { known: false, needs: [], cause: NOT_FINITE };
    return new CollectedTerms(result, terms);
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    return { known: false, needs: [], cause: domainSentence(error) };
  }
}

/** A term made of others; its inputs are collected only when a working needs them. */
class CollectedTerms implements KnownTerm {
  readonly known = true;
  readonly estimated: boolean;

  constructor(
    readonly value: number,
    private readonly parts: readonly Term[],
  ) {
    this.estimated = anyEstimated(parts);
  }

  get inputs(): readonly WorkingInput[] {
    return inputsOf(this.parts);
  }
}

/**
 * The missing inputs of some terms: all of them together, else the first contradiction.
 * Never throws.
 * @example findMissing([missingTerm('A plate'), missingTerm('A spring')]).needs.length // 2
 */
export function findMissing(terms: readonly Term[]): MissingTerm | undefined {
  let contradiction: MissingTerm | undefined;
  let needs: Need[] | undefined;
  for (const t of terms) {
    if (t.known) continue;
    if (t.needs.length > 0) (needs ??= []).push(...t.needs);
    else contradiction ??= t;
  }
  return needs ? { known: false, needs: dedupe(needs) } : contradiction;
}

/**
 * Whether any known term is an assumed value.
 * @example anyEstimated([missingTerm('A plate')]) // false
 */
export function anyEstimated(terms: readonly Term[]): boolean {
  for (const t of terms) if (t.known && t.estimated) return true;
  return false;
}

/**
 * The inputs of some terms, each once, in the order of the terms.
 * @example inputsOf([missingTerm('A plate')]) // []
 */
export function inputsOf(terms: readonly Term[]): readonly WorkingInput[] {
  const [only] = terms;
  if (terms.length === 1 && only?.known) return only.inputs;
  const all = new Set<WorkingInput>();
  for (const t of terms) if (t.known) for (const input of t.inputs) all.add(input);
  return [...all];
}

/**
 * A term that is not known yet, with the name of the input and its field.
 * Never throws.
 * @example missingTerm('A plate', 'pack.plates').needs[0].label // "A plate"
 */
export function missingTerm(label: string, path?: FieldPath | ListPath): MissingTerm {
  return { known: false, needs: [path === undefined ? { label } : { label, path }] };
}

function dedupe(needs: readonly Need[]): Need[] {
  const seen = new Map(needs.map((n) => [`${n.path ?? ''}|${n.label}`, n] as const));
  return [...seen.values()];
}

/**
 * The value of a term in the base unit; NaN while it is not known.
 * @example valueOf({ known: true, value: 3, inputs: [], estimated: false }) // 3
 */
export function valueOf(t: Term | undefined): number {
  return t?.known ? t.value : Number.NaN;
}

/**
 * The value of a term in the base unit; undefined while it is not known.
 * @example valueIfKnown({ known: true, value: 3, inputs: [], estimated: false }) // 3
 */
export function valueIfKnown(t: Term | undefined): number | undefined {
  return t?.known ? t.value : undefined;
}
