import { lowerFirst } from '@/core/text/sentence';
import { StyleSheet, View } from 'react-native';

import { METHODS } from '@/core/words/methods';
import { SPACE, useRuled } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { Termed } from './Termed';
import { flow } from '@/ui/flow';

/** Where good builders differ, and why we side as we do. */
export function Methods() {
  const ruled = useRuled();
  return (
    <View style={flow.sections}>
      <Words>Good builders differ on some methods. The machine’s own manual comes first.</Words>
      <View style={flow.columns}>
        {METHODS.map(({ question, methods: schools, ours, why }) => (
          <View key={question} style={[ruled, flow.column, styles.padded]}>
            <Heading level={2}>{question}</Heading>
            {schools.map((s, i) => (
              <Termed
                key={s}
                soft
              >{`${i === 0 ? 'One method' : 'Another method'}: ${lowerFirst(s)}.`}</Termed>
            ))}
            <Termed bold>{`In Under Ridge: ${lowerFirst(ours)}`}</Termed>
            <Termed>{why}</Termed>
          </View>
        ))}
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  padded: { gap: SPACE.gap, paddingTop: SPACE.room },
});
