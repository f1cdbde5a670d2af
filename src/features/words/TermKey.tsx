import { IconButton } from 'react-native-paper';

import { GLOSSARY } from '@/core/words/glossary';
import { termsIn } from '@/core/words/termsIn';

import { openWord } from './opened';

/** Explains the first word of the glossary in a label; the Tab key passes over it, from field to field. */
export function TermKey({ text }: { readonly text: string }) {
  const piece = termsIn(text).find((p) => typeof p !== 'string');
  if (piece === undefined || typeof piece === 'string') return null;
  return (
    <IconButton
      icon="help-circle-outline"
      size={18}
      aria-label={`Explain: ${GLOSSARY[piece.term].name.toLowerCase()}`}
      {...{ tabIndex: -1 }}
      style={STYLE}
      onPress={() => openWord(piece.term)}
    />
  );
}

const STYLE = { width: 48, height: 48, margin: 0, marginVertical: -10 } as const;
