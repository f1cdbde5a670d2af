import { StyleSheet, View } from 'react-native';

import { readSentence } from '@/core/text/sentence';
import type { WorkStage } from '@/core/job/work';
import type { SheetStep } from '@/core/worksheet/worksheet';
import { ownStepRemoved, ownStepWritten, stepMoved, stepWorded } from '@/core/worksheet/edits';
import { useUnits } from '@/features/display/useUnits';
import { useEditJob } from '@/state/jobs/editJob';
import { IconKey } from '@/ui/IconKey';
import { Field } from '@/ui/Field';
import { useRuled } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  readonly step: SheetStep;
  readonly stage: WorkStage;
  readonly number: number;
}

/** A step while the sheet is changed: its place, and its words if it is the shop's own. */
export function StepEdit({ step: { line, own }, stage, number }: Props) {
  const ruled = useRuled();
  const units = useUnits();
  const change = useEditJob();
  const id = line.key.replace(/^own:/, '');
  const move = (by: -1 | 1) => change((j) => stepMoved(j, stage, line.key, by));
  const words = readSentence(line.text, units);
  return (
    <View style={[ruled, styles.row, { alignItems: own ? 'flex-end' : 'center' }]}>
      <View style={flow.grow}>
        {own || (line.plateId === undefined && line.fastenerId === undefined) ? (
          <Field
            label={`Step ${number}`}
            value={words}
            maxLength={400}
            onChangeText={(text) =>
              change(
                (j) =>
                  own ? ownStepWritten(j, stage, id, text) : stepWorded(j, stage, line.key, text),
                { typing: `${stage}.words.${line.key}` },
              )
            }
          />
        ) : (
          <Words size={15} numberOfLines={2}>
            {words}
          </Words>
        )}
      </View>
      {line.plateId === undefined ? (
        <>
          <IconKey
            narrow
            icon="arrow-up"
            label={`Move step ${number} up`}
            onPress={() => move(-1)}
          />
          <IconKey
            narrow
            icon="arrow-down"
            label={`Move step ${number} down`}
            onPress={() => move(1)}
          />
        </>
      ) : null}
      {own ? (
        <IconKey
          narrow
          icon="close"
          label={`Remove step ${number}`}
          onPress={() => change((j) => ownStepRemoved(j, stage, id))}
        />
      ) : null}
    </View>
  );
}

const styles = StyleSheet.create({
  row: { flexDirection: 'row', minHeight: 52 },
});
