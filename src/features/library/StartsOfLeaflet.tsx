import { nanoid } from '@reduxjs/toolkit';
import { View } from 'react-native';

import { MAX_NAME } from '@/core/job/fields';
import type { Leaflet, LeafletStarts } from '@/core/library/leafletPack';
import { omit } from '@/core/omit';
import { LooseField } from '@/features/entry/LooseField';
import { Action } from '@/ui/Action';
import { Field } from '@/ui/Field';
import { FieldGrid } from '@/ui/FieldGrid';
import { flow } from '@/ui/flow';
import { Heading } from '@/ui/Words';

const STARTS = { quantity: 'count', bounds: { min: 1, max: 1000, integer: true } } as const;
const MAX_GEARS = 6;

interface Props {
  readonly leaflet: Leaflet;
  readonly onChange: (change: (leaflet: Leaflet) => Leaflet) => void;
}

/** Break-in starts of a leaflet, gear by gear. */
export function StartsOfLeaflet({ leaflet, onChange }: Props) {
  const starts = leaflet.starts ?? [];
  const set = (change: (all: readonly LeafletStarts[]) => readonly LeafletStarts[]) =>
    onChange((l) => {
      const next = change(l.starts ?? []);
      return next.length === 0 ? omit(l, 'starts') : { ...l, starts: next };
    });
  const put = (id: string, part: Partial<LeafletStarts>) =>
    set((all) => all.map((s) => (s.id === id ? { ...s, ...part } : s)));
  return (
    <View style={flow.tight}>
      <Heading level={3}>Break-in starts</Heading>
      {starts.map((s, i) => (
        <FieldGrid
          key={s.id}
          narrow
          removeLabel={`Remove gear ${i + 1}`}
          onRemove={() => set((all) => all.filter((x) => x.id !== s.id))}
        >
          <Field
            label="Gear"
            value={s.name}
            maxLength={MAX_NAME}
            onChangeText={(name) => put(s.id, { name })}
          />
          <LooseField
            label="Starts"
            spec={STARTS}
            initial={s.wanted === undefined ? '' : String(s.wanted)}
            onValue={(wanted) =>
              set((all) =>
                all.map((x) =>
                  x.id === s.id
                    ? { ...omit(x, 'wanted'), ...(wanted === undefined ? {} : { wanted }) }
                    : x,
                ),
              )
            }
          />
        </FieldGrid>
      ))}
      {starts.length < MAX_GEARS ? (
        <Action
          icon="plus"
          onPress={() => set((all) => [...all, { id: nanoid(8), name: GEARS[all.length] ?? '' }])}
        >
          Add gear
        </Action>
      ) : null}
    </View>
  );
}

const GEARS = ['First gear', 'Second gear', 'Third gear'];
