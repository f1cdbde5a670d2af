import type { Facing, Plate } from '@/core/job/types';
import { useEditJob } from '@/state/jobs/editJob';
import { Choice, Toggles } from '@/ui/Choice';

type Mark = Facing | 'none';
type Trait = 'judder' | 'isNew' | 'offsetSlot';

interface Props {
  readonly plate: Plate;
  readonly lined: boolean;
}

/** Direction of a plate, whether it is new, and its special features. */
export function PlateMarks({ plate, lined }: Props) {
  const change = useEditJob();
  const set = (part: (plate: Plate) => Plate) =>
    change((j) => ({
      ...j,
      pack: { ...j.pack, plates: j.pack.plates.map((p) => (p.id === plate.id ? part(p) : p)) },
    }));
  const chosen: Trait[] = [
    ...(plate.judder ? ['judder' as const] : []),
    ...(plate.isNew ? ['isNew' as const] : []),
    ...(plate.offsetSlot ? ['offsetSlot' as const] : []),
  ];
  return (
    <>
      <Choice<Mark>
        label="Mark faces"
        value={plate.facing ?? 'none'}
        options={[
          { value: 'outward', label: 'Outward' },
          { value: 'none', label: 'No mark' },
          { value: 'inward', label: 'Inward' },
        ]}
        onChange={(mark) =>
          set((p) => {
            const { facing: _old, ...rest } = p;
            return mark === 'none' ? rest : { ...rest, facing: mark };
          })
        }
      />
      <Toggles<Trait>
        bare
        label="Special features"
        chosen={chosen}
        options={[
          { value: 'isNew', label: 'New part' },
          ...(lined
            ? [
                { value: 'judder' as const, label: 'Judder spring in its bore' },
                { value: 'offsetSlot' as const, label: 'In the offset slots' },
              ]
            : []),
        ]}
        onToggle={(trait) => set((p) => ({ ...p, [trait]: !p[trait] }))}
      />
    </>
  );
}
