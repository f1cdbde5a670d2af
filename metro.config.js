const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);
config.resolver.assetExts.push('woff2');

// Paper looks for a whole icon font (1.3 MB); it is given our cut one instead.
const iconModules = new Set([
  '@react-native-vector-icons/material-design-icons',
  '@expo/vector-icons/MaterialCommunityIcons',
  'react-native-vector-icons/MaterialCommunityIcons',
]);
const ownIcons = path.join(__dirname, 'src/ui/icons/PaperIcon.tsx');
config.resolver.resolveRequest = (context, moduleName, platform) =>
  iconModules.has(moduleName)
    ? { type: 'sourceFile', filePath: ownIcons }
    : context.resolveRequest(context, moduleName, platform);

module.exports = config;
