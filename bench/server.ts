import { get } from 'node:http';
import path from 'node:path';

import autocannon from 'autocannon';

import { makeServer } from '../server/serve';
import { line, median, ms, watchMachine } from './measure';

/*
 * The server under two hundred clients at once for twenty seconds, and with two hundred listeners on a bench. Clients and
 * server share this machine; the server's memory is read from its own process, which is this one.
 */

const CLIENTS = 200;
const SECONDS = 20;
const LISTENERS = 200;
const PRESSES = 100;

const root = process.env.UNDER_RIDGE_ROOT ?? '.';

async function serve(perMinute: number) {
  const served = makeServer({
    distDir: path.join(root, 'dist'),
    benchDir: path.join(root, 'server/bench/public'),
    workshop: 'demo',
    perMinute,
  });
  served.server.listen(0, '127.0.0.1');
  await new Promise((resolve) => served.server.once('listening', resolve));
  const address = served.server.address();
  const port = typeof address === 'object' && address ? address.port : 0;
  return { ...served, port, base: `http://127.0.0.1:${port}` };
}

const megabytes = () => process.memoryUsage().rss / 1e6;

async function underClients(): Promise<void> {
  const { base, stop } = await serve(1_000_000_000);
  const page = await (await fetch(base)).text();
  const scripts = [...page.matchAll(/src="([^"]+\.js)"/g)].map((m) => m[1] ?? '');
  const before = megabytes();
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, megabytes())), 200);
  const headers = { 'accept-encoding': 'br' };
  const result = await autocannon({
    url: base,
    connections: CLIENTS,
    duration: SECONDS,
    workers: 1,
    // As a visit asks: the page, its scripts, which workshop.
    requests: ['/', ...scripts, '/api/workshop'].map((path) => ({ path, method: 'GET', headers })),
  });
  clearInterval(watch);
  line(`${CLIENTS} clients for ${SECONDS} s: answers`, String(result.requests.total));
  line('  answers a second', result.requests.average.toFixed(0));
  line('  megabytes a second', (result.throughput.average / 1e6).toFixed(0));
  line('  answer time, median', ms(result.latency.p50));
  line('  answer time, 99 of 100', ms(result.latency.p99));
  line('  failed or refused', String(result.errors + result.non2xx));
  line('  memory at most above the start', `${(most - before).toFixed(0)} MB`);
  await stop();
}

async function underLimit(): Promise<void> {
  const { base, stop } = await serve(3000);
  const result = await autocannon({ url: base, connections: CLIENTS, duration: 3, workers: 1 });
  const { '2xx': answered, non2xx } = result;
  line('as shipped, one address without end, 3 s: answered', String(answered));
  line('  told to wait', String(non2xx));
  await stop();
}

async function withListeners(): Promise<void> {
  const { base, port, stop } = await serve(1_000_000_000);
  const heard: number[] = [];
  let pressed = 0;
  let arrived = 0;
  const requests = Array.from({ length: LISTENERS }, () =>
    get(`${base}/api/bench/1/stream`, { agent: false }, (response) => {
      response.setEncoding('utf8');
      response.on('data', (text: string) => {
        if (!text.includes('event: reading')) return;
        arrived++;
        heard.push(performance.now() - pressed);
      });
      response.on('error', () => undefined);
    }).on('error', () => undefined),
  );
  const listeners = async () =>
    ((await (await fetch(`${base}/api/health`)).json()) as { listeners: number }).listeners;
  while ((await listeners()) < LISTENERS) await new Promise((r) => setTimeout(r, 20));
  for (let i = 0; i < PRESSES; i++) {
    pressed = performance.now();
    await fetch(`http://127.0.0.1:${port}/api/bench/1/press`, { method: 'POST' });
    while (arrived < (i + 1) * LISTENERS) await new Promise((r) => setTimeout(r, 1));
  }
  line(`${LISTENERS} listeners, ${PRESSES} presses: readings heard`, String(arrived));
  line('  press to reading, median of all listeners', ms(median(heard)));
  line('  press to reading, the last', ms(Math.max(...heard)));
  requests.forEach((request) => request.destroy());
  while ((await listeners()) > 0) await new Promise((r) => setTimeout(r, 20));
  line('  listeners left once all have gone', String(await listeners()));
  await stop();
}

console.log('\nServer');
const report = watchMachine();
await underClients();
await underLimit();
await withListeners();
report();
