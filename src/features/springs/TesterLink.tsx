import type { ReactNode } from 'react';
import { useState } from 'react';

import { BenchBar } from '@/features/bench/BenchBar';
import type { TesterReading } from '@/state/benchSlice';
import { useBenchLink, useBenchReadings } from '@/features/bench/benchLink';
import { Action } from '@/ui/Action';

interface Props {
  readonly onReading: (reading: TesterReading) => void;
  /** Hint shown while connected. */
  readonly children?: ReactNode;
}

/** Points from the spring tester. Only the connected spring receives them. */
export function TesterLink({ onReading, children }: Props) {
  const { status } = useBenchLink();
  const [listening, setListening] = useState(false);
  useBenchReadings((reading) => {
    if (reading.device === 'tester' && listening) onReading(reading);
  });
  return (
    <>
      {listening ? <BenchBar of="tester" compact={status !== 'off'} /> : null}
      <Action icon="access-point" onPress={() => setListening(!listening)}>
        {listening ? 'Disconnect the spring tester' : 'Read points from the spring tester'}
      </Action>
      {listening ? children : null}
    </>
  );
}
