import { EntryField } from '@/features/entry/EntryField';
import { FigureRows } from '@/features/figures/FigureRows';
import { useJob } from '@/state/jobs/useJob';
import { GainReadings } from '@/features/prove/GainReadings';
import { FieldGrid } from '@/ui/FieldGrid';
import { Heading, Words } from '@/ui/Words';

import { ExpandingFitted } from './BuildChoices';

const SHOWN = ['expandContact', 'expandLockUp', 'leverGain', 'gapPerMark'] as const;

/** An expanding disc, its install gap, and what the lever says of it. */
export function ExpandingFields() {
  const { expanding } = useJob();
  return (
    <>
      <Heading level={2}>Expanding disc</Heading>
      <ExpandingFitted label="In place of the outermost friction disc" />
      {expanding.fitted ? (
        <>
          <FieldGrid>
            <EntryField path="setting.installGap" />
            <EntryField path="setting.gapMin" />
            <EntryField path="setting.gapMax" />
            <EntryField path="setting.pitch" />
            <EntryField path="setting.marksPerTurn" />
            <EntryField path="setting.linkage" />
            <EntryField path="expanding.growth" />
            <EntryField path="setting.targetGain" />
          </FieldGrid>
          <Heading level={3}>Its weights</Heading>
          <Words soft size={15}>
            Of a bought disc they are seldom known: leave all of them empty, and the disc counts as
            fully out where the engine pulls hardest.
          </Words>
          <FieldGrid>
            <EntryField path="expanding.count" />
            <EntryField path="expanding.mass" />
            <EntryField path="expanding.radius" />
            <EntryField path="expanding.advantage" />
            <EntryField path="expanding.returnForce" />
            <EntryField path="expanding.returnRate" />
          </FieldGrid>
          <GainReadings />
          <FigureRows ids={SHOWN} />
        </>
      ) : null}
    </>
  );
}
