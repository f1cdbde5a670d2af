import { EntryField } from '@/features/entry/EntryField';
import { FigureRows } from '@/features/figures/FigureRows';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJob } from '@/features/jobs/useJob';
import { GainReadings } from '@/features/prove/GainReadings';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Heading } from '@/ui/Words';

const SHOWN = ['expandContact', 'expandLockUp', 'leverGain', 'gapPerMark'] as const;

/** An expanding disc, its install gap, and what the lever says of it. */
export function ExpandingFields() {
  const { expanding } = useJob();
  const change = useChangeJob();
  return (
    <>
      <Heading level={2}>Expanding disc</Heading>
      <Choice
        label="In place of the outermost friction disc"
        value={expanding.fitted ? 'yes' : 'no'}
        options={[
          { value: 'no', label: 'None' },
          { value: 'yes', label: 'Fitted' },
        ]}
        onChange={(v) =>
          change((j) => ({ ...j, expanding: { ...j.expanding, fitted: v === 'yes' } }))
        }
      />
      {expanding.fitted ? (
        <>
          <FieldGrid>
            <EntryField path="expanding.count" />
            <EntryField path="expanding.mass" />
            <EntryField path="expanding.radius" />
            <EntryField path="expanding.advantage" />
            <EntryField path="expanding.returnForce" />
            <EntryField path="expanding.returnRate" />
            <EntryField path="expanding.growth" />
            <EntryField path="setting.installGap" />
            <EntryField path="setting.gapMin" />
            <EntryField path="setting.gapMax" />
            <EntryField path="setting.pitch" />
            <EntryField path="setting.marksPerTurn" />
            <EntryField path="setting.linkage" />
            <EntryField path="setting.targetGain" />
          </FieldGrid>
          <GainReadings />
          <FigureRows ids={SHOWN} />
        </>
      ) : null}
    </>
  );
}
