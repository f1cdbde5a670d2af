import { View } from 'react-native';

import { SCHOOLS } from '@/core/words/schools';
import { useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { Termed } from './Termed';

/** Where good builders differ, and why we side as we do. */
export function Schools() {
  const strata = useStrata();
  return (
    <View style={{ gap: 14 }}>
      <Words>
        Good builders do some things in different ways. The machine’s own manual goes before all of
        them.
      </Words>
      {SCHOOLS.map(({ question, schools, ours, why }) => (
        <View
          key={question}
          style={{ gap: 6, borderTopWidth: 1, borderColor: strata.line, paddingTop: 12 }}
        >
          <Heading level={2}>{question}</Heading>
          {schools.map((s, i) => (
            <Termed
              key={s}
              soft
            >{`${i === 0 ? 'One school' : 'Another'}: ${s.charAt(0).toLowerCase()}${s.slice(1)}.`}</Termed>
          ))}
          <Termed bold>{`Here: ${ours.charAt(0).toLowerCase()}${ours.slice(1)}`}</Termed>
          <Termed>{why}</Termed>
        </View>
      ))}
    </View>
  );
}
