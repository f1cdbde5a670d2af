import { useState } from 'react';
import { View } from 'react-native';

import type { Source, TorqueCurve } from '@/core/job/types';
import { isFrozen } from '@/core/job/signOff';
import { withCurve } from '@/core/torque/engineCurve';
import { useDynoPulls } from '@/features/bench/useDynoPulls';
import { useEditJob } from '@/state/jobs/editJob';
import { useJob } from '@/state/jobs/useJob';
import { MAX_CSV_BYTES, readTorqueCsv, writeTorqueCsv } from '@/files/csvFiles';
import { FileRefused } from '@/files/refused';
import { download, pickFile } from '@/files/share';
import type { TorqueFile } from '@/files/torqueCsv';
import { reportFault } from '@/storage/faults';
import { Action } from '@/ui/Action';
import { isoDay } from '@/ui/dates';
import { useStrata } from '@/ui/theme';
import { Words } from '@/ui/Words';

import { curveFromPulls } from './curveFromPulls';
import { CurvePreview } from './CurvePreview';
import { DynoPulls } from './DynoPulls';
import { TorqueChart } from './TorqueChart';
import { flow } from '@/ui/flow';

const ROW = { flexDirection: 'row', flexWrap: 'wrap', gap: 8 } as const;

/** Torque over engine speed: taken from a file or from pulls on a dyno, looked over before it is used. */
export function CurveFields() {
  const { id: jobId, engine, intake, signOff } = useJob();
  const change = useEditJob();
  const strata = useStrata();
  const [fromFile, setFromFile] = useState<TorqueFile>();
  const [refused, setRefused] = useState<string>();
  const [listening, setListening] = useState(false);
  const [pulls, setPulls] = useDynoPulls(jobId, listening);
  const fromDyno = curveFromPulls(pulls);

  const pick = async () => {
    const file = await pickFile('.csv,.txt,text/csv,text/plain');
    if (!file) return;
    setRefused(undefined);
    setFromFile(undefined);
    try {
      if (file.size > MAX_CSV_BYTES)
        throw new FileRefused('Too large for a torque curve: at most 2 MB.');
      setFromFile(readTorqueCsv(await file.text(), file.name));
    } catch (error) {
      setRefused(
        error instanceof FileRefused
          ? `${file.name}: ${error.message}`
          : reportFault(`${file.name} was not read`, error),
      );
    }
  };
  const leave = () => {
    if (fromFile) setFromFile(undefined);
    else setPulls([]);
  };
  const take = (curve: TorqueCurve, withPeak: boolean) => {
    const source: Source = fromFile
      ? { kind: 'entered', note: curve.name }
      : { kind: 'tested', date: isoDay(), note: curve.name };
    change((j) => withCurve(j, curve, withPeak ? source : undefined));
    // A signed record refuses it: pulls and files stay until the record is reopened.
    if (isFrozen({ signOff })) return;
    if (!fromFile) setListening(false);
    leave();
  };
  const removed = () =>
    change((j) => {
      const { curve: _curve, ...rest } = j.engine;
      return { ...j, engine: rest };
    });

  const offered = fromFile ?? fromDyno;
  return (
    <View style={flow.stack}>
      <View style={ROW}>
        <Action icon="import" onPress={() => void pick()}>
          {engine.curve ? 'Another torque curve' : 'Import torque curve'}
        </Action>
        <Action icon="access-point" onPress={() => setListening(!listening)}>
          {listening ? 'Disconnect the dyno' : 'Read torque curve from the dyno'}
        </Action>
      </View>
      {refused ? (
        <View aria-live="polite">
          <Words style={{ color: strata.stop }}>{refused}</Words>
        </View>
      ) : null}
      {listening || pulls.length > 0 ? (
        <DynoPulls pulls={pulls} listening={listening} onPulls={setPulls} />
      ) : null}
      {offered ? (
        <CurvePreview
          // Another pull changes the curve, and not where it was measured.
          key={fromFile?.curve.name ?? 'dyno'}
          file={offered}
          slips={!fromFile && intake.complaints.includes('slips')}
          onTake={take}
          onLeave={leave}
        />
      ) : engine.curve ? (
        <TakenCurve curve={engine.curve} onRemove={removed} />
      ) : null}
    </View>
  );
}

interface TakenProps {
  readonly curve: TorqueCurve;
  readonly onRemove: () => void;
}

/** The curve that the figures go by. */
function TakenCurve({ curve, onRemove }: TakenProps) {
  return (
    <>
      <TorqueChart curve={curve} from={curve.name || 'a file'} />
      <View style={ROW}>
        <Action
          icon="download"
          onPress={() => void download('torque-curve.csv', writeTorqueCsv(curve), 'text/csv')}
        >
          Curve as CSV
        </Action>
        <Action icon="delete-outline" onPress={onRemove}>
          Remove curve
        </Action>
      </View>
    </>
  );
}
