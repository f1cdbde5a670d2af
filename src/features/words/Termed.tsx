import type { ComponentProps } from 'react';
import { StyleSheet, Text } from 'react-native';

import { termsIn } from '@/core/words/termsIn';
import { Words } from '@/ui/Words';

import { openWord } from './opened';

interface Props extends Omit<ComponentProps<typeof Words>, 'children'> {
  readonly children: string;
  /** Tab skips terms: it moves from field to field, and labels are not on its way. */
  readonly passedOver?: boolean;
}

/** A text with glossary terms that can be opened. */
export function Termed({ children, passedOver = false, ...rest }: Props) {
  const pieces = termsIn(children);
  return (
    <Words {...rest}>
      {pieces.every((p) => typeof p === 'string')
        ? children
        : pieces.map((piece, i) =>
            typeof piece === 'string' ? (
              piece
            ) : (
              <Text
                key={i}
                role="button"
                {...{ tabIndex: passedOver ? -1 : 0 }}
                onPress={() => openWord(piece.term)}
                style={styles.text}
              >
                {piece.text}
              </Text>
            ),
          )}
    </Words>
  );
}

const styles = StyleSheet.create({
  text: { textDecorationLine: 'underline', textDecorationStyle: 'dotted' },
});
