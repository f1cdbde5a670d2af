import { crag } from '@/testing/jobs';
import { MessageChannel } from 'node:worker_threads';

import { expose, wrap } from 'comlink';
import nodeEndpoint from 'comlink/dist/umd/node-adapter';

import { blankCoilGroup } from '@/core/job/blank';
import { entry } from '@/core/job/entry';
import { withEntry } from '@/core/job/paths';

import type { HeavyRuns } from '../api';
import { heavyRuns } from '../api';

/** The runs as a page meets them: through messages, as copies. */
function throughMessages() {
  const { port1, port2 } = new MessageChannel();
  expose(heavyRuns, nodeEndpoint(port1));
  return {
    runs: wrap<HeavyRuns>(nodeEndpoint(port2)),
    close: () => {
      port1.close();
      port2.close();
    },
  };
}

const job = crag();

describe('heavy runs through messages', () => {
  const { runs, close } = throughMessages();
  afterAll(close);

  it('tell how far they have come, and give the same as in Node', async () => {
    const shares: number[] = [];
    const direct = heavyRuns.tolerance(job, 60_000, 7, (share) => shares.push(share));
    expect(shares.length).toBeGreaterThan(1);
    expect(shares.at(-1)).toBe(1);
    expect([...shares].sort((a, b) => a - b)).toEqual(shares);
    expect(await runs.tolerance(job, 60_000, 7)).toEqual(direct);
  });

  it('name missing inputs instead of failing', async () => {
    const open = withEntry(job, 'pack.windowMax', undefined);
    expect(await runs.tolerance(open, 1000, 1)).toEqual({
      ok: false,
      path: 'pack.windowMin',
      accepted: 'stack limits, both of them',
    });
  });

  it('choose from a shelf with other springs along', async () => {
    const springs = [
      {
        ...blankCoilGroup('stiff', 'Stiff'),
        rate: entry(30),
        freeLength: entry(42),
        solidLength: entry(20),
      },
    ];
    const plates = Array.from({ length: 30 }, (_, i) => ({
      id: `s${i}`,
      thickness: 1.48 + (i % 5) / 100,
      count: 1,
      isNew: false,
    }));
    const outcome = await runs.shelf(job, { plates, springs, best: 40 });
    if (!outcome.ok) throw new Error(outcome.accepted);
    expect(new Set(outcome.result.sets.map((s) => s.option))).toEqual(
      new Set(['present', 'springs:stiff']),
    );
    const light = heavyRuns.shelf(job, { plates, springs, maxPull: 1 }, () => undefined);
    if (!light.ok) throw new Error(light.accepted);
    expect(light.result.sets).toEqual([]);
    expect(light.result.misses.map((m) => m.condition)).toContain('pull');
  });

  it('follow an engagement given as data to the closed form', async () => {
    const outcome = await runs.engagement({
      engineInertia: 0.06,
      vehicleInertia: 0.25,
      engineSpeed: 300,
      vehicleSpeed: 60,
      engine: [
        { speed: 0, torque: 90 },
        { speed: 400, torque: 90 },
      ],
      load: 20,
      clutch: 140,
      letOut: 0,
    });
    expect(outcome).toMatchObject({
      ok: true,
      result: {
        outcome: 'locked',
        time: expect.closeTo(0.182741, 5),
        energy: expect.closeTo(3070.05, 1),
      },
    });
    expect(
      heavyRuns.engagement({
        engineInertia: 0.06,
        vehicleInertia: 0.25,
        engineSpeed: 300,
        vehicleSpeed: 60,
        engine: [{ speed: 0, torque: 90 }],
        load: 20,
        clutch: 140,
        letOut: 0,
      }),
    ).toMatchObject({ ok: false, path: 'engine' });
  });
});
