import { router } from 'expo-router';
import type { ComponentType } from 'react';
import { lazy, Suspense, useState } from 'react';
import { View } from 'react-native';

import { Action } from '@/ui/Action';
import { Fault } from '@/ui/Fault';
import { Words } from '@/ui/Words';

import type * as workbench from './workbench';

type Workbench = typeof workbench;

let fetched: Workbench | undefined;

/** Fetches every screen but the list, once. */
export async function loadWorkbench(): Promise<Workbench> {
  fetched ??= await import('./workbench');
  return fetched;
}

/**
 * A screen of the workbench, for a route: it says so while the piece is still being fetched. Once it is there a screen is
 * drawn in one go; by way of `lazy` it would be drawn in slices, which takes twice as long.
 */
export function onWorkbench<Props extends object>(
  pick: (workbench: Workbench) => ComponentType<Props>,
): ComponentType<Props> {
  const screenOf = (workbench: Workbench): ComponentType<Props> => {
    const { WordHost } = workbench;
    const Picked = pick(workbench);
    return function Hosted(props: Props) {
      return (
        <WordHost>
          <Picked {...props} />
        </WordHost>
      );
    };
  };
  let direct: ComponentType<Props> | undefined;
  const Fetched = lazy(async () => {
    direct ??= screenOf(await loadWorkbench());
    return { default: direct };
  });
  return function OnWorkbench(props: Props) {
    const [Screen] = useState(() => {
      if (fetched) direct ??= screenOf(fetched);
      return direct ?? Fetched;
    });
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
