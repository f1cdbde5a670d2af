const path = require('node:path');
const { getDefaultConfig } = require('expo/metro-config');

const config = getDefaultConfig(__dirname);

// Paper asks three packages for a whole icon font (1.3 MB); it is given the cut one that its settings name as well.
const ICON_FONTS =
  /^(@react-native-vector-icons\/material-design-icons|(@expo|react-native-vector-icons)\/.*MaterialCommunityIcons)$/;
const OWN_ICONS = path.join(__dirname, 'src/ui/icons/PaperIcon.tsx');

config.resolver.resolveRequest = (context, name, platform) =>
  ICON_FONTS.test(name)
    ? { type: 'sourceFile', filePath: OWN_ICONS }
    : context.resolveRequest(context, name, platform);

module.exports = config;
