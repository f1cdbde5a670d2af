import type { ReactNode } from 'react';
import { View } from 'react-native';
import { PaperProvider } from 'react-native-paper';

import type { Theme } from '@/ui/theme';

interface Props {
  readonly theme: Theme;
  readonly children: ReactNode;
}

/** What every screen is drawn on. */
export function Ground({ theme, children }: Props) {
  return (
    <PaperProvider theme={theme}>
      <View style={{ flex: 1, backgroundColor: theme.strata.ground }}>{children}</View>
    </PaperProvider>
  );
}
