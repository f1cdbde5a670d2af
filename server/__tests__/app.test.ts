import { mkdtempSync, mkdirSync, writeFileSync } from 'node:fs';
import type { AddressInfo } from 'node:net';
import { tmpdir } from 'node:os';
import path from 'node:path';
import type { Server } from 'node:http';

import { makeApp } from '../app';

const HASHED = 'entry-0123456789abcdef0123456789abcdef.js';

let server: Server;
let base: string;

beforeAll(async () => {
  const distDir = mkdtempSync(path.join(tmpdir(), 'under-ridge-'));
  mkdirSync(path.join(distDir, 'js'));
  writeFileSync(path.join(distDir, 'index.html'), '<title>Under Ridge</title>');
  writeFileSync(path.join(distDir, 'js', HASHED), 'let a = 1;\n'.repeat(400));
  server = makeApp({ benchDir: distDir, distDir, workshop: 'empty' }).listen(0, '127.0.0.1');
  await new Promise((resolve) => server.once('listening', resolve));
  base = `http://127.0.0.1:${(server.address() as AddressInfo).port}`;
});

afterAll(() => new Promise((resolve) => server.close(resolve)));

describe('the server', () => {
  it('gives the page for every route, and 404 for a file that is not there', async () => {
    for (const route of ['/', '/job/abc', '/job/abc?tab=pack']) {
      const answer = await fetch(base + route);
      expect(answer.status).toBe(200);
      expect(await answer.text()).toContain('Under Ridge');
    }
    expect((await fetch(`${base}/js/gone.js`)).status).toBe(404);
    expect((await fetch(`${base}/api/gone`)).status).toBe(404);
  });

  it('says which workshop to open', async () => {
    expect(await (await fetch(`${base}/api/workshop`)).json()).toEqual({ workshop: 'empty' });
  });

  it('lets no script run but its own and no page frame it', async () => {
    const { headers } = await fetch(`${base}/`);
    const policy = headers.get('content-security-policy') ?? '';
    expect(policy).toContain("script-src 'self'");
    expect(policy).not.toMatch(/script-src[^;]*unsafe/);
    expect(policy).toContain("frame-ancestors 'none'");
    expect(headers.get('x-powered-by')).toBeNull();
    expect(headers.get('x-content-type-options')).toBe('nosniff');
  });

  it('keeps hashed files for good, the page never, and compresses', async () => {
    const script = await fetch(`${base}/js/${HASHED}`, { headers: { 'accept-encoding': 'gzip' } });
    expect(script.headers.get('cache-control')).toContain('immutable');
    expect(script.headers.get('content-encoding')).toBe('gzip');
    expect((await fetch(`${base}/`)).headers.get('cache-control')).toBe('no-cache');
  });

  it('does not leave its folder', async () => {
    const answer = await fetch(`${base}/..%2f..%2fetc%2fpasswd`);
    expect(await answer.text()).not.toContain('root:');
  });
});
