import { DomainError } from '@/core/errors';
import type { FieldSpec } from '@/core/job/specs/spec';
import type { FieldPath } from '@/core/job/fieldPath';
import { fieldAt } from '@/core/job/fields';
import { springsOf } from '@/core/clutch/fitted';
import { entryAt } from '@/core/job/entryAt';
import type { Entry, Job, Source } from '@/core/job/types';
import type { Quantity } from '@/core/units/quantity';
import type { Figure, FigureId, Outcome, Working, WorkingInput } from './figure';
import { domainSentence, neededFor, NOT_FINITE } from '@/core/text/reasons';
import type { KnownTerm, Term } from './term';
import type { Sentence } from '@/core/text/sentence';
import type { FigureRecipe, Sheet, SpringModel, TermValues } from './sheet';
import { anyEstimated, findMissing, inputsOf, term } from './term';

const ENTERED: Source = { kind: 'entered' };

/**
 * Calculates the figures of a job one after another. A figure is made from terms (entries or earlier figures); if a term is
 * missing, the figure is unknown and names it, and all others continue.
 */
export class JobSheet implements Sheet {
  readonly outcomes = new Map<FigureId, Outcome>();

  readonly springs: SpringModel;

  constructor(readonly job: Job) {
    this.springs = springsOf(job);
  }

  /** Terms already made: one object each, so that an input appears once in a working. */
  private readonly terms = new Map<string, Term>();
  private readonly results = new Map<FigureId, KnownTerm>();

  private readonly made = new Map<string, unknown>();

  /** Data shared by several figures, calculated once per sheet. @param key one per `make` */
  once<T>(key: string, make: () => T): T {
    const known = this.made.get(key);
    if (known !== undefined) return known as T;
    const made = make();
    this.made.set(key, made);
    return made;
  }

  /** The entry of a field, else its assumed value, else a missing term. */
  entry(path: FieldPath, symbol?: string, label?: string): Term {
    const made = this.terms.get(path);
    if (made) return made;
    const fresh = this.readEntry(path, symbol, label);
    this.terms.set(path, fresh);
    return fresh;
  }

  private readEntry(path: FieldPath, ownSymbol?: string, ownLabel?: string): Term {
    const field = fieldAt(path);
    const given = entryAt(this.job, path);
    const symbol = ownSymbol ?? field.symbol;
    const label = ownLabel ?? field.label;
    const { quantity } = field;
    if (given) return termOfEntry(given, path, symbol, label, quantity);
    const assumedTermFor = field.estimate ?? field.absent;
    // A missing input is named by its field and its owner, since several kinds have the same fields.
    if (!assumedTermFor)
      return {
        known: false,
        needs: [{ path, label: ofWhich(this.job, path, field.across ?? field.label) }],
      };
    return assumedTerm(field, assumedTermFor, path, symbol, label);
  }

  /** The value of a field or its assumed value; undefined while missing. */
  valueAt(path: FieldPath): number | undefined {
    const made = this.entry(path);
    return made.known ? made.value : undefined;
  }

  /** An earlier figure as a term. */
  figure(id: FigureId, symbol: string): Term {
    const made = this.results.get(id);
    if (made && made.inputs[0]?.symbol === symbol) return made;
    const outcome = this.outcomes.get(id);
    if (!outcome) throw new Error(`${id} is used before it is worked out`);
    if (outcome.status === 'unknown') {
      return { known: false, needs: outcome.needs, cause: outcome.cause };
    }
    const { value, label, quantity, range, estimated } = outcome;
    const fresh: KnownTerm = {
      known: true,
      value,
      range,
      estimated,
      inputs: [{ symbol, label, value, quantity, source: ENTERED, figure: id }],
    };
    this.results.set(id, fresh);
    return fresh;
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
    const { label, quantity, decimals } = recipe;
    const from: Readonly<Record<string, Term>> = recipe.from;
    const all: Term[] = [];
    const values: Record<string, number> = {};
    for (const key in from) {
      const t = from[key];
      if (!t) continue;
      all.push(t);
      if (t.known) values[key] = t.value;
    }
    const missing = findMissing(all);
    if (missing) {
      const { needs } = missing;
      return needs.length > 0
        ? {
            status: 'unknown',
            id,
            label,
            needs,
            get reason() {
              return neededFor(needs, label);
            },
          }
        : contradiction(id, label, missing.cause ?? 'its inputs contradict each other.');
    }
    try {
      const made = recipe.value(values as TermValues<T>);
      const { value, low, high } =
        typeof made === 'number' ? { value: made, low: made, high: made } : made;
      if (!Number.isFinite(value) || !Number.isFinite(low) || !Number.isFinite(high)) {
        return contradiction(id, label, NOT_FINITE);
      }
      return {
        status: 'known',
        id,
        label,
        quantity,
        value,
        range: typeof made === 'number' ? undefined : { low, high },
        decimals,
        estimated: anyEstimated(all),
        working: new LazyWorking(recipe, all),
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

/** A working whose rows and notes are put together when it is opened: most never are. */
class LazyWorking implements Working {
  readonly formula: string;
  readonly section: number;

  constructor(
    private readonly recipe: Pick<FigureRecipe<never>, 'formula' | 'section' | 'notes'>,
    private readonly terms: readonly Term[],
  ) {
    this.formula = recipe.formula;
    this.section = recipe.section;
  }

  get inputs(): readonly WorkingInput[] {
    return inputsOf(this.terms);
  }

  get notes(): readonly Sentence[] {
    return (this.recipe.notes ?? []).map((note) => (typeof note === 'string' ? [note] : note));
  }
}

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

const OF_KIND = /^pack\.kinds\.([^.]+)\./;
const OF_GROUP = /^springs\.coil\.groups\.([^.]+)\./;

/** The missing input, with its plate or spring type where there are several. */
function ofWhich(job: Job, path: FieldPath, label: string): string {
  const kind = OF_KIND.exec(path)?.[1];
  const group = OF_GROUP.exec(path)?.[1];
  const kinds: readonly { readonly id: string; readonly name: string }[] =
    kind === undefined ? job.springs.coil.groups : job.pack.kinds;
  const name = kinds.length > 1 ? kinds.find(({ id }) => id === (kind ?? group))?.name : undefined;
  return name ? `${label.replace(/, new$/, '')} of ${name}` : label;
}

/** Assumed values are equal in every job, so their terms are made once. */
const assumedTerms = new Map<FieldPath, KnownTerm>();
const MAX_ASSUMED_TERMS = 2000;

function assumedTerm(
  { estimate, quantity }: FieldSpec,
  { value, why }: { readonly value: number; readonly why: string },
  path: FieldPath,
  symbol: string,
  label: string,
): KnownTerm {
  const made = assumedTerms.get(path);
  const input = made?.inputs[0];
  if (made && input?.symbol === symbol && input.label === label) return made;
  const source: Source = { kind: estimate ? 'estimate' : 'entered', note: why };
  const absent = estimate ? undefined : true;
  const fresh = term({ symbol, label, value, quantity, source, absent, path });
  if (assumedTerms.size >= MAX_ASSUMED_TERMS) assumedTerms.clear();
  assumedTerms.set(path, fresh);
  return fresh;
}

interface EntryTerm extends KnownTerm {
  readonly inputs: readonly [WorkingInput];
}

/** Entries never change, so the term of one serves every evaluation of a job, and of copies that share it. */
const entryTerms = new WeakMap<Entry, EntryTerm>();

function termOfEntry(
  entry: Entry,
  path: FieldPath,
  symbol: string,
  label: string,
  quantity: Quantity,
): KnownTerm {
  const made = entryTerms.get(entry);
  if (made) {
    const [input] = made.inputs;
    if (input.path === path && input.label === label && input.symbol === symbol) return made;
  }
  const { value, source = ENTERED } = entry;
  const fresh: EntryTerm = {
    known: true,
    value,
    inputs: [{ symbol, label, value, quantity, source, path }],
    estimated: source.kind === 'estimate',
  };
  entryTerms.set(entry, fresh);
  return fresh;
}
