import { fittedKinds } from '@/core/clutch/fitted';
import { hasPack } from '@/core/guide/layouts';
import { fieldPath } from '@/core/job/fieldPath';
import { useAskedUnder } from '@/features/entry/askedFor';
import { EntryField } from '@/features/entry/EntryField';
import { useJob } from '@/state/jobs/useJob';
import { FieldGrid } from '@/ui/FieldGrid';
import { Panel } from '@/ui/Panel';
import { Words } from '@/ui/Words';

const OF_PLATES = [
  'pack.maxWear',
  'inspection.taperLimit',
  'inspection.steelWarpLimit',
  'inspection.tangClearanceMin',
  'inspection.tangClearanceMax',
] as const;
const OF_PARTS = [
  'inspection.notchLimit',
  'inspection.damperPlayLimit',
  'inspection.pressurePlateFlatnessLimit',
  'inspection.pressurePlateMinThickness',
  'inspection.seatSquarenessLimit',
] as const;

/** The limits that verdicts go by, all in one place, each with where it comes from. */
export function Limits() {
  const job = useJob();
  const ofPlates = useAskedUnder('pack.kinds.');
  const ofShoes = useAskedUnder('startClutch.');
  const pack = hasPack(job.machine.layout);
  return (
    <Panel
      title="Limits of this machine"
      summary="From its own manual; assumed until entered"
      asked={ofPlates || ofShoes}
    >
      <Words soft size={15}>
        Enter the values of the machine’s own manual. Tap the source beside a value to change it.
      </Words>
      <FieldGrid>
        {(pack ? job.pack.kinds : []).map((kind) => (
          <EntryField
            key={kind.id}
            path={fieldPath('pack.kinds.*.minThickness', kind.id)}
            label={`${kind.name || 'Plate'}, minimum thickness`}
          />
        ))}
        {pack ? OF_PLATES.map((path) => <EntryField key={path} path={path} />) : null}
        {fittedKinds(job)
          .filter((kind) => pack || !kind.springs)
          .flatMap((kind) =>
            (kind.limits?.(job) ?? []).map(({ path, label }) => (
              <EntryField key={path} path={path} label={label} />
            )),
          )}
        {pack ? OF_PARTS.map((path) => <EntryField key={path} path={path} />) : null}
      </FieldGrid>
    </Panel>
  );
}
