import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';

import { isoDay } from '@/ui/dates';
import { sheetCopied } from '@/core/library/edits';
import type { Leaflet } from '@/core/library/leafletPack';
import type { SpecSheet } from '@/core/library/limits';
import { ownerOf } from '@/core/library/limitNames';
import { sheetProblems, applyProblem } from '@/core/library/problems';
import { useUnits } from '@/features/display/useUnits';
import { WhenRead } from '@/features/jobs/WhenRead';
import { download } from '@/files/share';
import { libraryActions } from '@/state/librarySlice';
import { useAppDispatch, useAppStore } from '@/state/store';
import { reportFault } from '@/storage/faults';
import { PaperMaker } from '@/workers/paperClient';
import { writeInWorker } from '@/workers/filesClient';
import { EMPTY_STOCK } from '@/core/shelf/stock';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { flow } from '@/ui/flow';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';

import { AddLimit } from './AddLimit';
import { AffectedJobs } from './AffectedJobs';
import {
  ClutchOfLeaflet,
  MeasureOfLeaflet,
  StagesOfLeaflet,
  TextsOfLeaflet,
} from './LeafletFields';
import { LimitRow } from './LimitRow';
import { NamedRows } from './NamedRows';
import { PlateOrder } from './PlateOrder';
import { StartsOfLeaflet } from './StartsOfLeaflet';
import { useNewJobWith } from './useNewJobWith';

const MAX_SHEET_NAME = 120;
const MAX_SHEET_NOTE = 2000;
const MAX_PAGE = 80;

/** A spec sheet: the whole leaflet of a machine or kit, typed as printed. */
export function SheetEditor({ sheet }: { readonly sheet: SpecSheet }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const units = useUnits();
  const [page, setPage] = useState('');
  const problems = sheetProblems(sheet, units);
  const change = (make: (sheet: SpecSheet) => SpecSheet) => {
    // The sheet as it is now: two fields may change in one frame.
    const now = store.getState().library.sheets.find((s) => s.id === sheet.id) ?? sheet;
    dispatch(libraryActions.sheetKept({ ...make(now), updatedAt: new Date().toISOString() }));
  };
  const leaflet = (make: (leaflet: Leaflet) => Leaflet) =>
    change((s) => ({ ...s, leaflet: make(s.leaflet ?? {}) }));
  const ofLeaflet = { leaflet: sheet.leaflet ?? {}, onChange: leaflet };
  const rows = { sheet, problems, page, onChange: change };
  const single = sheet.limits.filter((l) => ownerOf(l.pattern) === undefined);
  return (
    <>
      <Field
        label="Machine or kit"
        value={sheet.name}
        maxLength={MAX_SHEET_NAME}
        onChangeText={(name) => change((s) => ({ ...s, name }))}
      />
      <Field
        label="Years and manual"
        value={sheet.note}
        maxLength={MAX_SHEET_NOTE}
        onChangeText={(note) => change((s) => ({ ...s, note }))}
      />
      <Field
        label="Page being typed, kept with each value"
        value={page}
        maxLength={MAX_PAGE}
        onChangeText={setPage}
      />
      {problems.length > 0 ? (
        <Words live>{`To be checked before it is applied: ${problems.length}.`}</Words>
      ) : null}
      <Panel title="Clutch" summary={sheet.leaflet?.clutch ? undefined : 'Type, springs, release'}>
        <ClutchOfLeaflet {...ofLeaflet} />
      </Panel>
      <Panel title="Plates" summary={`${sheet.leaflet?.pack?.plates.length ?? 0} in order`}>
        <NamedRows {...rows} owner="kinds" title="Plate types" one="plate type" />
        <PlateOrder sheet={sheet} onChange={leaflet} />
      </Panel>
      <Panel title="Steps and springs" summary="Bands, heights, how the leaflet measures">
        <MeasureOfLeaflet {...ofLeaflet} />
        <NamedRows {...rows} owner="steps" title="Retainer steps" one="step" />
        <NamedRows {...rows} owner="groups" title="Coil springs" one="springs" />
      </Panel>
      <Panel title="Torques" summary="Values or ranges, stages, thread-locker">
        <StagesOfLeaflet {...ofLeaflet} />
        <NamedRows {...rows} owner="fasteners" title="Fasteners" one="fastener" />
      </Panel>
      <Panel title="Other values" summary={`${single.length} entered`} initiallyOpen>
        <View role="list" aria-label={`Values of ${sheet.name || 'the spec sheet'}`}>
          {single.map((limit) => (
            <LimitRow
              key={limit.id}
              limit={limit}
              asked={problems.find((p) => p.limitId === limit.id)?.text}
              onChange={(next) =>
                change((s) => ({
                  ...s,
                  limits: s.limits.map((l) => (l.id === limit.id ? next : l)),
                }))
              }
              onRemove={() =>
                change((s) => ({ ...s, limits: s.limits.filter((l) => l.id !== limit.id) }))
              }
            />
          ))}
        </View>
        <AddLimit onAdd={(limit) => change((s) => ({ ...s, limits: [...s.limits, limit] }))} />
      </Panel>
      <Panel title="Break-in and words" summary="Starts, parts always new, cautions">
        <StartsOfLeaflet {...ofLeaflet} />
        <TextsOfLeaflet {...ofLeaflet} />
      </Panel>
      <WhenRead>
        <AffectedJobs sheet={sheet} />
      </WhenRead>
      <SheetActions sheet={sheet} />
    </>
  );
}

const fileName = (sheet: SpecSheet, end: string): string =>
  `spec sheet ${sheet.name.replace(/[^\p{L}\p{N} -]+/gu, '').trim() || 'unnamed'}.${end}`;

/** What can be done with a sheet as a whole. */
function SheetActions({ sheet }: { readonly sheet: SpecSheet }) {
  const dispatch = useAppDispatch();
  const store = useAppStore();
  const units = useUnits();
  const newJob = useNewJobWith();
  const [told, setTold] = useState<string>();
  const problem = applyProblem(sheet, units);
  const copy = () => {
    const taken = store.getState().library.sheets.map((s) => s.name);
    const now = new Date().toISOString();
    const made = sheetCopied(sheet, taken, () => nanoid(12), now);
    dispatch(libraryActions.sheetKept(made));
    setTold(`Copied as “${made.name}”.`);
  };
  const save = async () => {
    const workshop = {
      jobs: [],
      unfinished: {},
      shelf: EMPTY_STOCK,
      templates: {},
      library: [sheet],
    };
    download(fileName(sheet, 'json'), await writeInWorker(workshop, new Date().toISOString()));
  };
  const print = async () => {
    const maker = new PaperMaker();
    setTold('Making the sheet …');
    try {
      const bytes = await maker.pdf({ kind: 'spec', sheet, pageSize: 'A4', units });
      download(fileName(sheet, 'pdf'), bytes, 'application/pdf');
      setTold(`Sheet made, ${isoDay()}: ${fileName(sheet, 'pdf')}.`);
    } catch (error) {
      setTold(reportFault('The sheet could not be made', error));
    } finally {
      maker.end();
    }
  };
  return (
    <>
      <View style={flow.wrap}>
        <Action main icon="plus" blocked={problem} onPress={() => newJob(sheet)}>
          New job from this
        </Action>
        <Action icon="content-copy" onPress={copy}>
          Duplicate
        </Action>
        <Action icon="download" onPress={() => void save()}>
          Export
        </Action>
        <Action icon="printer-outline" onPress={() => void print()}>
          Print (PDF)
        </Action>
        <Action
          icon="delete-outline"
          onPress={() => dispatch(libraryActions.sheetRemoved(sheet.id))}
        >
          Delete spec sheet
        </Action>
      </View>
      <View aria-live="polite">
        {told ? (
          <Words soft size={15}>
            {told}
          </Words>
        ) : null}
      </View>
    </>
  );
}
