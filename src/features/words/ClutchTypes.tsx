import { lowerFirst } from '@/core/text/sentence';
import { LAYOUTS } from '@/core/guide/layouts';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { FAMILIES } from '@/core/words/glossary';
import type { ClutchLayout } from '@/core/job/types';
import { ClutchGuide } from '@/features/guide/Guide';
import { Action } from '@/ui/Action';
import { SPACE, useRuled } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { SmallDrawing } from './SmallDrawing';
import { Termed } from './Termed';
import { flow } from '@/ui/flow';

/** How the clutch types work and how to recognise them. */
export function ClutchTypes() {
  const ruled = useRuled();
  const [asking, setAsking] = useState(false);
  const [found, setFound] = useState<ClutchLayout>();
  return (
    <View style={flow.sections}>
      {asking ? (
        <ClutchGuide
          onFound={(layout) => {
            setFound(layout);
            setAsking(false);
          }}
          onClose={() => setAsking(false)}
        />
      ) : (
        <Action icon="help-circle-outline" onPress={() => setAsking(true)}>
          Find the clutch type of a machine
        </Action>
      )}
      {found ? <Words bold live>{`Found: ${LAYOUTS[found].name.toLowerCase()}.`}</Words> : null}
      <View style={flow.columns}>
        {FAMILIES.map(({ name, how, tell, mind, drawing }) => (
          <View key={name} style={[ruled, flow.column, styles.padded]}>
            <SmallDrawing id={drawing} width={200} />
            <View style={styles.stack}>
              <Heading level={2}>{name}</Heading>
              <Termed>{how}</Termed>
              <Termed>{`Identify: ${lowerFirst(tell)}`}</Termed>
              <Termed soft>{mind}</Termed>
            </View>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  padded: { gap: SPACE.gap, paddingTop: SPACE.room },
  stack: { gap: SPACE.gap, flexShrink: 1 },
});
