import { router } from 'expo-router';
import type { ComponentType } from 'react';
import { lazy, Suspense } from 'react';
import { View } from 'react-native';

import { Action } from '@/ui/Action';
import { Fault } from '@/ui/Fault';
import { Words } from '@/ui/Words';

export const loadWorkbench = () => import('./workbench');

type Workbench = Awaited<ReturnType<typeof loadWorkbench>>;

/** A screen of the workbench, for a route: it says so while the piece is still being fetched. */
export function onWorkbench<Props extends object>(
  pick: (workbench: Workbench) => ComponentType<Props>,
): ComponentType<Props> {
  const Screen = lazy(async () => {
    const workbench = await loadWorkbench();
    const { WordHost } = workbench;
    const Picked = pick(workbench);
    return {
      default: (props: Props) => (
        <WordHost>
          <Picked {...props} />
        </WordHost>
      ),
    };
  });
  return function OnWorkbench(props: Props) {
    return (
      <Fault what="This screen" ways={<Ways />}>
        <Suspense
          fallback={
            <View role="status" style={{ padding: 24 }}>
              <Words soft>Opening …</Words>
            </View>
          }
        >
          <Screen {...props} />
        </Suspense>
      </Fault>
    );
  };
}

/** A part of the program that could not be fetched is fetched by loading the page anew. */
function Ways() {
  return (
    <>
      <Action onPress={() => location.reload()}>Load the page anew</Action>
      <Action icon="arrow-left" onPress={() => router.replace('/')}>
        To the jobs
      </Action>
    </>
  );
}
