import { router } from 'expo-router';
import type { ComponentType, ReactElement } from 'react';
import { useEffect, useState } from 'react';
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
 * A screen of the workbench, for a route: it says so while the piece is still being fetched, and is drawn in one go once it
 * is there. By way of `lazy` it would be drawn in slices, which takes twice as long.
 */
export function onWorkbench<Props extends object>(
  pick: (workbench: Workbench) => ComponentType<Props>,
): ComponentType<Props> {
  return function OnWorkbench(props: Props) {
    return (
      <Fault what="This screen" ways={<Ways />}>
        <WhenFetched>
          {(workbench) => {
            const Screen = pick(workbench);
            return (
              <workbench.WordHost>
                <Screen {...props} />
              </workbench.WordHost>
            );
          }}
        </WhenFetched>
      </Fault>
    );
  };
}

function WhenFetched({ children }: { readonly children: (workbench: Workbench) => ReactElement }) {
  const [there, setThere] = useState(fetched);
  const [failure, setFailure] = useState<Error>();
  useEffect(() => {
    if (!there) loadWorkbench().then(setThere, setFailure);
  }, [there]);
  if (failure) throw failure;
  if (there) return children(there);
  return (
    <View role="status" style={{ padding: 24 }}>
      <Words soft>Opening …</Words>
    </View>
  );
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
