// Bundles the list's screen for Node: the server draws with it what a first visit sees before the program has come.
import { readdirSync } from 'node:fs';
import path from 'node:path';
import { build } from 'esbuild';
import { root } from './lib.mjs';

const ownIcons = path.join(root, 'src/ui/icons/PaperIcon.tsx');

/** Where the list leads is the browser's concern: the router and the other screens stay out. */
const withoutWorkbench = {
  name: 'without-workbench',
  setup({ onResolve }) {
    onResolve({ filter: /^\.\/workbench$/ }, ({ path: name }) => ({ path: name, external: true }));
  },
};

/** The fonts by the names that the export has given them. */
const exportedFonts = (distDir) => ({
  name: 'exported-fonts',
  setup({ onLoad }) {
    const dir = 'assets/assets/fonts';
    const names = readdirSync(path.join(distDir, dir));
    onLoad({ filter: /\.woff2$/ }, ({ path: file }) => {
      const name = names.find((exported) => exported.startsWith(`${path.parse(file).name}.`));
      if (!name) throw new Error(`The export has no ${file}.`);
      return { contents: `export default '/${dir}/${name}'` };
    });
  },
});

/**
 * @param distDir the web export that the screens belong to
 * @param outdir where the only file will be; its name changes with what is in it, so that a server that runs takes it up
 */
export const bundleFirstScreens = (distDir, outdir) =>
  build({
    entryPoints: [path.join(root, 'src/features/lastSeen/first.tsx')],
    outdir,
    entryNames: '[name]-[hash]',
    outExtension: { '.js': '.cjs' },
    bundle: true,
    format: 'cjs',
    platform: 'node',
    target: 'node20',
    jsx: 'automatic',
    define: { 'process.env.NODE_ENV': '"production"', __DEV__: 'false' },
    resolveExtensions: ['.web.tsx', '.web.ts', '.web.js', '.tsx', '.ts', '.js', '.json'],
    loader: { '.png': 'empty' },
    alias: {
      '@': path.join(root, 'src'),
      'react-native': 'react-native-web',
      'expo-router': path.join(root, 'scripts/unused-part.js'),
      '@expo/vector-icons/MaterialCommunityIcons': ownIcons,
      '@react-native-vector-icons/material-design-icons': ownIcons,
    },
    plugins: [withoutWorkbench, exportedFonts(distDir)],
    logLevel: 'warning',
  });
