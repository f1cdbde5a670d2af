import { useState } from 'react';
import { View } from 'react-native';

import type { TorqueCurve } from '@/core/job/types';
import { formatWithUnit } from '@/core/units/quantity';
import { useUnits } from '@/features/display/useUnits';
import { EntryField } from '@/features/entry/EntryField';
import { useChangeJob } from '@/features/jobs/changeJob';
import { useJob } from '@/features/jobs/useJob';
import { MAX_CSV_BYTES, readTorqueCsv, writeTorqueCsv } from '@/files/csvFiles';
import { FileRefused } from '@/files/refused';
import { download, pickFile } from '@/files/share';
import type { TorqueFile } from '@/files/torqueCsv';
import { Action } from '@/ui/Action';
import { FieldGrid } from '@/ui/FieldGrid';
import { useStrata } from '@/ui/theme';
import { Heading, Words } from '@/ui/Words';

import { TorqueChart } from './TorqueChart';

/** What the engine brings to the clutch: its peak, or its whole curve from a file. */
export function EngineFields() {
  return (
    <View style={{ gap: 12 }}>
      <Heading level={2}>Engine</Heading>
      <FieldGrid>
        <EntryField path="engine.peakTorque" />
        <EntryField path="engine.peakTorqueRpm" />
        <EntryField path="engine.primaryRatio" />
        <EntryField path="engine.primaryEfficiency" />
        <EntryField path="engine.idleRpm" />
      </FieldGrid>
      <Curve />
    </View>
  );
}

function peakOf({ points }: TorqueCurve) {
  return points.reduce((best, p) => (p.torque > best.torque ? p : best), { rpm: 0, torque: 0 });
}

function Curve() {
  const { engine } = useJob();
  const change = useChangeJob();
  const strata = useStrata();
  const units = useUnits();
  const [preview, setPreview] = useState<TorqueFile>();
  const [refused, setRefused] = useState<string>();
  const pick = async () => {
    const file = await pickFile('.csv,.txt,text/csv,text/plain');
    if (!file) return;
    setRefused(undefined);
    setPreview(undefined);
    try {
      if (file.size > MAX_CSV_BYTES)
        throw new FileRefused('Too large for a torque curve: at most 2 MB.');
      setPreview(readTorqueCsv(await file.text(), file.name));
    } catch (error) {
      setRefused(
        `${file.name}: ${error instanceof FileRefused ? error.message : 'it can’t be read.'}`,
      );
    }
  };
  const save = async (curve: TorqueCurve) => {
    download('torque-curve.csv', writeTorqueCsv(curve), 'text/csv');
  };
  const take = (curve: TorqueCurve, withPeak: boolean) => {
    const peak = peakOf(curve);
    const source = { kind: 'entered' as const, note: curve.name };
    change((j) => ({
      ...j,
      engine: {
        ...j.engine,
        curve,
        ...(withPeak && peak.torque > 0
          ? {
              peakTorque: { value: peak.torque, source },
              peakTorqueRpm: { value: peak.rpm, source },
            }
          : {}),
      },
    }));
    setPreview(undefined);
  };
  const shown = preview?.curve ?? engine.curve;
  const peak = shown && peakOf(shown);
  return (
    <View style={{ gap: 8 }}>
      <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
        <Action icon="import" onPress={() => void pick()}>
          {engine.curve ? 'Another torque curve' : 'Torque curve from a file'}
        </Action>
        {engine.curve && !preview ? (
          <>
            <Action
              icon="download"
              onPress={() => {
                if (engine.curve) void save(engine.curve);
              }}
            >
              Curve as CSV
            </Action>
            <Action
              icon="delete-outline"
              onPress={() =>
                change((j) => {
                  const { curve: _curve, ...rest } = j.engine;
                  return { ...j, engine: rest };
                })
              }
            >
              Take the curve out
            </Action>
          </>
        ) : null}
      </View>
      <View aria-live="polite" style={{ gap: 4 }}>
        {refused ? <Words style={{ color: strata.stop }}>{refused}</Words> : null}
        {preview ? (
          <>
            <Heading level={3}>{preview.curve.name}</Heading>
            {preview.notes.map((note) => (
              <Words key={note} size={15}>
                {note}
              </Words>
            ))}
          </>
        ) : null}
        {shown && peak ? (
          <Words size={15}>
            {String(shown.points.length)} speeds, peak{' '}
            {formatWithUnit(peak.torque, 'torque', units)} at{' '}
            {formatWithUnit(peak.rpm, 'speed', units)}
            {preview ? '.' : `, from ${shown.name || 'a file'}.`}
          </Words>
        ) : null}
      </View>
      {shown ? <TorqueChart curve={shown} /> : null}
      {preview ? (
        <View style={{ flexDirection: 'row', flexWrap: 'wrap', gap: 8 }}>
          <Action main icon="check" onPress={() => take(preview.curve, true)}>
            Take curve and peak
          </Action>
          <Action onPress={() => take(preview.curve, false)}>Take the curve only</Action>
          <Action icon="close" onPress={() => setPreview(undefined)}>
            Leave it
          </Action>
        </View>
      ) : null}
    </View>
  );
}
