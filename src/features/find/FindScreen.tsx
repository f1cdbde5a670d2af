import type { Href } from 'expo-router';
import { router, useLocalSearchParams } from 'expo-router';
import { useDeferredValue, useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { Findable, FoundKind } from '@/core/find/findables';
import { findablesOf, FOUND_KINDS } from '@/core/find/findables';
import { useUnits } from '@/features/display/useUnits';
import { jobSelectors } from '@/state/jobs/jobsSlice';
import { WhenRead } from '@/features/jobs/WhenRead';
import { useAppStore } from '@/state/store';
import { SearchField } from '@/ui/SearchField';
import { Page } from '@/features/page/Page';
import { SPACE, useRuled } from '@/ui/theme';
import { webLink } from '@/ui/webLink';
import { Heading, Words } from '@/ui/Words';

import type { SearchIndex } from './searchIndex';
import { makeIndex, search } from './searchIndex';
import { flow } from '@/ui/flow';

const KIND_NAME: Readonly<Record<FoundKind, string>> = {
  job: 'Jobs',
  machine: 'Machines',
  setting: 'Settings and torques',
  limits: 'Limits',
  shelf: 'Shelf',
  place: 'Other',
  word: 'Glossary',
};

/** Results per kind; more letters narrow the search. */
const SHOWN = 8;
const AT_ONCE = 2;
const NOTHING: readonly Findable[] = [];

/** One search over jobs, machines, settings, limits, the shelf and the application itself. */
export function FindScreen() {
  return (
    <Page title="Find">
      <WhenRead>
        <Find />
      </WhenRead>
    </Page>
  );
}

function Find() {
  const index = useIndex();
  const { text: sought } = useLocalSearchParams<{ text?: string }>();
  const [text, setText] = useState(sought ?? '');
  const asked = text.trim();
  const found = index && asked ? search(index, asked) : NOTHING;
  // The first few of each kind answer the key; the others follow a frame later.
  const shown = useDeferredValue(found) === found ? SHOWN : AT_ONCE;
  return (
    <>
      <SearchField
        label="Find a job, machine, torque or plate"
        value={text}
        onChangeText={setText}
      />
      <View aria-live="polite">
        {!index ? (
          <Words soft>Preparing …</Words>
        ) : asked === '' ? (
          <Words soft>
            Part of a word is enough, and small typing errors are forgiven: “tarn stack”, “hub nut”,
            “1.6 used”, “slips”.
          </Words>
        ) : found.length === 0 ? (
          <Words>{`No match for “${asked}”.`}</Words>
        ) : null}
      </View>
      {FOUND_KINDS.map((kind) => {
        const of = found.filter((f) => f.kind === kind);
        if (of.length === 0) return null;
        return (
          <View key={kind} style={flow.tight}>
            <Heading level={2}>{KIND_NAME[kind]}</Heading>
            <View role="list" aria-label={KIND_NAME[kind]}>
              {of.slice(0, shown).map((f) => (
                <FoundRow key={f.id} title={f.title} about={f.about} href={f.href} />
              ))}
            </View>
            {of.length > SHOWN ? (
              <Words soft size={14}>{`and ${of.length - SHOWN} more`}</Words>
            ) : null}
          </View>
        );
      })}
    </>
  );
}

/** The index of the workshop as it was when the screen was opened. */
function useIndex(): SearchIndex | undefined {
  const store = useAppStore();
  const units = useUnits();
  const [index, setIndex] = useState<SearchIndex>();
  useEffect(() => {
    let wanted = true;
    const state = store.getState();
    const all = findablesOf(
      jobSelectors.selectAll(state),
      state.shelf,
      state.library.sheets,
      units,
    );
    void makeIndex(all).then((made) => {
      if (wanted) setIndex(made);
    });
    return () => {
      wanted = false;
    };
  }, [store, units]);
  return index;
}

type RowProps = Pick<Findable, 'title' | 'about' | 'href'>;

function FoundRow({ title, about, href }: RowProps) {
  const ruled = useRuled();
  return (
    <View role="listitem" style={ruled}>
      <TouchableRipple
        role="link"
        {...webLink(href, () => router.navigate(href as Href))}
        style={styles.padded}
      >
        <View>
          <Words>{title}</Words>
          <Words soft size={14}>
            {about}
          </Words>
        </View>
      </TouchableRipple>
    </View>
  );
}

const styles = StyleSheet.create({
  padded: { minHeight: 52, justifyContent: 'center', paddingVertical: SPACE.gap },
});
