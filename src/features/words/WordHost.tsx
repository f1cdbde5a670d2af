import type { ReactNode } from 'react';
import { View } from 'react-native';

import type { TermId } from '@/core/words/glossary';
import { GLOSSARY } from '@/core/words/glossary';
import { Action } from '@/ui/Action';
import { Overlay } from '@/ui/Overlay';
import { Words } from '@/ui/Words';

import { openWord, useOpenedWord } from './opened';
import { SmallDrawing } from './SmallDrawing';
import { Termed } from './Termed';
import { flow } from '@/ui/flow';

/** Shows the opened term over any screen. */
export function WordHost({ children }: { readonly children: ReactNode }) {
  const opened = useOpenedWord();
  const close = () => openWord(undefined);
  return (
    <>
      {children}
      {opened ? (
        <Overlay
          visible
          title={GLOSSARY[opened].name}
          label={`Term: ${GLOSSARY[opened].name}`}
          onClose={close}
        >
          <Word id={opened} />
        </Overlay>
      ) : null}
    </>
  );
}

/** Meaning of a term, with its drawing and related terms. */
export function Word({
  id,
  onOpen = openWord,
}: {
  readonly id: TermId;
  /** Opens a related term. */
  readonly onOpen?: (id: TermId) => void;
}) {
  const { text, drawing, see = [] } = GLOSSARY[id];
  return (
    <View style={flow.sections}>
      {drawing ? <SmallDrawing id={drawing} width={220} /> : null}
      <Termed>{text}</Termed>
      {see.length > 0 ? (
        <View style={flow.stack}>
          <Words soft size={15}>
            See also
          </Words>
          <View style={flow.wrap}>
            {see.map((other) => (
              <Action key={other} onPress={() => onOpen(other)}>
                {GLOSSARY[other].name}
              </Action>
            ))}
          </View>
        </View>
      ) : null}
    </View>
  );
}
