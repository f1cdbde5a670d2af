import type { Request, Response } from 'express';
import express, { Router } from 'express';

import type { BenchReading, BenchSettings } from './instruments';
import { Instruments } from './instruments';

const BENCHES = 2;
/** Listeners on one bench at most; further ones are told to come back. */
const MAX_LISTENERS = 50;
const HEARTBEAT_MS = 10_000;
const RETRY_MS = 1500;
const LONGEST_LOSS_S = 120;

/** One bench: its instruments, who listens to them, and until when its link is lost. */
class Bench {
  readonly instruments: Instruments;
  private readonly listeners = new Set<Response>();
  private lostUntil = 0;

  constructor(readonly number: number) {
    this.instruments = new Instruments(number);
  }

  get lost(): boolean {
    return Date.now() < this.lostUntil;
  }

  get full(): boolean {
    return this.listeners.size >= MAX_LISTENERS;
  }

  listen(response: Response): void {
    this.listeners.add(response);
    const beat = setInterval(() => response.write(': beat\n\n'), HEARTBEAT_MS);
    response.on('close', () => {
      clearInterval(beat);
      this.listeners.delete(response);
    });
    response.write(
      `retry: ${RETRY_MS}\nevent: hello\ndata: ${JSON.stringify({ bench: this.number, unit: this.instruments.unit })}\n\n`,
    );
  }

  send(reading: BenchReading): number {
    const text = `event: reading\ndata: ${JSON.stringify(reading)}\n\n`;
    for (const listener of this.listeners) listener.write(text);
    return this.listeners.size;
  }

  /** The link goes, for everyone, and stays gone for a while. */
  lose(seconds: number): void {
    this.lostUntil = Date.now() + seconds * 1000;
    this.close();
  }

  close(): void {
    for (const listener of this.listeners) listener.end();
  }
}

/**
 * The simulated instruments: an event stream that the application listens to, and a page with the buttons of the
 * gauge and the tester. Nothing is stored.
 * @param pagesDir folder of that page
 */
export function benchRoutes(pagesDir: string): Router {
  const router = Router();
  const benches = Array.from({ length: BENCHES }, (_, i) => new Bench(i + 1));
  const benchOf = (request: Request, response: Response): Bench | undefined => {
    const bench = benches.find((b) => String(b.number) === request.params.bench);
    if (!bench) response.status(404).json({ error: `benches are 1 to ${BENCHES}` });
    return bench;
  };

  router.get('/api/bench/:bench/stream', (request, response) => {
    const bench = benchOf(request, response);
    if (!bench) return;
    if (bench.lost || bench.full) {
      response
        .status(503)
        .json({ error: bench.lost ? 'no link to the gauge' : 'too many listeners' });
      return;
    }
    response.set({
      'Content-Type': 'text/event-stream',
      'Cache-Control': 'no-store, no-transform',
      'X-Accel-Buffering': 'no',
    });
    response.flushHeaders();
    bench.listen(response);
  });

  const body = express.json({ limit: '2kb' });
  router.get('/api/bench/:bench', (request, response) => {
    const bench = benchOf(request, response);
    if (bench) response.set('Cache-Control', 'no-store').json(stateOf(bench));
  });
  router.post('/api/bench/:bench/press', body, (request, response) => {
    const bench = benchOf(request, response);
    if (!bench) return;
    const settings = settingsFrom(request.body, bench.instruments.settings);
    if (!settings) {
      response
        .status(400)
        .json({ error: 'thickness, springRate and springFree are numbers above 0' });
      return;
    }
    bench.instruments.settings = settings;
    const length = numberIn(request.body, 'length');
    const reading =
      length === undefined ? bench.instruments.measure() : bench.instruments.pull(length);
    // A press while the link is lost goes nowhere, as on the real thing.
    const heard = bench.lost ? 0 : bench.send(reading);
    response.json({ ...stateOf(bench), reading, heard });
  });
  router.post('/api/bench/:bench/unit', body, (request, response) => {
    const bench = benchOf(request, response);
    if (!bench) return;
    bench.instruments.switchUnit();
    response.json(stateOf(bench));
  });
  router.post('/api/bench/:bench/lose', body, (request, response) => {
    const bench = benchOf(request, response);
    if (!bench) return;
    const seconds = numberIn(request.body, 'seconds') ?? 5;
    bench.lose(Math.min(LONGEST_LOSS_S, seconds));
    response.json(stateOf(bench));
  });

  router.use('/bench', express.static(pagesDir, { index: 'index.html', redirect: true }));
  return router;
}

function stateOf({ instruments, number, lost }: Bench) {
  return { bench: number, unit: instruments.unit, lost, settings: instruments.settings };
}

function numberIn(body: unknown, key: string): number | undefined {
  if (typeof body !== 'object' || body === null || !Object.hasOwn(body, key)) return undefined;
  const value = (body as Readonly<Record<string, unknown>>)[key];
  return typeof value === 'number' && Number.isFinite(value) && value > 0 ? value : undefined;
}

/** Settings with what a request changes; nothing when a number in it is none. */
function settingsFrom(body: unknown, now: BenchSettings): BenchSettings | undefined {
  if (typeof body !== 'object' || body === null) return now;
  const given = body as Readonly<Record<string, unknown>>;
  const next = { ...now };
  for (const key of ['thickness', 'springRate', 'springFree'] as const) {
    if (given[key] === undefined) continue;
    const value = numberIn(body, key);
    if (value === undefined || value > 1000) return undefined;
    next[key] = value;
  }
  if (typeof given.unruly === 'boolean') next.unruly = given.unruly;
  return next;
}
