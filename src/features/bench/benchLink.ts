import { useEffect, useEffectEvent, useSyncExternalStore } from 'react';

import type { DynoReading } from '@/core/torque/dynoPulls';

/*
 * The link to the instruments of a bench: one event stream, shared by whatever is on screen. It is opened on the
 * builder's word, says how it stands, and comes back by itself when it was lost.
 */

export type LinkStatus = 'off' | 'connecting' | 'connected' | 'lost';

export interface LinkState {
  readonly status: LinkStatus;
  readonly bench: number;
  /** Unit that the gauge last showed. */
  readonly unit?: string | undefined;
}

export interface GaugeReading {
  readonly device: 'gauge';
  readonly id: number;
  readonly text: string;
  readonly unit: string;
}

export interface TesterReading {
  readonly device: 'tester';
  readonly id: number;
  readonly length: string;
  readonly force: string;
}

export type BenchReading = GaugeReading | TesterReading | DynoReading;

/** How soon a lost link is tried again; the stream's own retry covers a link that breaks while it stands. */
const RETRY_MS = 1500;

let state: LinkState = { status: 'off', bench: 1 };
let source: EventSource | undefined;
let retry: ReturnType<typeof setTimeout> | undefined;
const watchers = new Set<() => void>();
const takers = new Set<(reading: BenchReading) => void>();

function become(next: Partial<LinkState>): void {
  state = { ...state, ...next };
  watchers.forEach((w) => w());
}

function open(): void {
  clearTimeout(retry);
  source?.close();
  const stream = new EventSource(`/api/bench/${state.bench}/stream`);
  source = stream;
  stream.addEventListener('hello', (event) => {
    const told = parse(event);
    become({ status: 'connected', ...(typeof told?.unit === 'string' ? { unit: told.unit } : {}) });
  });
  stream.addEventListener('reading', (event) => {
    const reading = readingFrom(parse(event));
    if (!reading) return;
    if (reading.device === 'gauge') become({ unit: reading.unit });
    takers.forEach((take) => take(reading));
  });
  stream.onerror = () => {
    if (source !== stream) return;
    become({ status: 'lost' });
    // A refused stream is closed for good by the browser; a broken one it opens again by itself.
    if (stream.readyState === EventSource.CLOSED) retry = setTimeout(open, RETRY_MS);
  };
}

export const benchLink = {
  connect(bench: number): void {
    become({ status: 'connecting', bench, unit: undefined });
    open();
  },
  disconnect(): void {
    clearTimeout(retry);
    source?.close();
    source = undefined;
    become({ status: 'off', unit: undefined });
  },
};

const watch = (watcher: () => void) => {
  watchers.add(watcher);
  return () => watchers.delete(watcher);
};

/** How the link stands. */
export const useBenchLink = (): LinkState => useSyncExternalStore(watch, () => state);

/** Takes every reading that comes while the caller is on screen. */
export function useBenchReadings(take: (reading: BenchReading) => void): void {
  const latest = useEffectEvent(take);
  useEffect(() => {
    const taker = (reading: BenchReading) => latest(reading);
    takers.add(taker);
    return () => {
      takers.delete(taker);
    };
  }, []);
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

/** What a gauge sends is not trusted to be whole. */
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
