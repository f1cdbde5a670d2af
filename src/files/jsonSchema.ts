import parse from 'joi-to-json';

import { JOB_FILE } from './schema';

/** The job file's schema as JSON Schema 2020-12, for other programs; written to docs/job-file.schema.json. */
export function jobFileJsonSchema(): object {
  return {
    $schema: 'https://json-schema.org/draft/2020-12/schema',
    title: 'Under Ridge job file',
    description: 'One clutch job. All values in base units: mm, N, N·m, N/mm, MPa, rpm.',
    ...(parse(JOB_FILE, 'json-draft-2019-09') as object),
  };
}
