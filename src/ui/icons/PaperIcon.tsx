import { Text, type TextStyle } from 'react-native';
import glyphs from './glyphs.json';

/** Names of the icons that ship with the application; add to `names.json`, then `npm run assets`. */
export type IconName = keyof typeof glyphs;

export const ICON_FONT = 'UnderRidgeIcons';

interface Props {
  readonly name: string;
  readonly size: number;
  readonly color?: string | undefined;
  readonly style?: TextStyle | TextStyle[];
}

const has = (name: string): name is IconName => Object.hasOwn(glyphs, name);

/**
 * One glyph of the cut icon font. Icons decorate labels that are always written out, so they are hidden from assistive
 * technology; a name that is not in the font draws nothing here, and fails a test.
 */
export default function PaperIcon({ name, size, color, style }: Props) {
  return (
    <Text
      aria-hidden
      selectable={false}
      style={[{ fontFamily: ICON_FONT, fontSize: size, lineHeight: size, color }, style]}
    >
      {has(name) ? String.fromCodePoint(glyphs[name]) : ''}
    </Text>
  );
}
