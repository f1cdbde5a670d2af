// Where Paper's Babel plugin finds each part of Paper. Its own list leaves the two themes out, and for a name that it
// does not know it takes in the whole of Paper.
const known = require('react-native-paper/lib/mappings.json');

const theme = (name) => ({ path: `lib/module/styles/themes/v3/${name.slice(3)}`, name });

module.exports = {
  ...known,
  mappings: {
    ...known.mappings,
    MD3LightTheme: theme('MD3LightTheme'),
    MD3DarkTheme: theme('MD3DarkTheme'),
  },
};
