// Stands in for parts of packages that this application has no use for: above all of the router, which shows one route at a time.
// Only what is read while modules load, or on the way to a route, is given.
const { createContext } = require('react');

module.exports = {
  BottomTabBarHeightContext: createContext(undefined),
  createNativeStackNavigator: () => ({ Navigator: () => null }),
  Head: { Provider: ({ children }) => children },
  initScreensFeatureFlags: () => undefined,
  isNativeTabTrigger: () => false,
};
