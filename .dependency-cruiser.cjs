/** Layers from the lowest to the highest; a file imports from its own layer and those before it. */
const LAYERS = [
  ['core'],
  ['drawing'],
  ['files', 'storage', 'workers'],
  ['state'],
  ['ui'],
  ['features'],
];

const above = LAYERS.map((layer, i) => ({
  name: `${layer.join('-')}-imports-no-higher-layer`,
  severity: 'error',
  from: { path: `^src/(${layer.join('|')})/`, pathNot: '__tests__' },
  to: {
    path: `^(app|src/(${[...LAYERS.slice(i + 1).flat(), 'demo', 'testing', 'cli'].join('|')}))/`,
  },
}));

/** @type {import('dependency-cruiser').IConfiguration} */
module.exports = {
  forbidden: [
    ...above,
    {
      name: 'files-storage-workers-stand-apart',
      severity: 'error',
      from: { path: '^src/(files|storage)/', pathNot: '__tests__' },
      to: { path: '^src/(files|storage|workers)/', pathNot: '^src/$1/' },
    },
    {
      name: 'no-circles',
      severity: 'error',
      from: {},
      to: { circular: true },
    },
    {
      name: 'core-without-interface-storage-or-react',
      severity: 'error',
      from: { path: '^src/core/', pathNot: '__tests__' },
      to: { path: 'node_modules/(react|react-native|expo|@reduxjs|@react-native-async-storage)' },
    },
    {
      name: 'nothing-that-is-not-declared',
      severity: 'error',
      from: { path: '^(src|app|server)/' },
      to: { dependencyTypes: ['npm-no-pkg', 'npm-unknown', 'unknown'] },
    },
  ],
  options: {
    doNotFollow: { path: 'node_modules' },
    tsPreCompilationDeps: true,
    tsConfig: { fileName: 'tsconfig.json' },
    enhancedResolveOptions: {
      exportsFields: ['exports'],
      conditionNames: ['import', 'require', 'node', 'default', 'types'],
    },
  },
};
