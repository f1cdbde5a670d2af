import { blankJob } from './blank';
import { nextJobOf } from './derive';
import type { Entry, Job } from './types';

/* The specification of a pack without readings, notes and work: small enough for a QR code. */

type Part =
  | 'engine'
  | 'duty'
  | 'pack'
  | 'springs'
  | 'assist'
  | 'startClutch'
  | 'release'
  | 'expanding'
  | 'setting'
  | 'fittings';

/** A pack as specified, of a machine without an identity. */
export type Specification = Pick<Job, Part> & {
  readonly machine: Pick<Job['machine'], 'name' | 'use' | 'layout'>;
};

/** No date of its own in a specification. */
const NEVER = '2000-01-01T00:00:00.000Z';

type Ids = (id: string) => string;

/** Short names for identifiers, in the order in which they are met: they need to be unique in the job only. */
function shortIds(): Ids {
  const known = new Map<string, string>();
  return (id) => {
    const short = known.get(id) ?? known.size.toString(36);
    known.set(id, short);
    return short;
  };
}

/**
 * The pack of a job as specified: plates and springs without readings, the train without wear, values with kind and date of
 * their source, short identifiers. The torque curve is not included.
 * Never throws for a job that passes the schema.
 * @example specificationOf(job).pack.plates.length // 15
 */
export function specificationOf(job: Job): Specification {
  const as = nextJobOf(job, 'x', '', NEVER);
  const { curve: _curve, ...engine } = as.engine;
  const { name, use, layout } = as.machine;
  const ids = shortIds();
  const named = <T extends { readonly id: string }>(items: readonly T[]): T[] =>
    items.map((item) => ({ ...item, id: ids(item.id) }));
  const { coil, diaphragm } = as.springs;
  const kinds = named(as.pack.kinds);
  const groups = named(coil.groups).map(({ shelfId: _shelf, ...g }) => ({
    ...g,
    testerPoints: named(g.testerPoints),
  }));
  const spec: Specification = {
    machine: { name, use, layout },
    engine,
    duty: as.duty,
    pack: {
      ...as.pack,
      kinds,
      plates: named(as.pack.plates).map((p) => ({ ...p, kindId: ids(p.kindId) })),
    },
    springs: {
      ...as.springs,
      coil: { ...coil, groups, ring: coil.ring.map(ids) },
      diaphragm: {
        ...diaphragm,
        steps: named(diaphragm.steps),
        points: named(diaphragm.points),
        ...(diaphragm.stepId === undefined ? {} : { stepId: ids(diaphragm.stepId) }),
      },
    },
    assist: as.assist,
    startClutch: as.startClutch,
    release: as.release,
    expanding: as.expanding,
    setting: as.setting,
    ...(as.fittings ? { fittings: as.fittings } : {}),
  };
  return withPlainEntries(spec) as Specification;
}

const isEntry = (value: object): value is Entry =>
  'value' in value && typeof value.value === 'number';

/** Entries with only kind and date of their source. */
function withPlainEntries(node: unknown): unknown {
  if (Array.isArray(node)) return node.map(withPlainEntries);
  if (typeof node !== 'object' || node === null) return node;
  if (isEntry(node)) {
    const { kind, date } = node.source ?? {};
    return {
      value: node.value,
      ...(kind ? { source: { kind, ...(date ? { date } : {}) } } : {}),
    };
  }
  return Object.fromEntries(Object.entries(node).map(([key, v]) => [key, withPlainEntries(v)]));
}

/**
 * A new job of a specification.
 * @param now ISO time, given by the caller so that the core stays pure
 * @example jobOfSpecification(specificationOf(job), 'new', 'UR-9', now).number // "UR-9"
 */
export function jobOfSpecification(
  spec: Specification,
  id: string,
  number: string,
  now: string,
): Job {
  const blank = blankJob(id, number, now);
  const { machine, ...parts } = spec;
  return { ...blank, ...parts, stage: 'specify', machine: { ...blank.machine, ...machine } };
}
