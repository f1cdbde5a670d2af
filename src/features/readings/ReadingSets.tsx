import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import type { ReadingKind, SetLine } from '@/core/job/record/findings';
import { compareSets, readingsNow, SET_NAME, setsOf, withNewSet } from '@/core/readings/sets';
import type { UnitChoice } from '@/core/units/format';
import { formatValue } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { useEditJob } from '@/state/jobs/editJob';
import { evaluationOf } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { dayText, isoDay } from '@/ui/dates';
import { Field } from '@/ui/Field';
import { flow } from '@/ui/flow';
import { SPACE, useStrata } from '@/ui/theme';
import { Digits, Words } from '@/ui/Words';

const MAX_WORDS = 200;

/** Earlier sets of a kind of readings beside the present one, and the key that begins another. */
export function ReadingSets({ kind }: { readonly kind: ReadingKind }) {
  const job = useJob();
  const change = useEditJob();
  const [asking, setAsking] = useState(false);
  const [then, setThen] = useState('');
  const [machine, setMachine] = useState('');
  if (readingsNow(job, kind, evaluationOf(job)).length === 0 && setsOf(job, kind).length === 0)
    return null;
  const begin = () => {
    change((j) =>
      withNewSet(
        j,
        kind,
        { id: nanoid(8), date: isoDay(), machine: machine.trim(), then: then.trim() },
        evaluationOf(j),
      ),
    );
    setAsking(false);
    setThen('');
    setMachine('');
  };
  return (
    <View style={flow.stack}>
      <Compared kind={kind} />
      {asking ? (
        <>
          <Field
            label="State of the machine at these readings"
            value={machine}
            maxLength={MAX_WORDS}
            onChangeText={setMachine}
          />
          <Field
            label="Work done since"
            value={then}
            maxLength={MAX_WORDS}
            onChangeText={setThen}
          />
          <View style={flow.wrap}>
            <Action
              main
              blocked={then.trim() === '' ? 'Enter the work done since.' : undefined}
              onPress={begin}
            >
              Begin the new set
            </Action>
            <Action onPress={() => setAsking(false)}>Cancel</Action>
          </View>
        </>
      ) : (
        <Action
          icon="plus"
          accessibilityLabel={`New set: ${SET_NAME[kind]}`}
          onPress={() => setAsking(true)}
        >
          New set of readings
        </Action>
      )}
    </View>
  );
}

const cellText = (line: SetLine | undefined, units: UnitChoice): string =>
  line === undefined
    ? '–'
    : (line.text ?? (line.value === undefined ? '–' : formatValue(line.value, 'length', units)));

function Compared({ kind }: { readonly kind: ReadingKind }) {
  const job = useJob();
  const units = useUnits();
  const strata = useStrata();
  const rows = compareSets(job, kind, evaluationOf(job));
  const sets = setsOf(job, kind);
  if (sets.length === 0) return null;
  const line = { flexDirection: 'row', borderTopWidth: 1, borderColor: strata.line } as const;
  return (
    <View role="table" aria-label={`${SET_NAME[kind]}, before and after`}>
      <View role="row" style={flow.inline}>
        <View role="columnheader" style={styles.name} />
        {[...sets.map((s) => dayText(s.date)), 'now', 'change'].map((head, i) => (
          <View key={`${head}${i}`} role="columnheader" style={styles.cell}>
            <Words soft size={13}>
              {head}
            </Words>
          </View>
        ))}
      </View>
      {rows.map(({ name, cells, change }) => (
        <View key={name} role="row" style={line}>
          <View role="rowheader" style={styles.name}>
            <Words size={14}>{name}</Words>
          </View>
          {cells.map((cell, i) => (
            <View key={i} role="cell" style={styles.cell}>
              <Digits size={14}>{cellText(cell, units)}</Digits>
            </View>
          ))}
          <View role="cell" style={styles.cell}>
            <Digits bold size={14}>
              {change === undefined
                ? ''
                : `${change < 0 ? '−' : '+'}${formatValue(Math.abs(change), 'length', units)}`}
            </Digits>
          </View>
        </View>
      ))}
      {sets.map((s) => (
        <Words key={s.id} soft size={14}>
          {`${dayText(s.date)}${s.machine ? ` (${s.machine})` : ''}, then: ${s.then}.`}
        </Words>
      ))}
    </View>
  );
}

const styles = StyleSheet.create({
  name: { flexGrow: 1, flexShrink: 1, flexBasis: 0, paddingVertical: SPACE.tight },
  cell: { width: 76, paddingVertical: SPACE.tight },
});
