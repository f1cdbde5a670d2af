import { View } from 'react-native';
import { DataTable } from 'react-native-paper';

import { onStep } from '@/core/clutch/diaphragm/steps';
import type { StepAnswer, StepFigures } from '@/core/clutch/diaphragm/whichStep';
import { whichStep } from '@/core/clutch/diaphragm/whichStep';
import { readSentence } from '@/core/text/sentence';
import { formatWithUnit, shownUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { Action } from '@/ui/Action';
import { flow } from '@/ui/flow';
import { StateMark } from '@/ui/StateMark';
import { Digits, Words } from '@/ui/Words';

/** The answer to "which step?" in one line, and what the neighbouring steps would give. */
export function WhichStep() {
  const answer = whichStep(useJob());
  const units = useUnits();
  const change = useEditJob();
  if (!answer) return null;
  const { selection, sentence, warning, by, steps } = answer;
  const [right] = selection?.steps ?? [];
  const used = steps.find((s) => s.inUse)?.id;
  const wrong = right !== undefined && !(selection?.steps ?? []).includes(used ?? '');
  return (
    <View style={flow.stack} role="status" aria-label="Which step" testID="which-step">
      <View style={flow.row}>
        <StateMark
          state={!selection ? 'unknown' : right === undefined || wrong ? 'stop' : 'good'}
        />
        <Words bold style={flow.shrink}>
          {readSentence(sentence, units)}
        </Words>
      </View>
      {warning ? (
        <View style={flow.row}>
          <StateMark state="watch" label />
          <Words style={flow.shrink}>{readSentence(warning, units)}</Words>
        </View>
      ) : null}
      {by === 'caliper' ? <EntryField path="pack.caliper" /> : null}
      {wrong ? (
        <Action main icon="check" onPress={() => change((j) => onStep(j, right))}>
          {`Use step ${steps.find((s) => s.id === right)?.name ?? ''}`}
        </Action>
      ) : null}
      <StepTable answer={answer} />
    </View>
  );
}

const MISSING = '–';

/** Clamp and maximum pull of the step and its neighbours, new and worn. */
function StepTable({ answer: { steps, worn } }: { readonly answer: StepAnswer }) {
  const units = useUnits();
  if (steps.every((s) => s.clamp === undefined)) return null;
  const newton = shownUnit('force', units).symbol;
  const number = (value: number | undefined) =>
    value === undefined ? MISSING : formatWithUnit(value, 'force', units, 0).replace(/\s.*$/, '');
  const columns: readonly (readonly [string, keyof StepFigures])[] = [
    ['Clamp', 'clamp'],
    ...(worn === undefined ? [] : [['worn', 'clampWorn'] as const]),
    ['Pull', 'pull'],
    ...(worn === undefined ? [] : [['worn', 'pullWorn'] as const]),
  ];
  return (
    <View>
      <DataTable accessibilityLabel="Clamp and maximum lever pull by step">
        <DataTable.Header>
          <DataTable.Title>Step</DataTable.Title>
          {columns.map(([title, key]) => (
            <DataTable.Title key={key} numeric>
              {title}
            </DataTable.Title>
          ))}
        </DataTable.Header>
        {steps.map((step) => (
          <DataTable.Row key={step.id}>
            <DataTable.Cell>
              <Words bold={step.inUse} size={15}>
                {step.inUse ? `${step.name}, in use` : step.name}
              </Words>
            </DataTable.Cell>
            {columns.map(([, key]) => (
              <DataTable.Cell key={key} numeric>
                <Digits size={15}>{number(step[key] as number | undefined)}</Digits>
              </DataTable.Cell>
            ))}
          </DataTable.Row>
        ))}
      </DataTable>
      <Words soft size={14}>
        {`In ${newton}; pull is the maximum over the stroke.${
          worn === undefined
            ? ''
            : ` Worn: after ${formatWithUnit(worn, 'length', units, 2)} of wear, the first limit.`
        }`}
      </Words>
    </View>
  );
}
