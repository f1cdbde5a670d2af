import { useState } from 'react';
import { View } from 'react-native';

import { maxPull } from '@/core/clutch/diaphragm/whichStep';
import { attempt } from '@/core/errors';
import { workOut } from '@/core/evaluate/evaluate';
import { packModel } from '@/core/evaluate/states';
import type { Job } from '@/core/job/types';
import type { UnitChoice } from '@/core/units/format';
import { formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import { useJob } from '@/state/jobs/useJob';
import { flow } from '@/ui/flow';
import { Words } from '@/ui/Words';

const WEAR = { quantity: 'length', bounds: { min: 0, max: 20 } } as const;

/** Clamp and maximum pull after a wear that is typed in. */
export function ClampAfterWear() {
  const job = useJob();
  const units = useUnits();
  const [wear, setWear] = useState<number>();
  return (
    <View style={flow.tight}>
      <LooseField
        label="Clamp after a wear of"
        spec={WEAR}
        keepAs={`wear.${job.id}`}
        onValue={setWear}
      />
      {wear === undefined ? null : (
        <Words live size={15}>
          {textAfter(job, wear, units)}
        </Words>
      )}
    </View>
  );
}

function textAfter(job: Job, wear: number, units: UnitChoice): string {
  const model = packModel(job);
  const at = attempt(() => model.at({ wear }));
  if (at?.clamp === undefined) return 'Clamp not known: stack and springs are needed first.';
  const lift = workOut(job).sheet.known('liftHad')?.value ?? 0;
  const pull = maxPull(model, wear, lift);
  return `Clamp ${formatWithUnit(at.clamp, 'force', units, 0)}${
    pull === undefined ? '' : `, maximum pull ${formatWithUnit(pull, 'force', units, 0)}`
  }.`;
}
