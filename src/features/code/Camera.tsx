import { createElement, useEffect, useEffectEvent, useRef, useState } from 'react';
import { View } from 'react-native';

import { reportFault } from '@/storage/faults';
import { Action } from '@/ui/Action';
import { Words } from '@/ui/Words';
import { flow } from '@/ui/flow';

interface Props {
  /** Handles the bytes of a detected code; false continues the search. */
  readonly onCode: (bytes: Uint8Array) => Promise<boolean>;
  readonly onClose: () => void;
}

/** Interval between examined frames: short enough for a hand that holds the phone still for a moment. */
const EVERY_MS = 200;
const SIDE = 720;

const REASON: Readonly<Record<string, string>> = {
  NotAllowedError: 'Camera access is blocked. Allow it in the browser, or choose a picture.',
  NotFoundError: 'This device has no camera. Choose a picture of the code.',
  NotReadableError: 'Another program is using the camera.',
};

/** The camera's picture, looked through for a code. */
export function Camera({ onCode, onClose }: Props) {
  const video = useRef<HTMLVideoElement>(null);
  const [failed, setFailed] = useState<string>();
  const latest = useEffectEvent(onCode);
  useEffect(() => {
    let over = false;
    let stream: MediaStream | undefined;
    let timer: ReturnType<typeof setTimeout> | undefined;
    const look = async () => {
      const node = video.current;
      const points = node && frameOf(node);
      const { findQr } = await import('@/files/codeFiles');
      const bytes = points && findQr(points);
      const done = bytes ? await latest(bytes) : false;
      if (!over && !done) timer = setTimeout(() => void look(), EVERY_MS);
    };
    const open = async () => {
      // Some browsers have no such thing on an address that is not safe.
      const devices = navigator.mediaDevices as MediaDevices | undefined;
      if (!devices) throw new DOMException('no camera', 'NotFoundError');
      stream = await devices.getUserMedia({ video: { facingMode: 'environment' } });
      const node = video.current;
      if (over || !node) return stream.getTracks().forEach((track) => track.stop());
      node.srcObject = stream;
      await node.play();
      void look();
    };
    open().catch((error: unknown) => {
      const name = error instanceof DOMException ? error.name : '';
      if (!over)
        setFailed(
          REASON[name] ??
            `${reportFault('The camera can’t be opened', error)} Choose a picture instead.`,
        );
    });
    return () => {
      over = true;
      clearTimeout(timer);
      stream?.getTracks().forEach((track) => track.stop());
    };
  }, []);
  return (
    <View style={flow.sections}>
      {failed ? (
        <Words>{failed}</Words>
      ) : (
        <>
          <Words>Hold the code so that it fills the frame.</Words>
          {createElement('video', {
            ref: video,
            muted: true,
            playsInline: true,
            'aria-label': 'Camera image',
            style: { width: '100%', maxHeight: 420, borderRadius: 6, background: '#000' },
          })}
        </>
      )}
      <Action icon="close" onPress={onClose}>
        Close camera
      </Action>
    </View>
  );
}

/** The present camera frame, or undefined before the first. */
function frameOf(video: HTMLVideoElement): ImageData | undefined {
  const { videoWidth, videoHeight } = video;
  if (videoWidth === 0) return undefined;
  const scale = Math.min(1, SIDE / Math.max(videoWidth, videoHeight));
  const canvas = document.createElement('canvas');
  canvas.width = Math.round(videoWidth * scale);
  canvas.height = Math.round(videoHeight * scale);
  const context = canvas.getContext('2d');
  context?.drawImage(video, 0, 0, canvas.width, canvas.height);
  return context?.getImageData(0, 0, canvas.width, canvas.height);
}
