import type { GroupLeaf } from '@/core/clutch/coil/groupTerms';
import {
  addGroup,
  addTesterPoint,
  changeGroup,
  removeGroup,
  removeTesterPoint,
} from '@/core/job/edits/springs';
import { ATTACHMENTS, SPRING_KINDS } from '@/core/clutch/fitted';
import { nanoid } from '@reduxjs/toolkit';
import type { ComponentType } from 'react';
import { Fragment } from 'react';
import { View } from 'react-native';

import { MAX_GROUPS, MAX_NAME, MAX_TESTER_POINTS } from '@/core/job/fields';
import { fieldPath } from '@/core/job/fieldPath';
import { withEntry } from '@/core/job/paths';
import type { CoilGroup } from '@/core/job/types';
import { countedOut, SPRINGS } from '@/core/strip/line';
import { useFocusField } from '@/features/entry/askedFor';
import { useHeads } from '@/features/entry/useHeads';
import { EntryField } from '@/features/entry/EntryField';
import { FigureRows } from '@/features/figures/FigureRows';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { ClampAfterWear } from '@/features/springs/ClampAfterWear';
import { ClampOverWear } from '@/features/springs/ClampOverWear';
import { DiaphragmCurve } from '@/features/springs/DiaphragmCurve';
import { SpringCircle } from '@/features/springs/SpringCircle';
import { TesterFile } from '@/features/springs/TesterFile';
import { TesterLink } from '@/features/springs/TesterLink';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { isoDay } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { FieldRow, FieldTable } from '@/ui/FieldTable';
import { Field } from '@/ui/Field';
import { Heading, Words } from '@/ui/Words';

import { AttachmentFields } from './AttachmentFields';
import { SpringFamily } from './BuildChoices';
import { DiaphragmFields } from './DiaphragmFields';
import { KindForm } from './KindForm';
import { withTesterFile, withTesterPoint } from './testerPoint';
import { flow } from '@/ui/flow';

const SHOWN = [
  'plateGap',
  'installedLength',
  'deflection',
  'clamp',
  'assistClamp',
  'clampAtPeak',
  'coilClearance',
  'springStress',
  'springOffset',
] as const;

const Diaphragm = () => (
  <>
    <DiaphragmFields />
    <DiaphragmCurve />
  </>
);

const Groups = () => (
  <>
    <CoilKinds />
    <SpringCircle />
  </>
);

/** Content below springs other than groups of coil springs. */
const PANELS: Readonly<Record<string, ComponentType>> = { diaphragm: Diaphragm };

/** The springs of any type, and the effect of weights. */
export function SpringsTab() {
  const job = useJob();
  return (
    <View style={flow.sections}>
      <Heading level={2}>Springs</Heading>
      <SpringFamily label="Spring type" />
      {SPRING_KINDS.filter((kind) => kind.isFitted(job)).map((kind) => {
        const Panel = PANELS[kind.id] ?? Groups;
        return (
          <Fragment key={kind.id}>
            <KindForm kind={kind} />
            <Panel />
          </Fragment>
        );
      })}
      <>
        <Heading level={3}>Clamp as it wears</Heading>
        <ClampAfterWear />
        <ClampOverWear packs={[{ name: 'This pack', job }]} />
        {ATTACHMENTS.filter((kind) => !kind.choice?.heading).map((kind) => (
          <AttachmentFields key={kind.id} kind={kind} />
        ))}
        <FigureRows ids={SHOWN} />
        <Words soft size={14}>
          Springs are loaded: release evenly and wear eye protection.
        </Words>
      </>
    </View>
  );
}

function CoilKinds() {
  const job = useJob();
  const edit = useEditJob();
  const { groups } = job.springs.coil;
  const [only] = groups;
  const { count } = countedOut(job, SPRINGS);
  return (
    <>
      {count && only && groups.length === 1 && !only.count ? (
        <Action
          icon="check"
          onPress={() =>
            edit((j) => withEntry(j, fieldPath('springs.coil.groups.*.count', only.id), count))
          }
        >
          {`Use the ${count.value} springs counted at Strip`}
        </Action>
      ) : null}
      {groups.map((group) => (
        <Group key={group.id} group={group} alone={groups.length === 1} />
      ))}
      {groups.length === 0 ? <Words soft>No springs yet. Add springs.</Words> : null}
      {groups.length < MAX_GROUPS ? (
        <Action icon="plus" onPress={() => edit((job) => addGroup(job, nanoid(10)))}>
          Add springs
        </Action>
      ) : null}
    </>
  );
}

function Group({ group, alone }: { readonly group: CoilGroup; readonly alone: boolean }) {
  const edit = useEditJob();
  const path = (leaf: GroupLeaf) => fieldPath(`springs.coil.groups.*.${leaf}`, group.id);
  const change = (part: Partial<Pick<CoilGroup, 'name' | 'rateFrom'>>) =>
    edit((job) => changeGroup(job, group.id, part));
  return (
    <View role="group" aria-label={group.name || 'Coil springs'} style={flow.sections}>
      <Heading level={2}>{alone ? 'Coil springs' : group.name || 'Coil springs'}</Heading>
      <Field
        label="Name"
        value={group.name}
        maxLength={MAX_NAME}
        onChangeText={(name) => change({ name })}
      />
      <FieldGrid>
        <EntryField path={path('count')} />
        <EntryField path={path('freeLength')} />
      </FieldGrid>
      <Choice
        label="Rate from"
        value={group.rateFrom}
        options={
          [
            { value: 'rate', label: 'Known rate' },
            { value: 'wire', label: 'Wire' },
            { value: 'tester', label: 'A tester' },
          ] as const
        }
        onChange={(rateFrom) => change({ rateFrom })}
      />
      {group.rateFrom === 'rate' ? (
        <FieldGrid>
          <EntryField path={path('rate')} />
        </FieldGrid>
      ) : null}
      {group.rateFrom === 'wire' ? (
        <FieldGrid>
          <EntryField path={path('wireDiameter')} />
          <EntryField path={path('meanDiameter')} />
          <EntryField path={path('activeCoils')} />
          <EntryField path={path('totalCoils')} />
          <EntryField path={path('shearModulus')} />
        </FieldGrid>
      ) : null}
      {group.rateFrom === 'tester' ? <TesterPoints group={group} /> : null}
      <FieldGrid>
        <EntryField path={path('solidLength')} />
      </FieldGrid>
      {alone ? null : (
        <Action
          icon="delete-outline"
          onPress={() => edit((job) => removeGroup(job, group.id))}
        >{`Remove ${group.name || 'these springs'}`}</Action>
      )}
    </View>
  );
}

function TesterPoints({ group }: { readonly group: CoilGroup }) {
  const change = useEditJob();
  const focusField = useFocusField();
  const groupId = group.id;
  const heads = useHeads([
    ['Length', 'springs.coil.groups.any.testerPoints.any.length'],
    ['Force', 'springs.coil.groups.any.testerPoints.any.force'],
  ]);
  return (
    <View style={flow.stack}>
      <TesterLink
        onReading={(reading) =>
          change((j) => withTesterPoint(j, groupId, reading, nanoid(10), isoDay()))
        }
      />
      <TesterFile
        place="length"
        onPoints={(points) =>
          change((j) => withTesterFile(j, groupId, points, isoDay(), () => nanoid(10)))
        }
      />
      {group.testerPoints.length > 0 ? (
        <FieldTable label="Tester points" heads={heads}>
          {group.testerPoints.map((point, i) => (
            <FieldRow
              key={point.id}
              name={`Point ${i + 1}`}
              removeLabel={`Remove point ${i + 1}`}
              onRemove={() => change((job) => removeTesterPoint(job, groupId, point.id))}
            >
              <EntryField
                cell
                path={fieldPath('springs.coil.groups.*.testerPoints.*.length', groupId, point.id)}
                label={`Point ${i + 1}, length`}
              />
              <EntryField
                cell
                path={fieldPath('springs.coil.groups.*.testerPoints.*.force', groupId, point.id)}
                label={`Point ${i + 1}, force`}
              />
            </FieldRow>
          ))}
        </FieldTable>
      ) : null}
      {group.testerPoints.length < MAX_TESTER_POINTS ? (
        <Action
          icon="plus"
          onPress={() => {
            const id = nanoid(10);
            change((job) => addTesterPoint(job, groupId, id));
            focusField(fieldPath('springs.coil.groups.*.testerPoints.*.length', groupId, id));
          }}
        >
          Add tester point
        </Action>
      ) : null}
    </View>
  );
}
