import { View } from 'react-native';

import { EntryField } from '@/features/entry/EntryField';
import { FieldGrid } from '@/ui/FieldGrid';
import { Heading } from '@/ui/Words';

import { CurveFields } from './CurveFields';
import { flow } from '@/ui/flow';

/** Engine data: peak, or the whole curve from a file or dyno. */
export function EngineFields() {
  return (
    <View style={flow.sections}>
      <Heading level={2}>Engine</Heading>
      <FieldGrid>
        <EntryField path="engine.peakTorque" />
        <EntryField path="engine.peakTorqueRpm" />
        <EntryField path="engine.primaryRatio" />
        <EntryField path="engine.primaryEfficiency" />
        <EntryField path="engine.idleRpm" />
      </FieldGrid>
      <CurveFields />
    </View>
  );
}
