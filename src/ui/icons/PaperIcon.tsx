import { Text, type TextStyle } from 'react-native';
import glyphs from './glyphs.json';

/** Names of the icons that ship with the application; add to `names.json`, then `npm run assets`. */
export type IconName = keyof typeof glyphs;

export const ICON_FONT = 'UnderRidgeIcons';

interface Props {
  name: IconName;
  size: number;
  color: string;
  style?: TextStyle | TextStyle[];
}

/**
 * One glyph of the cut icon font. Stands in for the icon module that Paper would load whole.
 * Icons decorate labels that are always written out, so they are hidden from assistive technology.
 */
export default function PaperIcon({ name, size, color, style }: Props) {
  return (
    <Text
      aria-hidden
      selectable={false}
      style={[{ fontFamily: ICON_FONT, fontSize: size, lineHeight: size, color }, style]}
    >
      {String.fromCodePoint(glyphs[name])}
    </Text>
  );
}
