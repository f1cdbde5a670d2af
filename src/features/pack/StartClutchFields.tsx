import { useEditJob } from '@/state/jobs/editJob';
import { placeStartClutch } from '@/core/job/edits/details';
import { EntryField } from '@/features/entry/EntryField';
import { FigureRow } from '@/features/figures/FigureRow';
import { useEvaluation } from '@/state/jobs/evaluations';
import { useJob } from '@/state/jobs/useJob';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Heading } from '@/ui/Words';

const START_PLACES = [
  { value: 'none', label: 'None' },
  { value: 'crank', label: 'On the crank' },
  { value: 'input', label: 'On the gearbox input' },
] as const;

/** The start clutch of an ATV: shoes in a drum, and the speeds that come of them. */
export function StartClutchFields() {
  const job = useJob();
  const edit = useEditJob();
  const { figures } = useEvaluation();
  return (
    <>
      <Heading level={2}>Start clutch</Heading>
      <Choice
        label="Shoes in a drum"
        value={job.startClutch.place}
        options={START_PLACES}
        onChange={(place) => edit((j) => placeStartClutch(j, place))}
      />
      {job.startClutch.place === 'none' ? null : (
        <>
          <FieldGrid>
            <EntryField path="startClutch.shoes" />
            <EntryField path="startClutch.mass" />
            <EntryField path="startClutch.radius" />
            <EntryField path="startClutch.springPull" />
            <EntryField path="startClutch.drumRadius" />
            <EntryField path="startClutch.friction" />
            <EntryField path="startClutch.wear" />
            <EntryField path="startClutch.springRate" />
            <EntryField path="startClutch.massLost" />
          </FieldGrid>
          {(['startContact', 'startHolding', 'startContactWorn'] as const).map((id) => {
            const outcome = figures.get(id);
            return outcome ? <FigureRow key={id} outcome={outcome} /> : null;
          })}
        </>
      )}
    </>
  );
}
