import type { ReactNode } from 'react';
import { ScrollView, StyleSheet, View } from 'react-native';
import type { FallbackProps } from 'react-error-boundary';
import { ErrorBoundary as Boundary } from 'react-error-boundary';

import { Action } from './Action';
import { SPACE, useStrata } from './theme';
import { Heading, Words } from './Words';
import { flow } from './flow';

interface Props {
  /** Name of the failed part: "Set of this job". */
  readonly what: string;
  /** When one of these changes, it is tried again. */
  readonly resetKeys?: readonly unknown[];
  /** Keys besides trying again: the way back, the data. */
  readonly ways?: ReactNode;
  /** For a part beside the work: a line in place of reason and keys. */
  readonly small?: boolean | undefined;
  readonly children: ReactNode;
}

/** Catches errors of its children: shows the error, and possible actions. */
export function ErrorBoundary({ what, resetKeys, ways, small = false, children }: Props) {
  return (
    <Boundary
      {...(resetKeys ? { resetKeys: [...resetKeys] } : {})}
      fallbackRender={(props) => <ErrorMessage what={what} ways={ways} small={small} {...props} />}
    >
      {children}
    </Boundary>
  );
}

function ErrorMessage({
  what,
  ways,
  small,
  error,
  resetErrorBoundary,
}: FallbackProps & Pick<Props, 'what' | 'ways' | 'small'>) {
  const strata = useStrata();
  const why = error instanceof Error && error.message !== '' ? error.message : 'no reason given';
  const edge = { borderLeftWidth: 4, borderColor: strata.stop } as const;
  // Beside the work there is little room, and the work itself shows the reason.
  if (small)
    return (
      <View role="alert" style={[styles.padded, { ...edge }]}>
        <Words size={14}>{`${what} can’t be shown.`}</Words>
      </View>
    );
  return (
    <ScrollView contentContainerStyle={styles.padded}>
      <View role="alert" style={[styles.page, { ...edge }]}>
        <Heading level={2}>{`${what} can’t be shown`}</Heading>
        <Words size={15}>{`Program error: ${why}. Stored data is unchanged.`}</Words>
        <View style={flow.wrap}>
          <Action icon="redo" onPress={resetErrorBoundary}>
            Try again
          </Action>
          {ways}
        </View>
      </View>
    </ScrollView>
  );
}

const styles = StyleSheet.create({
  padded: { padding: SPACE.gap },
  page: { padding: SPACE.gap, gap: SPACE.gap, maxWidth: 640 },
});
