import { spawn } from 'node:child_process';
import { existsSync, readFileSync } from 'node:fs';
import { get } from 'node:http';

import autocannon from 'autocannon';

import { line, median, ms, watchMachine } from './measure';

/*
 * The server under two hundred clients at once for twenty seconds, and with two hundred listeners on a bench. It runs as it
 * ships, in a process of its own; clients and server share this machine.
 */

const CLIENTS = 200;
const SECONDS = 20;
const LISTENERS = 200;
const PRESSES = 100;

const root = process.env.UNDER_RIDGE_ROOT ?? '.';

/** Starts the server like `npm start`; resolves once it prints its address. */
async function serve(perMinute?: number) {
  const child = spawn(process.execPath, ['--import', 'tsx', 'server/main.ts'], {
    cwd: root,
    env: {
      ...process.env,
      PORT: '0',
      LOG_LEVEL: 'silent',
      ...(perMinute === undefined ? {} : { PER_MINUTE: String(perMinute) }),
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  const base = await new Promise<string>((resolve, reject) => {
    child.stdout.on('data', (said: Buffer) => {
      const address = /http:\/\/\S+/.exec(said.toString())?.[0];
      if (address) resolve(address);
    });
    child.on('exit', () => reject(new Error('the server did not start')));
  });
  const stop = async () => {
    const gone = new Promise((resolve) => child.once('exit', resolve));
    child.kill('SIGTERM');
    await gone;
  };
  return { base, stop, pid: child.pid ?? 0 };
}

/** Resident memory of a process; undefined where not available. */
function megabytes(pid: number): number {
  const status = `/proc/${pid}/status`;
  if (!existsSync(status)) return NaN;
  return Number(/VmRSS:\s+(\d+)/.exec(readFileSync(status, 'utf8'))?.[1]) / 1000;
}

const NO_LIMIT = 1_000_000_000;

async function underClients(): Promise<void> {
  const { base, stop, pid } = await serve(NO_LIMIT);
  const page = await (await fetch(base)).text();
  const scripts = [...page.matchAll(/src="([^"]+\.js)"/g)].map((m) => m[1] ?? '');
  const before = megabytes(pid);
  let most = before;
  const watch = setInterval(() => (most = Math.max(most, megabytes(pid))), 200);
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
  line('  memory of the server, before', `${before.toFixed(0)} MB`);
  line('  at most', `${most.toFixed(0)} MB`);
  await stop();
}

async function underLimit(): Promise<void> {
  const { base, stop } = await serve();
  const result = await autocannon({ url: base, connections: CLIENTS, duration: 8, workers: 1 });
  const { '2xx': answered, non2xx } = result;
  line('as shipped, one address without end, 8 s: answered', String(answered));
  line('  refused by the limit', String(non2xx));
  await stop();
}

async function withListeners(): Promise<void> {
  const { base, stop } = await serve(NO_LIMIT);
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
    await fetch(`${base}/api/bench/1/press`, { method: 'POST' });
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
