import { StyleSheet } from 'react-native';

import { SPACE } from './theme';

/** Arrangements that every screen has. */
export const flow = StyleSheet.create({
  lines: { gap: SPACE.hair },
  tight: { gap: SPACE.tight },
  stack: { gap: SPACE.gap },
  sections: { gap: SPACE.room },
  parts: { gap: SPACE.margin },
  inline: { flexDirection: 'row' },
  row: { flexDirection: 'row', gap: SPACE.gap },
  topRow: { flexDirection: 'row', gap: SPACE.gap, alignItems: 'flex-start' },
  line: { flexDirection: 'row', gap: SPACE.gap, alignItems: 'center' },
  wrap: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap, alignItems: 'flex-start' },
  wrapLine: { flexDirection: 'row', flexWrap: 'wrap', gap: SPACE.gap, alignItems: 'center' },
  apart: { flexDirection: 'row', justifyContent: 'space-between', gap: SPACE.gap },
  /** Two columns where the width allows; each child takes `column`. */
  columns: { flexDirection: 'row', flexWrap: 'wrap', columnGap: SPACE.wide, rowGap: SPACE.room },
  column: { flexGrow: 1, flexShrink: 1, flexBasis: 440, minWidth: 0 },
  fill: { flex: 1 },
  grow: { flexGrow: 1, flexShrink: 1 },
  growOnly: { flexGrow: 1 },
  share: { flexGrow: 1, flexShrink: 1, flexBasis: 0 },
  shrink: { flexShrink: 1 },
  rigid: { flexShrink: 0 },
});
