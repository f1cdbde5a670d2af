import type { ReactElement } from 'react';
import { View } from 'react-native';
import { Tooltip } from 'react-native-paper';

import { upperFirst } from '@/core/text/sentence';

interface Props {
  /** Without one the control is shown alone. */
  readonly reason: string | undefined;
  readonly children: ReactElement;
}

/** Shows why a small control can't be pressed, by Paper's tooltip. */
export const WithReason = ({ reason, children }: Props) =>
  reason === undefined ? (
    children
  ) : (
    <Tooltip title={`${upperFirst(reason)}.`}>
      <View>{children}</View>
    </Tooltip>
  );
