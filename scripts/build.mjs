// npm run build: the web export, always from scratch.
import { ensureInstalled } from './lib.mjs';
import { exportWeb } from './export.mjs';

ensureInstalled();
await exportWeb();
