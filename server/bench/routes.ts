import type { Request, Response } from 'express';
import express, { Router } from 'express';

import type { InstrumentBench, Benches } from './benches';
import type { BenchSettings } from './instruments';

const LONGEST_LOSS_S = 120;

/**
 * The simulated instruments: an event stream that the application listens to, and a page with the buttons of the
 * gauge, the tester and the dyno. Nothing is stored.
 * @param pagesDir folder of that page
 */
export function benchRoutes(benches: Benches, pagesDir: string): Router {
  const router = Router();
  const benchOf = (request: Request, response: Response): InstrumentBench | undefined => {
    const { bench: number } = request.params;
    const bench = benches.get(typeof number === 'string' ? number : undefined);
    if (!bench) response.status(404).json({ error: `benches are 1 to ${benches.count}` });
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
    // A press while disconnected is lost, as on a real gauge.
    const heard = bench.lost ? 0 : bench.send(reading);
    response.json({ ...stateOf(bench), reading, heard });
  });
  router.post('/api/bench/:bench/dyno', body, (request, response) => {
    const bench = benchOf(request, response);
    if (!bench) return;
    if (bench.busy) {
      response.status(409).json({ error: 'a pull is under way' });
      return;
    }
    const settings = settingsFrom(request.body, bench.instruments.settings);
    if (!settings) {
      response.status(400).json({
        error:
          'peakTorque, peakRpm, from, to and seconds are numbers above 0, and from is below to',
      });
      return;
    }
    bench.instruments.settings = settings;
    bench.pull();
    response.json({ ...stateOf(bench), heard: bench.lost ? 0 : bench.listeners });
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

function stateOf({ instruments, number, lost }: InstrumentBench) {
  return { bench: number, unit: instruments.unit, lost, settings: instruments.settings };
}

function numberIn(body: unknown, key: string): number | undefined {
  if (typeof body !== 'object' || body === null || !Object.hasOwn(body, key)) return undefined;
  const value = (body as Readonly<Record<string, unknown>>)[key];
  return typeof value === 'number' && Number.isFinite(value) && value > 0 ? value : undefined;
}

/** Settings a request may change, with their maximum. */
const MOST = { thickness: 1000, springRate: 1000, springFree: 1000 } as const;
const ENGINE_MOST = {
  peakTorque: 400,
  peakRpm: 20_000,
  from: 20_000,
  to: 20_000,
  seconds: 30,
} as const;

/** The numbers of a request that have these names; nothing when one of them is none, or too great. */
function numbersIn<K extends string>(
  body: object,
  most: Readonly<Record<K, number>>,
): Partial<Record<K, number>> | undefined {
  const found: Partial<Record<K, number>> = {};
  for (const key of Object.keys(most) as K[]) {
    if (!Object.hasOwn(body, key)) continue;
    const value = numberIn(body, key);
    if (value === undefined || value > most[key]) return undefined;
    found[key] = value;
  }
  return found;
}

/** Settings changed by a request; undefined for an invalid number. */
function settingsFrom(body: unknown, now: BenchSettings): BenchSettings | undefined {
  if (typeof body !== 'object' || body === null) return now;
  const numbers = numbersIn(body, MOST);
  const engine = numbersIn(body, ENGINE_MOST);
  if (!numbers || !engine) return undefined;
  const { unruly, onTester } = body as Readonly<Record<string, unknown>>;
  const next = { ...now, ...numbers, engine: { ...now.engine, ...engine } };
  if (next.engine.from >= next.engine.to) return undefined;
  return {
    ...next,
    ...(typeof unruly === 'boolean' ? { unruly } : {}),
    ...(onTester === 'coil' || onTester === 'diaphragm' ? { onTester } : {}),
  };
}
