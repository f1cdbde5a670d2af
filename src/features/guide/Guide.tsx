import { LAYOUTS } from '@/core/guide/layouts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import type { QuestionId } from '@/core/guide/identify';
import { FIRST_QUESTION, GUIDE } from '@/core/guide/identify';
import type { ClutchLayout } from '@/core/job/types';
import { Action } from '@/ui/Action';
import { SPACE, useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  readonly onFound: (layout: ClutchLayout) => void;
  readonly onClose: () => void;
}

/** Questions about looks and behaviour that identify the clutch. */
export function ClutchGuide({ onFound, onClose }: Props) {
  const strata = useStrata();
  const [asked, setAsked] = useState<readonly QuestionId[]>([FIRST_QUESTION]);
  const [end, setEnd] = useState<{ layout: ClutchLayout; because: string }>();
  const question = GUIDE[asked.at(-1) ?? FIRST_QUESTION];
  const back = () => {
    if (end) setEnd(undefined);
    else if (asked.length > 1) setAsked(asked.slice(0, -1));
    else onClose();
  };
  return (
    <View
      role="group"
      aria-label="Which clutch type?"
      style={[styles.box, { borderColor: strata.line, backgroundColor: strata.raised }]}
    >
      <View aria-live="polite" style={flow.stack}>
        <Heading level={3}>{end ? LAYOUTS[end.layout].name : question.text}</Heading>
        <Words soft size={15}>
          {end ? end.because : question.help}
        </Words>
      </View>
      <View style={flow.wrap}>
        {end ? (
          <Action main onPress={() => onFound(end.layout)}>
            Use this
          </Action>
        ) : (
          question.answers.map(({ label, to }) => (
            <Action
              key={label}
              onPress={() => ('layout' in to ? setEnd(to) : setAsked([...asked, to.question]))}
            >
              {label}
            </Action>
          ))
        )}
        <Action icon="undo" onPress={back}>
          {asked.length > 1 || end ? 'Back' : 'Close'}
        </Action>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  box: { gap: SPACE.gap, padding: SPACE.room, borderWidth: 1, borderRadius: 6 },
});
