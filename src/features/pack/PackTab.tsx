import { upperFirst } from '@/core/text/sentence';
import { choosePack } from '@/core/job/edits/pack';
import { View } from 'react-native';

import { CALIPER_WAY } from '@/core/evaluate/figures/stackFigures';
import { CALIPER_WAYS } from '@/core/job/types';
import { ReadingSets } from '@/features/readings/ReadingSets';
import { EntryField } from '@/features/entry/EntryField';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobPart } from '@/state/jobs/useJob';
import type { Selection } from '@/features/section/useSelection';
import { ShelfPanel } from '@/features/shelf/ShelfPanel';
import { TolerancePanel } from '@/features/tolerance/TolerancePanel';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Panel } from '@/ui/Panel';
import { Heading } from '@/ui/Words';

import { KindList } from './KindList';
import { FillStack } from './FillStack';
import { PlateList } from './PlateList';
import { flow } from '@/ui/flow';

const CALIPER_OPTIONS = CALIPER_WAYS.map((value) => ({
  value,
  label: upperFirst(CALIPER_WAY[value]),
}));

const ROTATIONS = [
  { value: 'clockwise', label: 'Clockwise' },
  { value: 'counterclockwise', label: 'Counter-clockwise' },
] as const;

const MEMBERS = [
  { value: 'hub', label: 'Hub' },
  { value: 'basket', label: 'Basket' },
] as const;

interface Props {
  readonly selection: Selection;
}

/** The plates: their types, their order, and their stack limits. */
export function PackTab({ selection }: Props) {
  const caliper = useJobPart((job) => job.pack.caliper !== undefined);
  const caliperTaken = useJobPart((job) => job.pack.caliperTaken);
  const radiusModel = useJobPart((job) => job.pack.radiusModel);
  const pressurePlate = useJobPart((job) => job.pack.pressurePlateTurnsWith);
  const rotation = useJobPart((job) => job.pack.rotation);
  const floor = useJobPart((job) => job.pack.floorTurnsWith);
  const change = useEditJob();
  return (
    <View style={flow.sections}>
      <Heading level={2}>Plates</Heading>
      <FillStack />
      <Heading level={2}>Plate types</Heading>
      <KindList />
      <PlateList selection={selection} />
      <Heading level={2}>Limits, spline and wear</Heading>
      <FieldGrid>
        <EntryField path="pack.windowMin" />
        <EntryField path="pack.windowMax" />
        <EntryField path="pack.splineLength" />
        <EntryField path="pack.fingerLength" />
        <EntryField path="pack.maxWear" />
        <EntryField path="pack.caliper" />
        <ReadingSets kind="caliper" />
        <ReadingSets kind="stack" />
        <EntryField path="pack.caliperAllowance" />
      </FieldGrid>
      {caliper ? (
        <Choice
          label="Stack by caliper"
          value={caliperTaken}
          options={CALIPER_OPTIONS}
          onChange={(way) => change((j) => ({ ...j, pack: { ...j.pack, caliperTaken: way } }))}
        />
      ) : null}
      <ShelfPanel />
      <TolerancePanel />
      <Panel title="Friction faces" summary="Friction radius, tangs, pressure plate">
        <Choice
          label="Lining"
          value={radiusModel}
          options={[
            { value: 'uniformWear', label: 'Run in, even wear' },
            { value: 'uniformPressure', label: 'New, even pressure' },
          ]}
          onChange={(next) => change((j) => choosePack(j, { radiusModel: next }))}
        />
        <Choice
          label="Basket turns, seen from the cover"
          value={rotation ?? ''}
          options={ROTATIONS}
          onChange={(next) => {
            if (next !== '') change((j) => choosePack(j, { rotation: next }));
          }}
        />
        <Choice
          label="Pressure plate turns with"
          value={pressurePlate}
          options={MEMBERS}
          onChange={(pressurePlateTurnsWith) =>
            change((j) => choosePack(j, { pressurePlateTurnsWith }))
          }
        />
        <Choice
          label="Pack floor turns with"
          value={floor}
          options={MEMBERS}
          onChange={(floorTurnsWith) => change((j) => choosePack(j, { floorTurnsWith }))}
        />
        <FieldGrid>
          <EntryField path="pack.tangFriction" />
        </FieldGrid>
      </Panel>
    </View>
  );
}
