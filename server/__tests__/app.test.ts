import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import type { IncomingMessage, RequestOptions } from 'node:http';
import { get, request as ask } from 'node:http';
import type { AddressInfo } from 'node:net';
import { connect } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import { Writable } from 'node:stream';
import { gzipSync } from 'node:zlib';

import { pino } from 'pino';

import { kindOf } from '../log';
import type { Served } from '../serve';
import { makeServer } from '../serve';

const HASHED = 'entry-0123456789abcdef0123456789abcdef.js';
const SCRIPT = 'let a = 1;\n'.repeat(400);

const distDir = mkdtempSync(path.join(tmpdir(), 'under-ridge-'));
mkdirSync(path.join(distDir, 'js'));
mkdirSync(path.join(distDir, '.server'));
writeFileSync(path.join(distDir, 'index.html'), '<title>Under Ridge</title>');
writeFileSync(path.join(distDir, '.server', 'own.js'), 'root:');
writeFileSync(path.join(distDir, 'sw.js'), 'let version = 1;');
writeFileSync(path.join(distDir, 'js', HASHED), SCRIPT);
writeFileSync(path.join(distDir, 'js', `${HASHED}.gz`), gzipSync(SCRIPT));

const lines: string[] = [];
const log = pino(
  { level: 'info', base: null },
  new Writable({
    write: (chunk: Buffer, _encoding, done) => {
      lines.push(chunk.toString());
      done();
    },
  }),
);

const open: Served[] = [];

type Limits = Pick<Parameters<typeof makeServer>[0], 'perMinute' | 'maxConnections' | 'headersMs'>;

/** Serves with the limits of a test; resolves with the address. */
async function serve(limits: Limits = {}) {
  const served = makeServer({ benchDir: distDir, distDir, workshop: 'empty', log, ...limits });
  open.push(served);
  served.server.listen(0, '127.0.0.1');
  await new Promise((resolve) => served.server.once('listening', resolve));
  const { port } = served.server.address() as AddressInfo;
  return { base: `http://127.0.0.1:${port}`, port, served };
}

/** A request as it is written, path and headers untouched; resolves with status and text. */
const raw = (port: number, options: RequestOptions, body?: string) =>
  new Promise<{ status: number; text: string }>((resolve, reject) => {
    const request = ask({ host: '127.0.0.1', port, ...options }, (response: IncomingMessage) => {
      let text = '';
      response.setEncoding('utf8');
      response.on('data', (chunk: string) => (text += chunk));
      response.on('end', () => resolve({ status: response.statusCode ?? 0, text }));
    });
    request.on('error', reject);
    request.end(body);
  });

let base = '';
let port = 0;
beforeAll(async () => {
  ({ base, port } = await serve());
});
afterAll(() => Promise.all(open.map((served) => served.stop())));

describe('the server', () => {
  it('gives the page for every route, and 404 for a file that is not there', async () => {
    for (const route of ['/', '/job/abc', '/job/abc?tab=pack']) {
      const answer = await fetch(base + route);
      expect(answer.status).toBe(200);
      expect(await answer.text()).toContain('Under Ridge');
    }
    expect((await fetch(`${base}/js/gone.js`)).status).toBe(404);
    expect((await fetch(`${base}/api/gone`)).status).toBe(404);
    for (const gone of ['assets/gone', 'icons/', 'bench/gone', '.env', 'a/.git/config', '%2eenv'])
      expect([gone, (await fetch(`${base}/${gone}`)).status]).toEqual([gone, 404]);
  });

  it('says which workshop to open, and that it is well', async () => {
    expect(await (await fetch(`${base}/api/workshop`)).json()).toEqual({ workshop: 'empty' });
    expect(await (await fetch(`${base}/api/health`)).json()).toMatchObject({
      status: 'ok',
      listeners: 0,
    });
  });

  it('lets no script run but its own, no page frame it, and keeps the device to itself', async () => {
    const { headers } = await fetch(`${base}/`);
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toMatch(/(script|worker|connect)-src[^;]*(unsafe|\*|http)/);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers.get('x-powered-by')).toBeNull();
    expect(headers.get('x-content-type-options')).toBe('nosniff');
    expect(headers.get('referrer-policy')).toBe('no-referrer');
    expect(headers.get('permissions-policy')).toContain('geolocation=()');
  });

  it('caches hashed files without end, the page and the service worker never', async () => {
    const cache = async (file: string) => (await fetch(base + file)).headers.get('cache-control');
    expect(await cache(`/js/${HASHED}`)).toContain('immutable');
    expect(await cache('/')).toBe('no-cache');
    expect(await cache('/sw.js')).toBe('no-cache');
  });

  it('gives files as they were compressed beforehand, and whole to who can’t read that', async () => {
    const encodings = ['gzip', 'identity'];
    const answers = encodings.map((e) =>
      fetch(`${base}/js/${HASHED}`, { headers: { 'accept-encoding': e } }),
    );
    const [packed, plain] = await Promise.all(answers);
    expect(packed?.headers.get('content-encoding')).toBe('gzip');
    expect(packed?.headers.get('cache-control')).toContain('immutable');
    expect(packed?.headers.get('content-type')).toContain('javascript');
    expect(plain?.headers.get('content-encoding')).toBeNull();
    for (const answer of [packed, plain]) expect(await answer?.text()).toBe(SCRIPT);
  });

  it('does not leave its folder and lists none', async () => {
    for (const path of [
      '/../../../../etc/passwd',
      '/js/../../../../../etc/passwd',
      '/..%2f..%2f..%2f..%2fetc%2fpasswd',
      '/%2e%2e/%2e%2e/%2e%2e/etc/passwd',
      '/js/..\\..\\..\\etc\\passwd',
      '/.server/own.js',
      '/js/../.server/own.js',
      '/%2eserver/own.js',
    ])
      expect((await raw(port, { path })).text).not.toContain('root:');
    for (const path of ['/js', '/js/', '/bench', '/bench/'])
      expect((await raw(port, { path })).text).not.toContain(HASHED);
  });

  it('answers to its own names and to addresses only', async () => {
    const status = async (host: string) =>
      (await raw(port, { path: '/', headers: { host } })).status;
    expect(await status(`localhost:${port}`)).toBe(200);
    expect(await status('[::1]:4173')).toBe(200);
    expect(await status('192.168.4.20:4173')).toBe(200);
    expect(await status('elsewhere.example')).toBe(421);
    expect(await status('127.0.0.1.elsewhere.example')).toBe(421);
  });

  it('lets no page from elsewhere press a key', async () => {
    const press = async (origin?: string) =>
      (
        await raw(port, {
          path: '/api/bench/1/press',
          method: 'POST',
          headers: { 'Content-Type': 'application/json', ...(origin ? { origin } : {}) },
        })
      ).status;
    expect(await press(`http://127.0.0.1:${port}`)).toBe(200);
    expect(await press()).toBe(200);
    expect(await press('http://elsewhere.example')).toBe(403);
    expect(await press('null')).toBe(403);
  });

  it('refuses what is too large or no JSON, without a word of its inside', async () => {
    const send = (body: string) =>
      raw(
        port,
        {
          path: '/api/bench/1/press',
          method: 'POST',
          headers: { 'Content-Type': 'application/json' },
        },
        body,
      );
    const large = await send(JSON.stringify({ thickness: 'x'.repeat(5000) }));
    expect([large.status, large.text]).toEqual([413, 'Too large\n']);
    const broken = await send('{"thickness":');
    expect([broken.status, broken.text]).toEqual([400, 'Bad request\n']);
    const polluted = await send('{"__proto__":{"unruly":true},"constructor":{}}');
    expect(polluted.status).toBe(200);
    expect(({} as { unruly?: boolean }).unruly).toBeUndefined();
  });

  it('slows down who asks without end', async () => {
    const { base: slow } = await serve({ perMinute: 5 });
    const statuses: number[] = [];
    for (let i = 0; i < 7; i++) statuses.push((await fetch(`${slow}/api/workshop`)).status);
    expect(statuses).toEqual([200, 200, 200, 200, 200, 429, 429]);
  });

  it('turns connections away beyond so many', async () => {
    const { port: small } = await serve({ maxConnections: 3 });
    const sockets = Array.from({ length: 5 }, () => connect(small, '127.0.0.1'));
    const turnedAway = await Promise.all(
      sockets.map(
        (socket) =>
          new Promise<boolean>((resolve) => {
            socket.on('error', () => resolve(true)).on('close', () => resolve(true));
            socket.on('data', () => resolve(false));
            socket.on('connect', () =>
              socket.write('GET /api/health HTTP/1.1\r\nHost: 127.0.0.1\r\n\r\n'),
            );
          }),
      ),
    );
    sockets.forEach((socket) => socket.destroy());
    expect(turnedAway.filter(Boolean)).toHaveLength(2);
  });

  it('gives up on who never ends a request', async () => {
    const { port: waiting } = await serve({ headersMs: 50 });
    const said = await new Promise<string>((resolve) => {
      let text = '';
      const socket = connect(waiting, '127.0.0.1', () =>
        socket.write('GET / HTTP/1.1\r\nHost: 127'),
      );
      socket.on('data', (data: Buffer) => (text += data.toString()));
      socket.on('close', () => resolve(text)).on('error', () => resolve(text));
    });
    expect(said).toContain('408');
  });

  it('has an end for every other wait', async () => {
    const { served } = await serve();
    const { headersTimeout, requestTimeout, keepAliveTimeout, timeout } = served.server;
    for (const wait of [headersTimeout, requestTimeout, keepAliveTimeout, timeout]) {
      expect(wait).toBeGreaterThan(0);
      expect(wait).toBeLessThanOrEqual(60_000);
    }
  });

  it('stops with the requests under way ended and the event streams closed', async () => {
    const { port: stopping, served } = await serve();
    const ended = new Promise<string>((resolve) => {
      get(`http://127.0.0.1:${stopping}/api/bench/1/stream`, (response) => {
        let text = '';
        response.on('data', (chunk: Buffer) => {
          text += chunk.toString();
          void served.stop();
        });
        response.on('end', () => resolve(text));
      });
    });
    expect(await ended).toContain('event: hello');
    await served.stop();
    await expect(fetch(`http://127.0.0.1:${stopping}/`)).rejects.toThrow();
  });

  it('writes down what was asked for, and nothing of whom or what it was about', async () => {
    lines.length = 0;
    await fetch(`${base}/job/secret-rider?name=Somebody`, { headers: { cookie: 'a=secret' } });
    await fetch(`${base}/api/bench/2/unit`, { method: 'POST' });
    while (lines.length < 2) await new Promise((resolve) => setTimeout(resolve, 5));
    const written = lines.map((line) => JSON.parse(line) as Record<string, unknown>);
    expect(written).toEqual([
      expect.objectContaining({ method: 'GET', kind: 'page', status: 200 }),
      expect.objectContaining({ method: 'POST', kind: '/api/bench/unit', status: 200 }),
    ]);
    expect(lines.join('')).not.toMatch(/secret|Somebody|127\.0\.0\.1/);
    expect(kindOf('/api/bench/2/secret')).toBe('/api/other');
  });
});
