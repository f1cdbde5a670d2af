import { fittedKinds } from '@/core/clutch/fitted';
import { fieldPath } from '@/core/job/fieldPath';
import { useAskedUnder } from '@/features/entry/askedFor';
import { EntryField } from '@/features/entry/EntryField';
import { useJob } from '@/state/jobs/useJob';
import { FieldGrid } from '@/ui/FieldGrid';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';

/** The limits that verdicts go by, all in one place, each with where it comes from. */
export function Limits() {
  const job = useJob();
  const asked = useAskedUnder('pack.kinds.');
  return (
    <Panel
      title="Limits of this machine"
      summary="From its own manual; assumed until entered"
      asked={asked}
    >
      <Words soft size={15}>
        Enter the values of the machine’s own manual. Tap the source beside a value to change it.
      </Words>
      <FieldGrid>
        {job.pack.kinds.map((kind) => (
          <EntryField
            key={kind.id}
            path={fieldPath('pack.kinds.*.minThickness', kind.id)}
            label={`${kind.name || 'Plate'}, minimum thickness`}
          />
        ))}
        <EntryField path="pack.maxWear" />
        <EntryField path="inspection.taperLimit" />
        <EntryField path="inspection.steelWarpLimit" />
        <EntryField path="inspection.tangClearanceMin" />
        <EntryField path="inspection.tangClearanceMax" />
        {fittedKinds(job).flatMap((kind) =>
          (kind.limits?.(job) ?? []).map(({ path, label }) => (
            <EntryField key={path} path={path} label={label} />
          )),
        )}
        <EntryField path="inspection.notchLimit" />
        <EntryField path="inspection.damperPlayLimit" />
        <EntryField path="inspection.pressurePlateFlatnessLimit" />
        <EntryField path="inspection.pressurePlateMinThickness" />
        <EntryField path="inspection.seatSquarenessLimit" />
      </FieldGrid>
    </Panel>
  );
}
