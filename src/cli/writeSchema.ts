import { writeFileSync } from 'node:fs';
import path from 'node:path';

import { jobFileJsonSchema } from '@/files/jsonSchema';

/* npm run schema: writes the published JSON Schema of the job file. */
const target = path.resolve(import.meta.dirname, '../../docs/job-file.schema.json');
writeFileSync(target, `${JSON.stringify(jobFileJsonSchema(), null, 2)}\n`);
