import { useState } from 'react';
import { View } from 'react-native';

import { MAX_NAME } from '@/core/job/fields';
import type { TorqueCurve } from '@/core/job/types';
import { atEngine, SHARE_BOUNDS, WHEEL_SHARE } from '@/core/torque/pulls';
import type { EntrySpec } from '@/core/units/entrySpec';
import { formatValue, formatWithUnit } from '@/core/units/format';
import { useUnits } from '@/features/display/useUnits';
import { LooseField } from '@/features/entry/LooseField';
import type { TorqueFile } from '@/files/torqueCsv';
import { Action } from '@/ui/Action';
import { Choice } from '@/ui/Choice';
import { FieldGrid } from '@/ui/FieldGrid';
import { Heading, Words } from '@/ui/Words';

import { TorqueChart } from './TorqueChart';
import { flow } from '@/ui/flow';

const PLACES = [
  { value: 'engine', label: 'At the engine' },
  { value: 'wheel', label: 'At the rear wheel' },
] as const;

const SHARE: EntrySpec = { quantity: 'share', bounds: SHARE_BOUNDS };

interface Props {
  readonly file: TorqueFile;
  /** The rider reports slip, and the curve was measured through that clutch. */
  readonly slips: boolean;
  readonly onTake: (curve: TorqueCurve, withPeak: boolean) => void;
  readonly onLeave: () => void;
}

/** A curve to look over before it is taken, and where it was measured. */
export function CurvePreview({ file, slips, onTake, onLeave }: Props) {
  const units = useUnits();
  const [place, setPlace] = useState<'engine' | 'wheel'>(file.atWheel ? 'wheel' : 'engine');
  const [share, setShare] = useState<number | undefined>(WHEEL_SHARE);
  const { name, points } = file.curve;
  const curve: TorqueCurve =
    place === 'engine' || share === undefined
      ? file.curve
      : {
          name: `${name}, at the wheel, ${formatWithUnit(share, 'share', units)}`.slice(
            0,
            MAX_NAME,
          ),
          points: atEngine(points, share),
        };
  const ready = points.length > 1 && (place === 'engine' || share !== undefined);
  return (
    <View style={flow.stack}>
      <View aria-live="polite" style={flow.tight}>
        <Heading level={3}>{name}</Heading>
        {file.notes.map((note) => (
          <Words key={note} size={15}>
            {note}
          </Words>
        ))}
        {slips ? (
          <Words size={15}>
            The rider reports slip. A slipping clutch limits the dyno reading: the curve may show
            the clutch, not the engine.
          </Words>
        ) : null}
      </View>
      {points.length > 1 ? (
        <>
          <Choice label="Measured" options={PLACES} value={place} onChange={setPlace} />
          {place === 'wheel' ? (
            <View style={flow.tight}>
              <FieldGrid>
                <LooseField
                  label="Share of the torque that reaches the wheel"
                  spec={SHARE}
                  initial={formatValue(WHEEL_SHARE, 'share', units)}
                  onValue={setShare}
                />
              </FieldGrid>
              <Words size={15} soft>
                The clutch carries the losses of gearbox and chain, so the curve is divided by this
                share. The share is an assumed value; skip it if the dyno already gives engine
                figures.
              </Words>
            </View>
          ) : null}
          <TorqueChart curve={curve} />
        </>
      ) : null}
      <View style={flow.wrap}>
        {ready ? (
          <>
            <Action main icon="check" onPress={() => onTake(curve, true)}>
              Use curve and peak
            </Action>
            <Action onPress={() => onTake(curve, false)}>Use curve only</Action>
          </>
        ) : null}
        <Action icon="close" onPress={onLeave}>
          Cancel
        </Action>
      </View>
    </View>
  );
}
