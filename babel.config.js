module.exports = function (api) {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    // Imports each component of Paper from its own module, so that a route loads only those it shows.
    plugins: [
      ['react-native-paper/babel', { mappings: require.resolve('./scripts/paper-imports.cjs') }],
    ],
  };
};
