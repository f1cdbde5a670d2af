import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { TermId } from '@/core/words/glossary';
import { GLOSSARY, TERM_IDS } from '@/core/words/glossary';
import { Beside } from '@/features/page/Beside';
import { Field } from '@/ui/Field';
import { SPACE, useRuled } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { Heading, Words } from '@/ui/Words';

import { openWord } from './opened';
import { SmallDrawing } from './SmallDrawing';
import { Word } from './WordHost';
import { flow } from '@/ui/flow';

const LONGEST = 60;

/** The glossary with its search; each term opens with its drawing. @param word a term to show first */
export function Glossary({ word }: { readonly word?: string | undefined }) {
  const ruled = useRuled();
  const wide = useWide();
  const [shown, setShown] = useState<TermId | undefined>(TERM_IDS.find((id) => id === word));
  const [asked, setAsked] = useState(() =>
    TERM_IDS.filter((id) => id === word)
      .map((id) => GLOSSARY[id].name)
      .join(''),
  );
  const wanted = asked.trim().toLowerCase();
  const found = TERM_IDS.filter((id) => {
    const { name, also = [], text } = GLOSSARY[id];
    return [name, ...also, text].some((t) => t.toLowerCase().includes(wanted));
  });
  const beside = shown ?? found[0];
  return (
    <Beside
      label="The term"
      beside={
        wide && beside ? (
          <>
            <Heading level={2}>{GLOSSARY[beside].name}</Heading>
            <Word id={beside} onOpen={setShown} />
          </>
        ) : null
      }
    >
      <Field
        alone
        label="Search the glossary"
        value={asked}
        onChangeText={setAsked}
        maxLength={LONGEST}
      />
      <View aria-live="polite">
        {found.length === 0 ? (
          <Words>{`No match for “${asked.trim()}”. Try a shorter word, such as lift or spring.`}</Words>
        ) : null}
      </View>
      <View role="list" aria-label="Glossary">
        {found.map((id) => {
          const { name, text, drawing } = GLOSSARY[id];
          return (
            <View key={id} role="listitem">
              <TouchableRipple
                role="button"
                aria-label={name}
                aria-pressed={wide ? id === beside : undefined}
                onPress={() => (wide ? setShown : openWord)(id)}
                style={[ruled, styles.place]}
              >
                <View style={styles.row}>
                  <View style={styles.column} aria-hidden>
                    {drawing ? <SmallDrawing id={drawing} width={72} /> : null}
                  </View>
                  <View style={flow.share}>
                    <Words bold>{name}</Words>
                    <Words soft size={14} numberOfLines={2}>
                      {text}
                    </Words>
                  </View>
                </View>
              </TouchableRipple>
            </View>
          );
        })}
      </View>
    </Beside>
  );
}

const styles = StyleSheet.create({
  place: { minHeight: 64, justifyContent: 'center' },
  row: { flexDirection: 'row', gap: SPACE.room, alignItems: 'center', paddingVertical: SPACE.gap },
  column: { width: 72 },
});
