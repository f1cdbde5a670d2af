import parse from 'joi-to-json';

import { JOB_FILE } from './schema/job';
import { WORKSHOP_FILE } from './schema/workshop';

type Node = Readonly<Record<string, unknown>> | readonly unknown[];

/** Parts shorter than this stay where they are. */
const NAMED_DEFINITIONS = 120;

/** The job file's schema as JSON Schema 2020-12, for other programs; written to docs/job-file.schema.json. */
export function jobFileJsonSchema(): object {
  const whole = parse(JOB_FILE, 'json-draft-2019-09') as Readonly<Record<string, unknown>>;
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Under Ridge job file',
    description: 'One clutch job. All values in base units: mm, N, N·m, N/mm, MPa, rpm.',
    ...named(whole),
  };
}

/** The workshop file's schema; jobs in it are job files. Written to docs/workshop-file.schema.json. */
export function workshopFileJsonSchema(): object {
  const whole = parse(WORKSHOP_FILE, 'json-draft-2019-09') as {
    readonly properties: Readonly<Record<string, object>>;
  };
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Under Ridge workshop file',
    description: 'All jobs of a workshop, its shelf and its checklists: workshop.json of a backup.',
    ...named({
      ...whole,
      properties: {
        ...whole.properties,
        jobs: { ...whole.properties.jobs, items: { $ref: 'job-file.schema.json' } },
      },
    }),
  };
}

/** The same schema with repeated parts defined once, under `$defs`. */
function named(schema: Readonly<Record<string, unknown>>): object {
  const times = new Map<string, number>();
  const count = (node: unknown): void => {
    if (!isNode(node)) return;
    if (isSchema(node)) {
      const text = JSON.stringify(node);
      const n = times.get(text) ?? 0;
      times.set(text, n + 1);
      // Parts inside a repeated part repeat with it.
      if (n > 0) return;
    }
    Object.values(node).forEach(count);
  };
  count(schema);
  const names = new Map<string, string>();
  const defs: Record<string, unknown> = {};
  const replace = (node: unknown, top = false): unknown => {
    if (!isNode(node)) return node;
    const text = JSON.stringify(node);
    if (!top && isSchema(node) && text.length > NAMED_DEFINITIONS && (times.get(text) ?? 0) > 1) {
      let name = names.get(text);
      if (name === undefined) {
        name = `part${names.size + 1}`;
        names.set(text, name);
        defs[name] = replace(node, true);
      }
      return { $ref: `#/$defs/${name}` };
    }
    if (Array.isArray(node)) return node.map((n) => replace(n));
    return Object.fromEntries(Object.entries(node).map(([k, v]) => [k, replace(v)]));
  };
  const body = replace(schema, true) as object;
  return { ...body, $defs: defs };
}

const isNode = (value: unknown): value is Node => typeof value === 'object' && value !== null;

/** A schema has a type; a list of properties does not. */
const isSchema = (node: Node): boolean => 'type' in node && typeof node.type === 'string';
