import { useEffect, useRef } from 'react';

import { inspectPlate } from '@/core/inspect/inspect';
import type { RunStep } from '@/core/inspect/runStep';
import type { Job } from '@/core/job/types';

/* Eyes on the part: the browser's own voice says what comes next and reads back what was taken. */

/** Whether the browser has a voice; it works without a network where the device has one. */
export const canSpeak = (): boolean => 'speechSynthesis' in globalThis;

function speak(text: string): void {
  // Words still in the queue are out of date.
  speechSynthesis.cancel();
  const words = new SpeechSynthesisUtterance(text);
  words.lang = 'en';
  speechSynthesis.speak(words);
}

const SIGNAL = {
  watch: { hertz: 660, pattern: [80] },
  stop: { hertz: 330, pattern: [200, 80, 200] },
} as const;
const TONE_S = 0.18;

/** A short vibration, and a tone where nothing vibrates. */
function signal(kind: keyof typeof SIGNAL): void {
  const { hertz, pattern } = SIGNAL[kind];
  if ('vibrate' in navigator && navigator.vibrate([...pattern])) return;
  const audio = new AudioContext();
  const tone = audio.createOscillator();
  tone.frequency.value = hertz;
  tone.connect(audio.destination);
  tone.onended = () => void audio.close();
  tone.start();
  tone.stop(audio.currentTime + TONE_S);
}

/** A reading as it was taken. */
export interface Taken {
  readonly text: string;
  readonly plateId?: string | undefined;
}

/** Says the part that comes next, the last value before it, and signals a plate that is not to stay as it is. */
export function useVoice(
  on: boolean,
  step: RunStep | undefined,
  taken: Taken | undefined,
  job: Job,
): void {
  const spoken = useRef<Taken>(undefined);
  const here = step && `${step.title}, ${step.what}`;
  const latest = useRef(job);
  useEffect(() => {
    latest.current = job;
  });
  useEffect(() => {
    if (!on || !canSpeak()) return;
    const fresh = taken === spoken.current ? undefined : taken;
    spoken.current = taken;
    speak([fresh?.text, here ?? 'Finished'].filter(Boolean).join('. '));
    const decision = fresh?.plateId && inspectPlate(latest.current, fresh.plateId)?.decision;
    if (decision === 'change' || decision === 'scrap') signal('stop');
    else if (decision === 'watch' || decision === 'grind') signal('watch');
  }, [on, here, taken]);
  useEffect(() => () => (canSpeak() ? speechSynthesis.cancel() : undefined), []);
}
