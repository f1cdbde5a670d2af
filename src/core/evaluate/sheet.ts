import { DomainError } from '../errors';
import type { FieldPath } from '../job/fields';
import { fieldAt } from '../job/fields';
import { entryAt } from '../job/paths';
import type { Job, Source } from '../job/types';
import type { Quantity } from '../units/quantity';
import type { Figure, FigureId, Need, Outcome, WorkingInput } from './figure';

/** A value on its way into a figure: known with its source, or lacking with what it needs. */
export type Term = KnownTerm | Lack;

export interface KnownTerm {
  readonly known: true;
  readonly value: number;
  readonly range?: { readonly low: number; readonly high: number };
  readonly inputs: readonly WorkingInput[];
  readonly estimated: boolean;
}

export interface Lack {
  readonly known: false;
  readonly needs: readonly Need[];
  /** Why it can't be worked out although everything is entered. */
  readonly cause?: string;
}

type Values<T extends Readonly<Record<string, Term>>> = { readonly [K in keyof T]: number };

interface FigureRecipe<T extends Readonly<Record<string, Term>>> {
  readonly label: string;
  readonly quantity: Quantity;
  readonly section: number;
  readonly formula: string;
  readonly from: T;
  readonly value: (values: Values<T>) => number | { value: number; low: number; high: number };
  readonly decimals?: number;
  readonly notes?: readonly string[];
}

const ENTERED: Source = { kind: 'entered' };

/**
 * Works figures out of a job one after another. A figure is made from terms (entries or earlier figures);
 * when one lacks, the figure is unknown and says what it needs, and all others go on.
 */
export class Sheet {
  readonly outcomes = new Map<FigureId, Outcome>();

  constructor(readonly job: Job) {}

  /** The entry of a field, else its design estimate, else a lack. */
  entry(path: FieldPath, symbol?: string, label?: string): Term {
    const field = fieldAt(path);
    const given = entryAt(this.job, path);
    const name = label ?? field.label;
    if (given) {
      return term(given.value, {
        symbol: symbol ?? field.symbol,
        label: name,
        quantity: field.quantity,
        source: given.source ?? ENTERED,
        path,
      });
    }
    if (field.estimate) {
      return term(field.estimate.value, {
        symbol: symbol ?? field.symbol,
        label: name,
        quantity: field.quantity,
        source: { kind: 'estimate', note: field.estimate.why },
        path,
      });
    }
    return { known: false, needs: [{ path, label: name }] };
  }

  /** An earlier figure as a term. */
  figure(id: FigureId, symbol: string): Term {
    const outcome = this.outcomes.get(id);
    if (!outcome) throw new Error(`${id} is used before it is worked out`);
    if (outcome.status === 'unknown')
      return { known: false, needs: outcome.needs, cause: outcome.cause };
    return {
      known: true,
      value: outcome.value,
      range: outcome.range,
      estimated: outcome.estimated,
      inputs: [
        {
          symbol,
          label: outcome.label,
          value: outcome.value,
          quantity: outcome.quantity,
          source: ENTERED,
          figure: id,
        },
      ],
    };
  }

  /** Works one figure out and keeps it. A value outside the formula's domain makes it unknown, with the reason. */
  compute<T extends Readonly<Record<string, Term>>>(
    id: FigureId,
    recipe: FigureRecipe<T>,
  ): Outcome {
    const outcome = this.work(id, recipe);
    this.outcomes.set(id, outcome);
    return outcome;
  }

  private work<T extends Readonly<Record<string, Term>>>(
    id: FigureId,
    recipe: FigureRecipe<T>,
  ): Outcome {
    const { label } = recipe;
    const terms = Object.entries(recipe.from);
    const needs = dedupe(terms.flatMap(([, t]) => (t.known ? [] : t.needs)));
    if (needs.length > 0) {
      return { status: 'unknown', id, label, needs, reason: neededFor(needs, label) };
    }
    const blocked = terms.map(([, t]) => t).find((t) => !t.known);
    if (blocked && !blocked.known)
      return contradiction(id, label, blocked.cause ?? 'its inputs contradict each other.');
    const known = terms.flatMap(([key, t]) => (t.known ? [[key, t] as const] : []));
    try {
      const made = recipe.value(
        Object.fromEntries(known.map(([k, t]) => [k, t.value])) as Values<T>,
      );
      const { value, low, high } =
        typeof made === 'number' ? { value: made, low: undefined, high: undefined } : made;
      if (![value, low ?? 0, high ?? 0].every(Number.isFinite)) {
        return contradiction(id, label, NOT_FINITE);
      }
      return {
        status: 'known',
        id,
        label,
        quantity: recipe.quantity,
        value,
        ...(low === undefined || high === undefined ? {} : { range: { low, high } }),
        ...(recipe.decimals === undefined ? {} : { decimals: recipe.decimals }),
        estimated: known.some(([, t]) => t.estimated),
        working: {
          formula: recipe.formula,
          inputs: known.flatMap(([, t]) => t.inputs),
          notes: recipe.notes ?? [],
          section: recipe.section,
        },
      };
    } catch (error) {
      if (!(error instanceof DomainError)) throw error;
      return contradiction(id, label, domainSentence(error));
    }
  }

  known(id: FigureId): Figure | undefined {
    const outcome = this.outcomes.get(id);
    return outcome?.status === 'known' ? outcome : undefined;
  }
}

const NOT_FINITE = 'the result would be too large or too small to mean anything.';

function contradiction(id: FigureId, label: string, cause: string): Outcome {
  return {
    status: 'unknown',
    id,
    label,
    needs: [],
    cause,
    reason: `${label} can’t be worked out: ${cause}`,
  };
}

/** A term from one value with its place in the working. */
export function term(
  value: number,
  input: Omit<WorkingInput, 'value'>,
  notShown = false,
): KnownTerm {
  return {
    known: true,
    value,
    inputs: notShown ? [] : [{ ...input, value }],
    estimated: input.source.kind === 'estimate',
  };
}

/**
 * Several terms as one, with all their inputs shown; its value is worked out from theirs. What lacks, or lies
 * outside the formula's domain, makes the whole a lack that says why.
 */
export function gather(terms: readonly Term[], value: (values: readonly number[]) => number): Term {
  const needs = dedupe(terms.flatMap((t) => (t.known ? [] : t.needs)));
  if (needs.length > 0) return { known: false, needs };
  const known: KnownTerm[] = [];
  for (const t of terms) {
    if (!t.known) return t;
    known.push(t);
  }
  try {
    const result = value(known.map((t) => t.value));
    if (!Number.isFinite(result)) return { known: false, needs: [], cause: NOT_FINITE };
    return {
      known: true,
      value: result,
      inputs: dedupeInputs(known.flatMap((t) => t.inputs)),
      estimated: known.some((t) => t.estimated),
    };
  } catch (error) {
    if (!(error instanceof DomainError)) throw error;
    return { known: false, needs: [], cause: domainSentence(error) };
  }
}

function dedupeInputs(inputs: readonly WorkingInput[]): WorkingInput[] {
  return [
    ...new Map(inputs.map((i) => [`${i.path ?? ''}|${i.figure ?? ''}|${i.label}`, i])).values(),
  ];
}

export function lack(label: string, path?: FieldPath): Lack {
  return { known: false, needs: [path === undefined ? { label } : { label, path }] };
}

function dedupe(needs: readonly Need[]): Need[] {
  const seen = new Map(needs.map((n) => [`${n.path ?? ''}|${n.label}`, n] as const));
  return [...seen.values()];
}

function neededFor(needs: readonly Need[], label: string): string {
  const names = needs.map((n, i) => (i === 0 ? n.label : lowerFirst(n.label)));
  const list =
    names.length <= 3
      ? joinAnd(names)
      : `${names.slice(0, 2).join(', ')} and ${names.length - 2} more`;
  return `${list} ${names.length === 1 ? 'is' : 'are'} needed for ${lowerFirst(label)}.`;
}

function joinAnd(names: readonly string[]): string {
  return names.length < 2
    ? names.join('')
    : `${names.slice(0, -1).join(', ')} and ${names.at(-1) ?? ''}`;
}

export function lowerFirst(text: string): string {
  return text.charAt(0).toLowerCase() + text.slice(1);
}

function domainSentence(error: DomainError): string {
  const given =
    typeof error.given === 'number' ? `, not ${Number(error.given.toPrecision(6))}` : '';
  return `${readable(error.path)} must be ${error.accepted}${given}.`;
}

/** "faces.0.tangRadius" as words: "tang radius". */
function readable(path: string): string {
  const last =
    path
      .split('.')
      .filter((p) => !/^\d+$/.test(p))
      .at(-1) ?? path;
  return last.replace(/([A-Z])/g, ' $1').toLowerCase();
}
