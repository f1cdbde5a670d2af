import { writeFileSync } from 'node:fs';
import path from 'node:path';

import { jobFileJsonSchema, workshopFileJsonSchema } from '@/files/jsonSchema';

/* npm run schema: writes the published JSON Schemas of the files. */
const docs = path.resolve(import.meta.dirname, '../../docs');
for (const [name, schema] of [
  ['job-file', jobFileJsonSchema()],
  ['workshop-file', workshopFileJsonSchema()],
] as const)
  writeFileSync(path.join(docs, `${name}.schema.json`), `${JSON.stringify(schema, null, 2)}\n`);
