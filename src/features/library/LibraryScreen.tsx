import { nanoid } from '@reduxjs/toolkit';
import { useLocalSearchParams } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { TouchableRipple } from 'react-native-paper';

import type { SpecSheet } from '@/core/library/limits';
import { ImportPanel } from '@/features/backup/ImportPanel';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Beside } from '@/features/page/Beside';
import { Page } from '@/features/page/Page';
import { Panel } from '@/ui/Panel';
import { SearchField } from '@/ui/SearchField';
import { SPACE, useRuled, useStrata } from '@/ui/theme';
import { useWide } from '@/ui/useWide';
import { UndoBar } from '@/ui/UndoBar';
import { Heading, Words } from '@/ui/Words';

import { libraryActions, sheetsByName } from '@/state/librarySlice';
import { SheetEditor } from './SheetEditor';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

/** A list longer than this gets a search. */
const MANY = 10;

const matches = ({ name, note }: SpecSheet, search: string): boolean =>
  `${name} ${note}`.toLocaleLowerCase().includes(search.trim().toLocaleLowerCase());

/** The limits library: spec sheets by machine or kit. */
export function LibraryScreen() {
  const { sheets, removed } = useAppSelector((state) => state.library);
  const dispatch = useAppDispatch();
  const wide = useWide();
  // Each keeps its place on the page: somebody may be typing its name.
  const [place] = useState(() => new Map(sheetsByName(sheets).map(({ id }, at) => [id, at])));
  const placeOf = ({ id }: SpecSheet) => place.get(id) ?? place.size;
  const params = useLocalSearchParams<{ sheet?: string }>();
  const [fresh, setFresh] = useState(params.sheet);
  const [search, setSearch] = useState('');
  const [importing, setImporting] = useState(false);
  const add = () => {
    const id = nanoid(12);
    setFresh(id);
    dispatch(
      libraryActions.sheetKept({
        id,
        name: '',
        note: '',
        updatedAt: new Date().toISOString(),
        limits: [],
      }),
    );
  };
  const shown = sheets
    .filter((s) => s.id === fresh || matches(s, search))
    .toSorted((a, b) => placeOf(a) - placeOf(b));
  const open = shown.find((s) => s.id === fresh) ?? shown[0];
  return (
    <Page title="Spec sheets" broad>
      <View style={flow.wrapLine}>
        <View style={flow.growOnly}>
          <Heading level={2}>Machines and kits</Heading>
        </View>
        <Action icon="import" onPress={() => setImporting(!importing)}>
          Import
        </Action>
        <Action main icon="plus" onPress={add}>
          New spec sheet
        </Action>
      </View>
      {importing ? <ImportPanel /> : null}
      <Words soft size={15}>
        One spec sheet per machine or kit: the whole leaflet, typed once as printed. Apply it to a
        job at Intake, or save a job into it there.
      </Words>
      {removed ? (
        <UndoBar
          text={`Spec sheet “${removed.name || 'unnamed'}” deleted.`}
          onUndo={() => dispatch(libraryActions.sheetRemovalUndone())}
          onForget={() => dispatch(libraryActions.sheetRemovalForgotten())}
        />
      ) : null}
      {sheets.length === 0 ? (
        <Words>No spec sheets yet. Create one here, or save a job as one at its Intake.</Words>
      ) : null}
      {sheets.length > MANY ? (
        <SearchField label="Search spec sheets" value={search} onChangeText={setSearch} />
      ) : null}
      {wide ? (
        <Beside
          label="The spec sheet"
          beside={open ? <SheetEditor key={open.id} sheet={open} /> : null}
        >
          <View role="list" aria-label="Spec sheets">
            {shown.map((sheet) => (
              <SheetRow
                key={sheet.id}
                sheet={sheet}
                open={sheet.id === open?.id}
                onOpen={setFresh}
              />
            ))}
          </View>
        </Beside>
      ) : (
        shown.map((sheet) => (
          <Panel
            key={sheet.id}
            level={2}
            title={sheet.name || 'Unnamed spec sheet'}
            summary={summaryOf(sheet)}
            initiallyOpen={sheet.id === fresh}
          >
            <SheetEditor sheet={sheet} />
          </Panel>
        ))
      )}
    </Page>
  );
}

interface RowProps {
  readonly sheet: SpecSheet;
  readonly open: boolean;
  readonly onOpen: (id: string) => void;
}

/** A sheet in the list of a wide screen; it opens beside it. */
function SheetRow({ sheet, open, onOpen }: RowProps) {
  const ruled = useRuled();
  const strata = useStrata();
  return (
    <View role="listitem" style={ruled}>
      <TouchableRipple
        role="button"
        aria-pressed={open}
        aria-label={`${sheet.name || 'Unnamed spec sheet'}, ${summaryOf(sheet)}`}
        onPress={() => onOpen(sheet.id)}
        style={[styles.row, open && { backgroundColor: strata.raised }]}
      >
        <View style={flow.lines}>
          <Words bold>{sheet.name || 'Unnamed spec sheet'}</Words>
          <Words soft size={15}>
            {summaryOf(sheet)}
          </Words>
        </View>
      </TouchableRipple>
    </View>
  );
}

const styles = StyleSheet.create({
  row: { minHeight: 64, justifyContent: 'center', padding: SPACE.gap },
});

const summaryOf = ({ limits, note, leaflet }: SpecSheet): string =>
  [
    countOf(limits.filter((l) => l.entry).length, 'value'),
    leaflet?.pack ? countOf(leaflet.pack.plates.length, 'plate') : '',
    note.split('\n', 1)[0],
  ]
    .filter(Boolean)
    .join(', ');
