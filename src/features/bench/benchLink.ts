import { useEffect, useEffectEvent } from 'react';

import type { DynoReading } from '@/core/torque/dynoPulls';
import type { BenchReading, LinkState } from '@/state/benchSlice';
import { benchRead, linkChanged } from '@/state/benchSlice';
import type { AppStore, RootState } from '@/state/store';
import { addAppListener, useAppDispatch, useAppSelector } from '@/state/store';

/*
 * The link to the instruments of a bench: one event stream, shared by the whole screen. It is opened on request and reconnects
 * after a loss.
 */

/** Retry delay for a refused link; the stream's own retry covers a broken one. */
const RETRY_MS = 1500;

let source: EventSource | undefined;
let retry: ReturnType<typeof setTimeout> | undefined;

type Thunk = (dispatch: AppStore['dispatch'], getState: () => RootState) => void;

const open: Thunk = (dispatch, getState) => {
  clearTimeout(retry);
  source?.close();
  const stream = new EventSource(`/api/bench/${getState().bench.bench}/stream`);
  source = stream;
  stream.addEventListener('hello', (event) => {
    const reported = parse(event);
    const unit = typeof reported?.['unit'] === 'string' ? { unit: reported['unit'] } : {};
    dispatch(linkChanged({ status: 'connected', ...unit }));
  });
  stream.addEventListener('reading', (event) => {
    const reading = readingFrom(parse(event));
    if (!reading) return;
    if (reading.device === 'gauge') dispatch(linkChanged({ unit: reading.unit }));
    dispatch(benchRead(reading));
  });
  stream.onerror = () => {
    if (source !== stream) return;
    dispatch(linkChanged({ status: 'lost' }));
    // The browser closes a refused stream permanently; a broken one it reopens.
    if (stream.readyState === EventSource.CLOSED)
      retry = setTimeout(() => open(dispatch, getState), RETRY_MS);
  };
};

export const connectBench =
  (bench: number): Thunk =>
  (dispatch, getState) => {
    dispatch(linkChanged({ status: 'connecting', bench, unit: undefined }));
    open(dispatch, getState);
  };

export const disconnectBench: Thunk = (dispatch) => {
  clearTimeout(retry);
  source?.close();
  source = undefined;
  dispatch(linkChanged({ status: 'off', unit: undefined }));
};

/** How the link is. */
export const useBenchLink = (): LinkState => useAppSelector((state) => state.bench);

/** Takes every reading that comes while the caller is on screen. */
export function useBenchReadings(take: (reading: BenchReading) => void): void {
  const dispatch = useAppDispatch();
  const latest = useEffectEvent(take);
  useEffect(
    () =>
      dispatch(
        addAppListener({ actionCreator: benchRead, effect: ({ payload }) => latest(payload) }),
      ),
    [dispatch],
  );
}

function parse(event: Event): Readonly<Record<string, unknown>> | undefined {
  try {
    const data: unknown = JSON.parse((event as MessageEvent<string>).data);
    return typeof data === 'object' && data !== null
      ? (data as Readonly<Record<string, unknown>>)
      : undefined;
  } catch {
    return undefined;
  }
}

/** Gauge data is validated before use. */
function readingFrom(
  data: Readonly<Record<string, unknown>> | undefined,
): BenchReading | undefined {
  const { device, id, text, unit, length, force } = data ?? {};
  if (typeof id !== 'number') return undefined;
  const short = (v: unknown): v is string => typeof v === 'string' && v.length <= 24;
  if (device === 'gauge' && short(text) && (unit === 'mm' || unit === 'in'))
    return { device, id, text, unit };
  if (device === 'tester' && short(length) && short(force)) return { device, id, length, force };
  return device === 'dyno' ? dynoFrom(id, data ?? {}) : undefined;
}

const MAX_SAMPLES = 2000;

function dynoFrom(
  id: number,
  { pull, part, unit, samples, last }: Readonly<Record<string, unknown>>,
): DynoReading | undefined {
  if (typeof pull !== 'number' || typeof part !== 'number' || typeof last !== 'boolean')
    return undefined;
  if (unit !== 'N·m' && unit !== 'ft·lb') return undefined;
  if (!Array.isArray(samples) || samples.length > MAX_SAMPLES) return undefined;
  const read = samples.map((s: unknown) => (Array.isArray(s) ? s.map(Number) : []));
  if (!read.every((s): s is [number, number] => s.length === 2 && s.every(Number.isFinite)))
    return undefined;
  return { device: 'dyno', id, pull, part, unit, samples: read, last };
}
