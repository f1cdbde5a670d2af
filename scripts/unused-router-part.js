// Stands in for navigators of the router that this application has no use for: it shows one route at a time.
// Only what is read while modules load, or by the router's own error view, is given.
const { createContext } = require('react');

module.exports = {
  BottomTabBarHeightContext: createContext(undefined),
  createNativeStackNavigator: () => ({ Navigator: () => null }),
};
