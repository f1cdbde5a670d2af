import { useState } from 'react';
import { StyleSheet, View } from 'react-native';

import { useUnits } from '@/features/display/useUnits';
import { useOpenFigure } from '@/features/figures/WorkingPanel';
import { useEvaluation } from '@/state/jobs/evaluations';
import { Action } from '@/ui/Action';
import { Overlay } from '@/ui/Overlay';
import { Digits, Words } from '@/ui/Words';

import type { Line } from './lines';
import { linesOf } from './lines';
import type { RideLoop } from './RideLoop';
import { useReading } from './useRide';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';

/** Readouts of the cutaway in two columns, each with its working. */
export function Readouts({ ride }: { readonly ride: RideLoop }) {
  const units = useUnits();
  const reading = useReading(ride);
  // Held as they stood at the press: the machine runs on.
  const [held, setHeld] = useState<readonly Line[]>();
  const lines = linesOf(reading, units);
  return (
    <View>
      <View role="list" aria-label="Figures" testID="cutaway-figures">
        {lines.map((line) => (
          <Row key={line.name} line={line} />
        ))}
      </View>
      <Action icon="help-circle-outline" onPress={() => setHeld(lines)}>
        Show workings
      </Action>
      {held ? <Workings lines={held} onClose={() => setHeld(undefined)} /> : null}
    </View>
  );
}

function Row({ line: { name, text } }: { readonly line: Line }) {
  return (
    <View role="listitem" style={flow.apart}>
      <Words soft size={14} numberOfLines={1}>
        {name}
      </Words>
      <Digits size={14} numberOfLines={1}>
        {text}
      </Digits>
    </View>
  );
}

/** Each current figure with its working and the job figure it follows from. */
function Workings({
  lines,
  onClose,
}: {
  readonly lines: readonly Line[];
  readonly onClose: () => void;
}) {
  const open = useOpenFigure();
  const { figures } = useEvaluation();
  return (
    <Overlay visible title="Workings of this moment" onClose={onClose}>
      {lines.map((line) => {
        const of = line.figure && figures.get(line.figure);
        return (
          <View key={line.name} style={styles.padded}>
            <Row line={line} />
            <Words size={15}>{line.how}</Words>
            {of ? (
              <Action
                icon="chevron-right"
                onPress={() => {
                  onClose();
                  open(of.id);
                }}
              >
                {`Working: ${of.label.toLowerCase()}`}
              </Action>
            ) : null}
          </View>
        );
      })}
    </Overlay>
  );
}

const styles = StyleSheet.create({
  padded: { gap: SPACE.hair, paddingVertical: SPACE.gap },
});
