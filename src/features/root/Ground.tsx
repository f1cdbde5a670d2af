import type { ComponentProps, ReactNode } from 'react';
import { View } from 'react-native';
import { PaperProvider } from 'react-native-paper';

import PaperIcon from '@/ui/icons/PaperIcon';
import type { Theme } from '@/ui/theme';
import { flow } from '@/ui/flow';

/** Signs are drawn with the cut font; a name that is not in it fails a test. */
const SETTINGS = {
  icon: (props: ComponentProps<typeof PaperIcon>) => <PaperIcon {...props} />,
};

interface Props {
  readonly theme: Theme;
  readonly children: ReactNode;
}

/** The frame of every screen. */
export function Ground({ theme, children }: Props) {
  return (
    <PaperProvider theme={theme} settings={SETTINGS}>
      <View style={[flow.fill, { backgroundColor: theme.strata.ground }]}>{children}</View>
    </PaperProvider>
  );
}
