import { useState } from 'react';
import { View } from 'react-native';

import { MAX_CSV_BYTES, readSpringCsv } from '@/files/csvFiles';
import type { TesterRow } from '@/files/springCsv';
import { FileRefused } from '@/files/refused';
import { pickFile } from '@/files/share';
import { reportFault } from '@/storage/faults';
import { Action } from '@/ui/Action';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { countOf } from '@/core/text/countOf';

interface Props {
  readonly place: 'length' | 'deflection';
  /** The points of the file take the place of those that are there; undo brings them back. */
  readonly onPoints: (points: readonly TesterRow[]) => void;
}

/** Points of a spring tester from a CSV file; a file that is none is refused whole, with the line. */
export function TesterFile({ place, onPoints }: Props) {
  const strata = useStrata();
  const [told, setTold] = useState<{ readonly text: string; readonly bad: boolean }>();
  const pick = async () => {
    const file = await pickFile('.csv,.txt,text/csv,text/plain');
    if (!file) return;
    try {
      if (file.size > MAX_CSV_BYTES) throw new FileRefused('Too large: at most 2 MB.');
      const points = readSpringCsv(await file.text(), place);
      onPoints(points);
      setTold({ text: `${countOf(points.length, 'point')} read from ${file.name}.`, bad: false });
    } catch (error) {
      setTold({
        text:
          error instanceof FileRefused
            ? `${file.name}: ${error.message}`
            : reportFault(`${file.name} was not read`, error),
        bad: true,
      });
    }
  };
  return (
    <View style={flow.tight}>
      <Action icon="import" onPress={() => void pick()}>
        Import tester points (CSV)
      </Action>
      <View aria-live="polite">
        {told ? (
          <Words size={15} style={{ color: told.bad ? strata.stop : strata.ink }}>
            {told.text}
          </Words>
        ) : null}
      </View>
    </View>
  );
}
