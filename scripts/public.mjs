// Generated files in public/: separately loaded scripts, and the demo workshop.
import { bundleScripts } from './bundle.mjs';
import { makeDemo } from './demo.mjs';

export const makePublic = () => Promise.all([bundleScripts(), makeDemo()]);
