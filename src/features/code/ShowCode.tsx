import { useEffect, useState } from 'react';
import { StyleSheet, View } from 'react-native';
import { Path, Rect, Svg } from 'react-native-svg';

import type { Job } from '@/core/job/types';
import type { QrDrawing } from '@/files/qr';
import { canShare, download, share } from '@/files/share';
import { useAppSelector } from '@/state/store';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';
import { SPACE } from '@/ui/theme';

/** As large as a hand's width, so that another phone reads it from where it is held. */
const SIDE = 340;

type Shown =
  | { readonly state: 'drawing' }
  | { readonly state: 'tooMuch' }
  | { readonly state: 'drawn'; readonly code: QrDrawing; readonly bytes: number };

/** The pack of a job as a code that another phone's camera reads. */
export function ShowCode({ jobId }: { readonly jobId: string }) {
  const job = useAppSelector((state) => state.jobs.entities[jobId]);
  if (!job) return <Words>This job is not on this device.</Words>;
  return <Code job={job} />;
}

function Code({ job }: { readonly job: Job }) {
  const [shown, setShown] = useState<Shown>({ state: 'drawing' });
  useEffect(() => {
    let wanted = true;
    const pieces = Promise.all([import('@/files/codeFiles'), import('@/files/jsonFiles')]);
    void pieces.then(([{ drawQr }, { writePackCode }]) => {
      const bytes = writePackCode(job);
      const code = drawQr(bytes);
      if (wanted)
        setShown(code ? { state: 'drawn', code, bytes: bytes.length } : { state: 'tooMuch' });
    });
    return () => {
      wanted = false;
    };
  }, [job]);
  const name = [job.number, job.machine.name].filter(Boolean).join(' ');
  if (shown.state === 'drawing') return <Words soft>Drawing the code …</Words>;
  if (shown.state === 'tooMuch')
    return (
      <Words>This pack is too large for a code. Export the job as a file from its menu.</Words>
    );
  const { code, bytes } = shown;
  const save = async (
    hand: (name: string, content: Uint8Array, type: string) => Promise<void> | void,
  ) => {
    const { qrPng } = await import('@/files/codeFiles');
    await hand(`${job.number || 'pack'} code.png`, await qrPng(code), 'image/png');
  };
  return (
    <View style={styles.stack}>
      <View role="img" aria-label={`Pack code of ${name}`} testID="pack-code">
        <Svg width={SIDE} height={SIDE} viewBox={`0 0 ${code.side} ${code.side}`}>
          <Rect width={code.side} height={code.side} fill="#ffffff" />
          <Path d={code.d} fill="#000000" />
        </Svg>
      </View>
      <View style={styles.codeStack}>
        <Words bold>{name}</Words>
        <Words>To read it on another device: open Backup, then “Scan pack code”.</Words>
        <Words soft size={15}>
          {`The code contains the specified pack: plates, springs, release, limits and the kind and date of their source, ${bytes} bytes. Readings, photographs, notes and the torque curve are not included.`}
        </Words>
        <View style={flow.wrap}>
          <Action icon="download" onPress={() => void save(download)}>
            Save picture
          </Action>
          {canShare() ? (
            <Action icon="export-variant" onPress={() => void save(share)}>
              Share picture
            </Action>
          ) : null}
        </View>
      </View>
    </View>
  );
}

const styles = StyleSheet.create({
  stack: { gap: SPACE.room, alignItems: 'center' },
  codeStack: { gap: SPACE.room, alignSelf: 'stretch' },
});
