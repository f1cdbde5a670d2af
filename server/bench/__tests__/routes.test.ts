import type { ClientRequest, Server } from 'node:http';
import { get } from 'node:http';
import type { AddressInfo } from 'node:net';
import path from 'node:path';

import type { Response } from 'express';
import express from 'express';

import { InstrumentBench, Benches } from '../benches';
import type { SimulatedPull } from '../dyno';
import { Instruments } from '../instruments';
import { benchRoutes } from '../routes';

const benches = new Benches();
let server: Server;
let base = '';

beforeAll(async () => {
  server = express()
    .use(benchRoutes(benches, path.join(__dirname, '../public')))
    .listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});
afterAll(async () => {
  server.closeAllConnections();
  await new Promise((resolve) => server.close(resolve));
});

const post = (path: string, body: unknown = {}) =>
  fetch(base + path, {
    method: 'POST',
    headers: { 'Content-Type': 'application/json' },
    body: JSON.stringify(body),
  });

/** Listens until `wanted` events have come; resolves with their data, or with the status that refused it. */
function listen(bench: number, wanted: number, onOpen: () => void = () => undefined) {
  return new Promise<{ status: number; events: string[]; ended: boolean }>((resolve, reject) => {
    const request = get(`${base}/api/bench/${bench}/stream`, (response) => {
      const events: string[] = [];
      const status = response.statusCode ?? 0;
      const end = (ended: boolean) => {
        resolve({ status, events, ended });
        request.destroy();
      };
      response.setEncoding('utf8');
      response.on('data', (chunk: string) => {
        const first = events.length === 0;
        events.push(...[...chunk.matchAll(/^data: (.*)$/gm)].map((m) => m[1] ?? ''));
        if (first && status === 200) onOpen();
        if (events.length >= wanted) end(false);
      });
      response.on('end', () => end(true));
    });
    request.on('error', (error) => {
      if (!request.destroyed) reject(error);
    });
  });
}

describe('the simulated bench', () => {
  it('sends gauge readings to every listener of that bench', async () => {
    const { events } = await listen(
      1,
      2,
      () => void post('/api/bench/1/press', { thickness: 2.9 }),
    );
    expect(JSON.parse(events[0] ?? '')).toEqual({ bench: 1, unit: 'mm' });
    const reading = JSON.parse(events[1] ?? '') as { text: string; unit: string; device: string };
    expect(reading).toMatchObject({ device: 'gauge', unit: 'mm' });
    expect(Number(reading.text)).toBeCloseTo(2.9, 1);
  });

  it('says how many heard a press, and sends spring readings as length and force', async () => {
    const reported = (await (
      await post('/api/bench/2/press', { length: 32, springRate: 20, springFree: 40 })
    ).json()) as {
      heard: number;
      reading: { force: string };
    };
    expect(reported.heard).toBe(0);
    expect(Number(reported.reading.force)).toBeGreaterThan(150);
    expect(Number(reported.reading.force)).toBeLessThan(170);
  });

  it('loses its link and refuses until it is back', async () => {
    const lost = await listen(2, 9, () => void post('/api/bench/2/lose', { seconds: 0.3 }));
    expect(lost.ended).toBe(true);
    expect((await listen(2, 9)).status).toBe(503);
    await new Promise((resolve) => setTimeout(resolve, 350));
    expect((await listen(2, 1)).status).toBe(200);
  });

  it('sends a pull on the dyno while it lasts, part by part, and one at a time', async () => {
    const engine = { peakTorque: 50, peakRpm: 5000, from: 2000, to: 7000, seconds: 0.5 };
    let second = 0;
    const { events } = await listen(1, 6, () => {
      void post('/api/bench/1/dyno', engine)
        .then(() => post('/api/bench/1/dyno', engine))
        .then(({ status }) => (second = status));
    });
    const parts = events.slice(1).map((e) => JSON.parse(e) as SimulatedPull);
    expect(parts.map((p) => [p.device, p.part, p.last])).toEqual(
      [0, 1, 2, 3, 4].map((n) => ['dyno', n, n === 4]),
    );
    expect(new Set(parts.map((p) => p.pull)).size).toBe(1);
    const torques = parts.flatMap((p) => p.samples).map(([, torque]) => Number(torque));
    expect(Math.max(...torques)).toBeGreaterThan(49);
    expect(Math.max(...torques)).toBeLessThan(52);
    // It runs down with the throttle shut.
    expect(torques.at(-1)).toBeLessThan(0);
    expect(second).toBe(409);
  });

  it('refuses an engine that is none', async () => {
    for (const wrong of [{ peakTorque: -1 }, { from: 8000, to: 3000 }, { seconds: 1e9 }])
      expect((await post('/api/bench/2/dyno', wrong)).status).toBe(400);
  });

  it('refuses what is no bench and no number', async () => {
    expect((await post('/api/bench/7/press')).status).toBe(404);
    expect((await post('/api/bench/1/press', { thickness: 'thick' })).status).toBe(400);
    expect((await post('/api/bench/1/press', { thickness: -1 })).status).toBe(400);
  });

  it('gives the page with its buttons', async () => {
    const page = await fetch(`${base}/bench/`);
    expect(page.status).toBe(200);
    expect(await page.text()).toContain('Send reading');
  });
});

describe('the listeners of a bench', () => {
  /** A listener whose link takes nothing any more. */
  const dead = () => {
    const waiting = { bytes: 0, destroyed: false };
    const response = {
      on: () => response,
      get writableLength() {
        return waiting.bytes;
      },
      write: (text: string) => {
        waiting.bytes += text.length;
        return false;
      },
      destroy: () => {
        waiting.destroyed = true;
      },
      end: () => undefined,
    };
    return { response: response as unknown as Response, waiting };
  };

  it('are let go when they take nothing any more, before they fill the memory', () => {
    const bench = new InstrumentBench(1);
    const { response, waiting } = dead();
    bench.listen(response);
    for (let i = 0; i < 5000; i++) bench.send(bench.instruments.measure());
    expect(waiting.destroyed).toBe(true);
    expect(waiting.bytes).toBeLessThanOrEqual(65_536);
    expect(bench.listeners).toBe(0);
  });

  it('are so many at most, and gone from the list when their link is', async () => {
    const bench = benches.get('1');
    const open: ClientRequest[] = [];
    const statuses = await Promise.all(
      Array.from(
        { length: 260 },
        () =>
          new Promise<number>((resolve) => {
            const request = get(`${base}/api/bench/1/stream`, { agent: false }, (response) => {
              response.on('error', () => undefined);
              resolve(response.statusCode ?? 0);
            });
            request.on('error', () => undefined);
            open.push(request);
          }),
      ),
    );
    expect(statuses.filter((s) => s === 200)).toHaveLength(250);
    expect(statuses.filter((s) => s === 503)).toHaveLength(10);
    open.forEach((request) => request.destroy());
    while (bench && bench.listeners > 0) await new Promise((resolve) => setTimeout(resolve, 10));
    expect((await listen(1, 1)).status).toBe(200);
  });
});

describe('the gauge', () => {
  it('scatters as a hand does, the same for the same seed', () => {
    const read = (seed: number) => {
      const bench = new Instruments(seed);
      return Array.from({ length: 400 }, () => Number(bench.measure().text));
    };
    const values = read(3);
    expect(read(3)).toEqual(values);
    const mean = values.reduce((a, b) => a + b, 0) / values.length;
    const sigma = Math.sqrt(values.reduce((s, v) => s + (v - mean) ** 2, 0) / values.length);
    expect(mean).toBeCloseTo(2.86, 2);
    expect(sigma).toBeGreaterThan(0.002);
    expect(sigma).toBeLessThan(0.004);
  });

  it('has its unit switched by mistake when it is unruly, and says the unit with each reading', () => {
    const bench = new Instruments(1);
    bench.settings = { ...bench.settings, unruly: true };
    const readings = Array.from({ length: 200 }, () => bench.measure());
    const units = new Set(readings.map((r) => r.unit));
    expect(units).toEqual(new Set(['mm', 'in']));
    for (const r of readings)
      expect(Number(r.text) * (r.unit === 'in' ? 25.4 : 1)).toBeCloseTo(2.86, 1);
  });
});

describe('the spring tester', () => {
  it('presses a diaphragm over its peak to where the force falls again', () => {
    const bench = new Instruments(4);
    bench.settings = { ...bench.settings, onTester: 'diaphragm' };
    const force = (length: number) => Number(bench.pull(length).force);
    expect(force(5.2)).toBe(0);
    // The published case: peak at 2.0987 mm, 4590.5 N; dip at 4.7013 mm, 3060.2 N.
    expect(Math.abs(force(5.2 - 2.0987) - 4590.5)).toBeLessThan(5);
    expect(Math.abs(force(5.2 - 4.7013) - 3060.2)).toBeLessThan(5);
  });
});

describe('the dyno', () => {
  it('pulls nearly the same curve each time, in a unit that it says', () => {
    const bench = new Instruments(5);
    bench.settings = { ...bench.settings, unruly: true };
    const peaks = Array.from({ length: 30 }, () => {
      const parts = bench.pullEngine(10);
      const torques = parts.flatMap((p) => p.samples).map(([, torque]) => Number(torque));
      return { unit: parts[0]?.unit, peak: Math.max(...torques) };
    });
    expect(new Set(peaks.map((p) => p.unit))).toEqual(new Set(['N·m', 'ft·lb']));
    for (const { unit, peak } of peaks) {
      const nm = unit === 'N·m' ? peak : peak * 1.3558179483314;
      expect(nm).toBeGreaterThan(40);
      expect(nm).toBeLessThan(43);
    }
  });
});
