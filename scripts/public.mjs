// What lies in public/ but is made of the sources: scripts that are loaded by themselves, and the demo workshop.
import { bundleScripts } from './bundle.mjs';
import { makeDemo } from './demo.mjs';

export const makePublic = () => Promise.all([bundleScripts(), makeDemo()]);
