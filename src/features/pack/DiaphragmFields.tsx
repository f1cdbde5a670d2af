import {
  addDiaphragmPoint,
  addStep,
  chooseDiaphragm,
  removeDiaphragmPoint,
  removeStep,
} from '@/core/job/edits/springs';
import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { usesHeights } from '@/core/clutch/diaphragm/steps';
import { MAX_STEPS, MAX_TESTER_POINTS } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import { useFocusField } from '@/features/entry/askedFor';
import { useHeads } from '@/features/entry/useHeads';
import { EntryField } from '@/features/entry/EntryField';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { TesterFile } from '@/features/springs/TesterFile';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { isoDay } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { FieldRow, FieldTable } from '@/ui/FieldTable';
import { Heading, Words } from '@/ui/Words';

import { DiaphragmTester } from './DiaphragmTester';
import { withDiaphragmFile } from './testerPoint';
import { flow } from '@/ui/flow';

/** A diaphragm spring: force from dimensions or tester, working point, and retainer steps. */
export function DiaphragmFields() {
  const { springs } = useJob();
  const change = useEditJob();
  const focusField = useFocusField();
  const { forceFrom, points } = springs.diaphragm;
  const heads = useHeads([
    ['Deflection', 'springs.diaphragm.points.any.deflection'],
    ['Force', 'springs.diaphragm.points.any.force'],
  ]);
  return (
    <View style={flow.sections}>
      <Choice
        label="Force from"
        value={forceFrom}
        options={
          [
            { value: 'geometry', label: 'Spring dimensions' },
            { value: 'tester', label: 'A tester' },
          ] as const
        }
        onChange={(next) => change((job) => chooseDiaphragm(job, { forceFrom: next }))}
      />
      {forceFrom === 'geometry' ? (
        <FieldGrid>
          <EntryField path="springs.diaphragm.outerDiameter" />
          <EntryField path="springs.diaphragm.innerDiameter" />
          <EntryField path="springs.diaphragm.thickness" />
          <EntryField path="springs.diaphragm.coneHeight" />
        </FieldGrid>
      ) : (
        <>
          <DiaphragmTester />
          <TesterFile
            place="deflection"
            onPoints={(read) =>
              change((j) => withDiaphragmFile(j, read, isoDay(), () => nanoid(10)))
            }
          />
          {points.length > 0 ? (
            <FieldTable label="Tester points" heads={heads}>
              {points.map((point, i) => (
                <FieldRow
                  key={point.id}
                  name={`Point ${i + 1}`}
                  removeLabel={`Remove point ${i + 1}`}
                  onRemove={() => change((job) => removeDiaphragmPoint(job, point.id))}
                >
                  <EntryField
                    cell
                    path={fieldPath('springs.diaphragm.points.*.deflection', point.id)}
                    label={`Point ${i + 1}, deflection`}
                  />
                  <EntryField
                    cell
                    path={fieldPath('springs.diaphragm.points.*.force', point.id)}
                    label={`Point ${i + 1}, force`}
                  />
                </FieldRow>
              ))}
            </FieldTable>
          ) : null}
          {points.length < MAX_TESTER_POINTS ? (
            <Action
              icon="plus"
              onPress={() => {
                const id = nanoid(10);
                change((job) => addDiaphragmPoint(job, id));
                focusField(fieldPath('springs.diaphragm.points.*.deflection', id));
              }}
            >
              Add tester point
            </Action>
          ) : null}
        </>
      )}
      <FieldGrid>
        <EntryField path="springs.diaphragm.referenceStack" />
        <EntryField path="springs.diaphragm.referenceDeflection" />
        <EntryField path="springs.diaphragm.fingerRatio" />
        {forceFrom === 'geometry' ? <EntryField path="springs.diaphragm.measuredCone" /> : null}
      </FieldGrid>
      <Steps />
    </View>
  );
}

const STEP_LABEL = { height: 'Height', bandMin: 'From', bandMax: 'To', offset: 'Offset' } as const;

const STEP_BY = [
  { value: 'sum', label: 'Sum of the plates' },
  { value: 'caliper', label: 'Caliper over the pack' },
] as const;

const HEIGHTS = [
  { value: 'further', label: 'Further' },
  { value: 'less', label: 'Less far' },
] as const;

function Steps() {
  const { springs } = useJob();
  const edit = useEditJob();
  const focusField = useFocusField();
  const { steps, stepId, heightActs, stepBy } = springs.diaphragm;
  // Offsets follow from heights where those are entered.
  const leaves = usesHeights(springs.diaphragm)
    ? (['height', 'bandMin', 'bandMax'] as const)
    : (['height', 'bandMin', 'bandMax', 'offset'] as const);
  const heads = useHeads(
    leaves.map((leaf) => [STEP_LABEL[leaf], `springs.diaphragm.steps.any.${leaf}`]),
  );
  return (
    <View style={flow.sections}>
      <Heading level={3}>Retainer steps</Heading>
      {steps.length === 0 ? (
        <Words soft>No steps: the retainer holds the spring in one position.</Words>
      ) : null}
      {steps.length > 0 ? (
        <FieldTable named="number" label="Retainer steps" heads={heads}>
          {steps.map((step) => (
            <FieldRow
              key={step.id}
              name={`Step ${step.name}`}
              numbered
              head={step.name}
              removeLabel={`Remove step ${step.name}`}
              onRemove={() => edit((job) => removeStep(job, step.id))}
            >
              {leaves.map((leaf) => (
                <EntryField
                  key={leaf}
                  cell
                  path={fieldPath(`springs.diaphragm.steps.*.${leaf}`, step.id)}
                  of={`Step ${step.name}`}
                  label={STEP_LABEL[leaf]}
                />
              ))}
            </FieldRow>
          ))}
        </FieldTable>
      ) : null}
      {steps.length < MAX_STEPS ? (
        <Action
          icon="plus"
          onPress={() => {
            const id = nanoid(10);
            edit((job) => addStep(job, id));
            focusField(fieldPath('springs.diaphragm.steps.*.height', id));
          }}
        >
          Add retainer step
        </Action>
      ) : null}
      {steps.length > 0 ? (
        <>
          <Choice
            label="The leaflet selects the step by"
            value={stepBy ?? 'sum'}
            options={STEP_BY}
            onChange={(next) => edit((job) => chooseDiaphragm(job, { stepBy: next }))}
          />
          {steps.some((s) => s.height) ? (
            <Choice
              label="More height presses the spring"
              value={heightActs ?? ''}
              options={HEIGHTS}
              onChange={(next) => {
                if (next !== '') edit((job) => chooseDiaphragm(job, { heightActs: next }));
              }}
            />
          ) : null}
        </>
      ) : null}
      {steps.length > 0 ? (
        <Choice
          label="Step in use"
          value={stepId ?? ''}
          options={steps.map((s) => ({ value: s.id, label: s.name || 'Step' }))}
          onChange={(next) => edit((job) => chooseDiaphragm(job, { stepId: next }))}
        />
      ) : null}
    </View>
  );
}
