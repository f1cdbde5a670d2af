const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');

// Paper looks for a whole icon font (1.3 MB); it is given our cut one instead.
const ICON_MODULES = new Set([
  '@react-native-vector-icons/material-design-icons',
  '@expo/vector-icons/MaterialCommunityIcons',
  'react-native-vector-icons/MaterialCommunityIcons',
]);
const OWN_ICONS = path.join(__dirname, 'src/ui/icons/PaperIcon.tsx');

// Tabs, drawers, native stacks, links with previews, pages' heads and the site map are a third of the router's size and
// never shown here; nor are the lists, pickers and switches that it draws in by asking for all of React Native.
const ROUTER = `${path.sep}expo-router${path.sep}build${path.sep}`;
const UNUSED_IN_ROUTER = new RegExp(
  `/(${[
    'native-stack/createNativeStackNavigator',
    'stack-utils',
    'layouts/Tabs',
    'layouts/experimental-stack',
    'react-navigation/bottom-tabs',
    'Sitemap',
    'head',
    'NativeTabTrigger',
    'createStaticNavigation',
    'StaticNavigation',
    'DrawerRouter',
    'TabRouter',
    'useScrollToTop',
    'Unmatched',
    'ErrorBoundary',
    'ExpoLink',
    'link/elements',
    'screensFeatureFlags',
    'standard-navigation',
  ].join('|')})$`,
);
const EMPTY_PART = path.join(__dirname, 'scripts/unused-part.js');
const ROUTER_NATIVE = path.join(__dirname, 'scripts/router-react-native.js');
const ANIMATED = `${path.sep}vendor${path.sep}react-native${path.sep}Animated${path.sep}`;
const UNUSED_IN_ANIMATED = /\/Animated(FlatList|SectionList)$/;
// A shadow of Paper's asks for all 250 colours of its earlier design, and uses black.
const PAPER_SHADOW = `${path.sep}react-native-paper${path.sep}lib${path.sep}module${path.sep}styles${path.sep}shadow.js`;
const BLACK = path.join(__dirname, 'scripts/paper-black.js');
// Drawings that come as text, and transforms written as text, are not drawn here.
const SVG = `${path.sep}react-native-svg${path.sep}lib${path.sep}module${path.sep}`;
const UNUSED_IN_SVG = /\/(xml|transform)$/;

function standIn(from, moduleName) {
  if (from.includes(ROUTER)) {
    // Expo has turned 'react-native' into this name before it asks here.
    if (moduleName === 'react-native-web/dist/index') return ROUTER_NATIVE;
    if (UNUSED_IN_ROUTER.test(moduleName)) return EMPTY_PART;
  }
  if (from.endsWith(PAPER_SHADOW) && moduleName.endsWith('/v2/colors')) return BLACK;
  if (from.includes(SVG) && UNUSED_IN_SVG.test(moduleName)) return EMPTY_PART;
  // Animated brings all list code along; a list of ours asks for its own.
  if (from.includes(ANIMATED) && UNUSED_IN_ANIMATED.test(moduleName)) return EMPTY_PART;
  return undefined;
}

config.resolver.resolveRequest = (context, moduleName, platform) => {
  if (ICON_MODULES.has(moduleName)) return { type: 'sourceFile', filePath: OWN_ICONS };
  // The development server's own screens use all of the router.
  const filePath = context.dev ? undefined : standIn(context.originModulePath, moduleName);
  return filePath
    ? { type: 'sourceFile', filePath }
    : context.resolveRequest(context, moduleName, platform);
};

module.exports = config;
