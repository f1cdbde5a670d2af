// npm run dev: the live development server.
import { bin, ensureInstalled, run } from './lib.mjs';

ensureInstalled();
const { makePublic } = await import('./public.mjs');
await makePublic();
process.exitCode = await run(bin('expo'), ['start', '--web', ...process.argv.slice(2)], {
  env: { ...process.env, EXPO_OFFLINE: '1', EXPO_NO_TELEMETRY: '1' },
});
