import { writeFileSync } from 'node:fs';
import path from 'node:path';

import { CURVES, curveCsv } from '@/demo/curves';

/* npm run demo-curves: writes the made-up torque curves of the demo workshop as CSV files. */
for (const curve of Object.values(CURVES)) {
  writeFileSync(
    path.resolve(import.meta.dirname, '../../public/demo-curves', curve.name),
    curveCsv(curve),
  );
}
