import type { ReactNode } from 'react';
import { ScrollView, View } from 'react-native';

import { useStrata } from './theme';
import type { Back } from './TopBar';
import { TopBar } from './TopBar';

interface Props {
  readonly title: string;
  /** Where its arrow leads, if not to the jobs. */
  readonly back?: Back;
  /** Between the parts of the page. */
  readonly gap?: number;
  readonly children: ReactNode;
}

/** A page beside the jobs: its name, the way back, and one column that scrolls. */
export function Page({ title, back, gap = 12, children }: Props) {
  const strata = useStrata();
  return (
    <View style={{ flex: 1, backgroundColor: strata.ground }}>
      <TopBar title={title} back={back ?? true} />
      <ScrollView
        role="main"
        contentContainerStyle={{
          padding: 16,
          gap,
          maxWidth: 760,
          width: '100%',
          alignSelf: 'center',
        }}
      >
        {children}
      </ScrollView>
    </View>
  );
}
