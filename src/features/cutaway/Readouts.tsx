import { View } from 'react-native';

import { useUnits } from '@/features/display/useUnits';
import { Digits, Words } from '@/ui/Words';

import { linesOf } from './lines';
import type { RideLoop } from './RideLoop';
import { useReading } from './useRide';

/** Everything that is read off the cutaway, in two columns. */
export function Readouts({ ride }: { readonly ride: RideLoop }) {
  const units = useUnits();
  const reading = useReading(ride);
  return (
    <View role="list" aria-label="Figures" testID="cutaway-figures">
      {linesOf(reading, units).map(({ name, text }) => (
        <View
          key={name}
          role="listitem"
          style={{ flexDirection: 'row', justifyContent: 'space-between', gap: 6 }}
        >
          <Words soft size={14} numberOfLines={1}>
            {name}
          </Words>
          <Digits size={14} numberOfLines={1}>
            {text}
          </Digits>
        </View>
      ))}
    </View>
  );
}
