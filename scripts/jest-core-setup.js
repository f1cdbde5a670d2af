const fc = require('fast-check');

jest.setTimeout(30_000);

// Property tests draw the same cases in every run of npm test, so that a failure can be repeated. To look further:
// FC_SEED=random FC_RUNS=2000 npx jest --selectProjects core
const FC_SEED = process.env.FC_SEED;
const FC_RUNS = process.env.FC_RUNS;
const seed = FC_SEED === 'random' ? Date.now() : Number(FC_SEED ?? 20261124);
fc.configureGlobal({ seed, ...(FC_RUNS ? { numRuns: Number(FC_RUNS) } : {}) });
