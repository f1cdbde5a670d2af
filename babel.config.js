module.exports = function (api) {
  api.cache(true);
  return {
    presets: ['babel-preset-expo'],
    // Jest's own module registry is asked by require, also for what loads on demand.
    env: { test: { plugins: ['@babel/plugin-transform-dynamic-import'] } },
  };
};
