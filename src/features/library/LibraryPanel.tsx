import { nanoid } from '@reduxjs/toolkit';
import { router } from 'expo-router';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { compareLeaflet } from '@/core/library/leaflet';
import type { SpecSheet } from '@/core/library/limits';
import { changesBySheet, withSpecSheet } from '@/core/library/applySpecSheet';
import { compareSpecSheet } from '@/core/library/compareSpecSheet';
import { limitsOf, specSheetFromJob } from '@/core/library/limits';
import { applyProblem } from '@/core/library/problems';
import { countOf } from '@/core/text/countOf';
import { useUnits } from '@/features/display/useUnits';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { libraryActions, sheetsByName } from '@/state/librarySlice';
import { useAppDispatch, useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { flow } from '@/ui/flow';
import { Panel } from '@/ui/Panel';
import { SearchField } from '@/ui/SearchField';
import { SPACE, useRuled } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { differenceText, partText } from './words';

/** The shop's spec sheets at a job: one is applied, or made from this job. */
export function LibraryPanel() {
  const job = useJob();
  const sheets = useAppSelector((state) => state.library.sheets);
  const used = sheets.find((s) => s.id === job.machine.limitsId);
  const changes = used && changesBySheet(used, job);
  const apart = changes ? changes.limits.size + changes.parts.length : 0;
  return (
    <Panel
      title="Spec sheet"
      summary={
        used
          ? apart === 0
            ? `Matches “${used.name}”`
            : `“${used.name}” has different values: ${apart}`
          : sheets.length === 0
            ? 'Save this job as a spec sheet'
            : 'Apply a machine’s or a kit’s spec sheet'
      }
    >
      {used ? <UsedSheet sheet={used} /> : <ChooseSheet sheets={sheets} />}
    </Panel>
  );
}

function UsedSheet({ sheet }: { readonly sheet: SpecSheet }) {
  const units = useUnits();
  const change = useEditJob();
  const dispatch = useAppDispatch();
  const job = useJob();
  const lines = [
    ...compareLeaflet(sheet.leaflet ?? {}, job)
      .filter(({ standing }) => standing !== 'same')
      .map((part) => partText(part, sheet)),
    ...compareSpecSheet(sheet, job)
      .filter(({ standing }) => standing === 'differs' || standing === 'missing')
      .map((limit) => differenceText(limit, units)),
  ];
  const take = () =>
    change((j) => withSpecSheet(j, sheet, changesBySheet(sheet, j), () => nanoid(10)));
  const give = () =>
    dispatch(
      libraryActions.sheetKept(
        specSheetFromJob(sheet, job, () => nanoid(10), new Date().toISOString()),
      ),
    );
  const letGo = () =>
    change((j) => {
      const { limitsId: _left, ...machine } = j.machine;
      return { ...j, machine };
    });
  return (
    <>
      {lines.length === 0 ? (
        <Words size={15}>{`Everything of “${sheet.name}” is in this job.`}</Words>
      ) : (
        <View role="list" aria-label="Job and spec sheet differ" style={flow.tight}>
          {lines.map((text) => (
            <View role="listitem" key={text}>
              <Words size={15}>{text}</Words>
            </View>
          ))}
        </View>
      )}
      <View style={flow.wrap}>
        {lines.length > 0 ? (
          <Action main icon="import" blocked={applyProblem(sheet, units)} onPress={take}>
            Use the spec sheet’s
          </Action>
        ) : null}
        <Action icon="upload" onPress={give}>
          Update the spec sheet
        </Action>
        <Action
          icon="file-document-outline"
          onPress={() => router.navigate({ pathname: '/library', params: { sheet: sheet.id } })}
        >
          Open spec sheet
        </Action>
        <Action icon="close" onPress={letGo}>
          Use another
        </Action>
      </View>
    </>
  );
}

/** A list longer than this gets a search. */
const MANY = 10;

function ChooseSheet({ sheets }: { readonly sheets: readonly SpecSheet[] }) {
  const job = useJob();
  const units = useUnits();
  const change = useEditJob();
  const dispatch = useAppDispatch();
  const ruled = useRuled();
  const [search, setSearch] = useState('');
  const has = limitsOf(job, () => '').length + job.pack.plates.length;
  // Spec sheets of the same machine come first.
  const fits = (sheet: SpecSheet) => sheet.name === job.machine.name;
  const matches = ({ name, note }: SpecSheet) =>
    `${name} ${note}`.toLocaleLowerCase().includes(search.trim().toLocaleLowerCase());
  const keep = () => {
    const id = nanoid(12);
    const now = new Date().toISOString();
    const empty = { id, name: job.machine.name, note: '', updatedAt: now, limits: [] };
    dispatch(libraryActions.sheetKept(specSheetFromJob(empty, job, () => nanoid(10), now)));
    change((j) => ({ ...j, machine: { ...j.machine, limitsId: id } }));
  };
  return (
    <>
      {sheets.length > MANY ? (
        <SearchField label="Search spec sheets" value={search} onChangeText={setSearch} />
      ) : null}
      {sheetsByName(sheets)
        .filter(matches)
        .toSorted((a, b) => Number(fits(b)) - Number(fits(a)))
        .map((sheet) => (
          <View key={sheet.id} style={[ruled, styles.row]}>
            <View style={flow.grow}>
              <Words bold>{sheet.name || 'Unnamed spec sheet'}</Words>
              <Words soft size={14}>
                {effectText(sheet, job)}
              </Words>
            </View>
            <Action
              accessibilityLabel={`Apply ${sheet.name}`}
              blocked={applyProblem(sheet, units)}
              onPress={() =>
                change((j) => withSpecSheet(j, sheet, changesBySheet(sheet, j), () => nanoid(10)))
              }
            >
              Apply
            </Action>
          </View>
        ))}
      <Action
        icon="upload"
        blocked={has === 0 ? 'This job has no values yet.' : undefined}
        onPress={keep}
      >
        Save this job as a spec sheet
      </Action>
    </>
  );
}

/** What a sheet would do to the job: "12 new, 2 replaced". */
function effectText(sheet: SpecSheet, job: Parameters<typeof compareLeaflet>[1]): string {
  const all = [
    ...compareSpecSheet(sheet, job).map((c) => c.standing),
    ...compareLeaflet(sheet.leaflet ?? {}, job).map((c) => c.standing),
  ];
  const number = (standing: string) => all.filter((s) => s === standing).length;
  const replaced = number('differs');
  return [
    `${number('missing')} new`,
    replaced > 0 ? `${replaced} replaced` : '',
    number('noPlace') > 0 ? `${countOf(number('noPlace'), 'value')} of parts not in this job` : '',
  ]
    .filter(Boolean)
    .join(', ');
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', alignItems: 'center', gap: SPACE.gap, paddingVertical: SPACE.gap },
});
