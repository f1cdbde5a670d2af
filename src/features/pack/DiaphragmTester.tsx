import { nanoid } from '@reduxjs/toolkit';
import { useState } from 'react';
import { View } from 'react-native';

import type { EntrySpec } from '@/core/units/entrySpec';
import { parseEntry } from '@/core/units/parseEntry';
import type { TesterReading } from '@/state/benchSlice';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import { useTyped } from '@/features/entry/useTyped';
import { useEditJob } from '@/state/jobs/editJob';
import { useJobId } from '@/state/jobs/useJob';
import { TesterLink } from '@/features/springs/TesterLink';
import { isoDay } from '@/ui/dates';
import { FieldGrid } from '@/ui/FieldGrid';
import { Words } from '@/ui/Words';

import { withDiaphragmPoint } from './testerPoint';
import { flow } from '@/ui/flow';

const LENGTH: EntrySpec = { quantity: 'length', bounds: { above: 0, max: 300 } };
/** Up to this force the tester only touches the spring, N. */
const TOUCH = 10;

/** A diaphragm on the spring tester: the tester reports its length, and deflection counts from first contact. */
export function DiaphragmTester() {
  const jobId = useJobId();
  const units = useUnits();
  const change = useEditJob();
  const name = `touch.${jobId}`;
  const [text, setText] = useTyped(name);
  // A reading replaces typed text.
  const [told, setTold] = useState(0);
  const read = parseEntry(text, LENGTH, units);
  const touch = read.kind === 'value' ? read.value : undefined;
  const take = (reading: TesterReading) => {
    const first = Number(reading.force) <= TOUCH ? Number(reading.length) : NaN;
    const from = touch ?? first;
    if (!(from > 0)) return;
    if (touch === undefined) {
      setText(`${reading.length} mm`);
      setTold(told + 1);
    }
    change((j) => withDiaphragmPoint(j, from, reading, nanoid(10), isoDay()));
  };
  return (
    <TesterLink onReading={take}>
      <View style={flow.tight}>
        <FieldGrid>
          <LooseField
            key={told}
            label="Tester where it first touches"
            spec={LENGTH}
            keepAs={name}
            inForm
            onValue={() => undefined}
          />
        </FieldGrid>
        <Words size={15} soft>
          {touch === undefined
            ? 'Touch the spring with the tester at zero force and send that point first, or type that position: deflection counts from there.'
            : 'Each press adds a point. Press past the peak: the falling part matters more than the rise.'}
        </Words>
      </View>
    </TesterLink>
  );
}
