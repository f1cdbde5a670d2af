import { View } from 'react-native';

import { SPRING_KINDS } from '@/core/clutch/fitted';
import { CLUTCH_TYPES, describeType } from '@/core/clutch/type';
import { CALIPER_WAY } from '@/core/evaluate/figures/stackFigures';
import { MAX_LEAFLET } from '@/core/job/fields';
import type { SpringType } from '@/core/job/types';
import { CALIPER_WAYS, LEAFLET_PARTS } from '@/core/job/types';
import { LEAFLET_NAME } from '@/core/job/words';
import type { Leaflet } from '@/core/library/leafletPack';
import { leafletName } from '@/core/library/leaflet';
import { omit } from '@/core/omit';
import { countOf } from '@/core/text/countOf';
import { upperFirst } from '@/core/text/sentence';
import { Choice } from '@/ui/Choice';
import { Field } from '@/ui/Field';
import { flow } from '@/ui/flow';

/** Keys of a leaflet with one of a few values each. */
type ChosenKey =
  | 'clutch'
  | 'springs'
  | 'release'
  | 'hubStays'
  | 'separatePrimary'
  | 'rotation'
  | 'heightActs'
  | 'stages';

interface Option {
  readonly label: string;
  readonly value: string;
  readonly is: string | number | boolean;
}

const option = (is: Option['is'], label: string): Option => ({ is, label, value: String(is) });

const CHOICES: Readonly<Record<ChosenKey, readonly Option[]>> = {
  clutch: CLUTCH_TYPES.map((type) => option(type, describeType(type).name)),
  springs: SPRING_KINDS.map(({ id, label = id }) => option(id as SpringType, label)),
  release: [option('hydraulic', 'Hydraulics'), option('cable', 'Cable')],
  hubStays: [option(true, 'Stays on'), option(false, 'Comes off')],
  separatePrimary: [option(true, 'Yes'), option(false, 'No')],
  rotation: [option('clockwise', 'Clockwise'), option('counterclockwise', 'Counter-clockwise')],
  heightActs: [option('further', 'Further'), option('less', 'Less far')],
  stages: [1, 2, 3, 4].map((n) => option(n, countOf(n, 'stage'))),
};

const NOT_GIVEN = { value: '', label: 'Not given' } as const;

interface Props {
  readonly leaflet: Leaflet;
  readonly onChange: (change: (leaflet: Leaflet) => Leaflet) => void;
}

/** One of a few, or nothing where the leaflet leaves it open. */
function Chosen({ of, leaflet, onChange }: Props & { readonly of: ChosenKey }) {
  const options = CHOICES[of];
  return (
    <Choice
      label={`${leafletName(of)}${of === 'rotation' ? ', seen from the cover' : ''}`}
      value={leaflet[of] === undefined ? '' : String(leaflet[of])}
      options={[...options, NOT_GIVEN]}
      onChange={(value) => {
        const found = options.find((o) => o.value === value);
        onChange((l) => (found ? { ...l, [of]: found.is } : omit(l, of)));
      }}
    />
  );
}

/** The clutch that the leaflet is for. */
export function ClutchOfLeaflet(props: Props) {
  return (
    <View style={flow.stack}>
      {(['clutch', 'springs', 'release', 'hubStays', 'separatePrimary', 'rotation'] as const).map(
        (of) => (
          <Chosen key={of} of={of} {...props} />
        ),
      )}
    </View>
  );
}

const MEASURES = [
  { value: 'sum', label: 'Sum of the plates' },
  ...CALIPER_WAYS.map((way) => ({ value: way, label: `Caliper, ${CALIPER_WAY[way]}` })),
] as const;

/** How the leaflet measures the stack, and which way its step heights act. */
export function MeasureOfLeaflet(props: Props) {
  const { leaflet, onChange } = props;
  const { measure } = leaflet;
  const value = !measure ? '' : measure.stepBy === 'sum' ? 'sum' : measure.taken;
  return (
    <View style={flow.stack}>
      <Choice
        label="The leaflet selects the step by"
        value={value}
        options={[...MEASURES, NOT_GIVEN]}
        onChange={(next) =>
          onChange((l) =>
            next === ''
              ? omit(l, 'measure')
              : {
                  ...l,
                  measure:
                    next === 'sum'
                      ? { stepBy: 'sum', taken: l.measure?.taken ?? 'dryByHand' }
                      : { stepBy: 'caliper', taken: next },
                },
          )
        }
      />
      <Chosen of="heightActs" {...props} />
    </View>
  );
}

/** In how many stages bolts are tightened. */
export const StagesOfLeaflet = (props: Props) => <Chosen of="stages" {...props} />;

/** What the leaflet says in words. */
export function TextsOfLeaflet({ leaflet, onChange }: Props) {
  return LEAFLET_PARTS.map((part) => (
    <Field
      key={part}
      label={upperFirst(LEAFLET_NAME[part])}
      value={leaflet.texts?.[part] ?? ''}
      maxLength={MAX_LEAFLET}
      multiline={part === 'cautions'}
      onChangeText={(text) =>
        onChange((l) => {
          const { texts = {} } = l;
          return { ...l, texts: text === '' ? omit(texts, part) : { ...texts, [part]: text } };
        })
      }
    />
  ));
}
