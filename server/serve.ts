import type { Server } from 'node:http';
import { createServer } from 'node:http';

import { pino } from 'pino';
import type { Logger } from 'pino';

import type { AppOptions } from './app';
import { makeApp } from './app';
import { Benches } from './bench/benches';

/** Maximum simultaneous connections; further ones are refused. */
const MAX_CONNECTIONS = 600;
const HEADERS_MS = 10_000;
const REQUEST_MS = 30_000;
const CHECKED_EVERY_MS = 2_000;
/** Longer than the beats of an event stream. */
const IDLE_MS = 60_000;
const KEEP_ALIVE_MS = 5_000;
const PER_MINUTE = 3000;
/** Requests under way get so long to end when the server stops. */
const GRACE_MS = 3_000;

export interface Served {
  readonly server: Server;
  /** Takes no more requests, lets those under way end, and closes event streams. */
  stop(): Promise<void>;
}

interface Options extends Pick<AppOptions, 'distDir' | 'benchDir' | 'workshop'> {
  readonly log?: Logger;
  readonly perMinute?: number;
  readonly maxConnections?: number;
  /** How long the head of a request may take, ms. */
  readonly headersMs?: number;
}

/** The server with its limits; it listens when started. */
export function makeServer({
  log = pino({ level: 'silent' }),
  perMinute = PER_MINUTE,
  maxConnections = MAX_CONNECTIONS,
  headersMs = HEADERS_MS,
  ...options
}: Options): Served {
  const benches = new Benches();
  const server = createServer(
    {
      headersTimeout: headersMs,
      requestTimeout: REQUEST_MS,
      keepAliveTimeout: KEEP_ALIVE_MS,
      connectionsCheckingInterval: Math.min(CHECKED_EVERY_MS, headersMs),
      maxHeaderSize: 16_384,
    },
    makeApp({ ...options, benches, log, perMinute }),
  );
  server.maxConnections = maxConnections;
  server.setTimeout(IDLE_MS);
  server.on('drop', () => log.warn({ kind: 'connection', dropped: true }));
  return {
    server,
    stop: () =>
      new Promise((resolve) => {
        server.close(() => resolve());
        benches.close();
        server.closeIdleConnections();
        setTimeout(() => server.closeAllConnections(), GRACE_MS).unref();
      }),
  };
}
