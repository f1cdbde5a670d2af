// npm run build: the web export, always anew.
import { ensureInstalled } from './lib.mjs';
import { exportWeb } from './export.mjs';

ensureInstalled();
await exportWeb();
