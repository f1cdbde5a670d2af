import path from 'node:path';

import compression from 'compression';
import type { ErrorRequestHandler, Express } from 'express';
import express from 'express';
import serveCompressed from 'express-static-gzip';
import type { Logger } from 'pino';

import type { Benches } from './bench/benches';
import { benchRoutes } from './bench/routes';
import { headers, ownNamesOnly, ownPagesOnly, slowDown } from './guard';
import { logged } from './log';

export interface AppOptions {
  /** Folder of the web export. */
  readonly distDir: string;
  /** Folder of the page with the buttons of the simulated instruments. */
  readonly benchDir: string;
  /** Which workshop a first visit opens with. */
  readonly workshop: 'demo' | 'empty';
  readonly benches: Benches;
  readonly log: Logger;
  /** Requests in a minute from one address at most. */
  readonly perMinute: number;
}

const YEAR_SECONDS = 31_536_000;
/** A name with a hash in it, compressed or not. */
const HASHED = /[.-][0-9a-f]{32}\.[a-z0-9]+(\.(br|gz))?$/;

/** Asset folders and hidden files: missing ones are a 404, not a screen of the application. */
const NO_SCREEN = /^\/(assets|icons|bench|_expo|demo-curves)(\/|$)|(^|\/)(\.|%2e)/i;

const cacheOf = (file: string): string =>
  HASHED.test(path.basename(file)) ? `public, max-age=${YEAR_SECONDS}, immutable` : 'no-cache';

/**
 * The application's server: serves the export, says which workshop to open, and simulates the instruments of a bench. Keeps no
 * data.
 */
export function makeApp(options: AppOptions): Express {
  const { distDir, benchDir, workshop, benches, log, perMinute } = options;
  const app = express();
  app.disable('x-powered-by');
  app.use(logged(log), ...headers, ownNamesOnly, slowDown(perMinute), ownPagesOnly);
  app.get('/api/health', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({
      status: 'ok',
      uptimeSeconds: Math.round(process.uptime()),
      listeners: benches.listeners,
    });
  });
  // Event streams before compression, which would buffer them.
  app.use(benchRoutes(benches, benchDir));
  app.use(compression());
  app.get('/api/workshop', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ workshop });
  });
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'not found' });
  });
  app.use(
    serveCompressed(distDir, {
      enableBrotli: true,
      orderPreference: ['br', 'gz'],
      index: false,
      serveStatic: {
        redirect: false,
        setHeaders: (response, file) => response.setHeader('Cache-Control', cacheOf(file)),
      },
    }),
  );
  app.get('/{*path}', (request, response) => {
    if (path.extname(request.path) !== '' || NO_SCREEN.test(request.path)) {
      response.status(404).type('text/plain').send('Not found\n');
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: distDir });
  });
  app.use(faults(log));
  return app;
}

/** Reveals no internals in any error. */
const faults =
  (log: Logger): ErrorRequestHandler =>
  (error: unknown, _request, response, next) => {
    const status = statusOf(error);
    if (status >= 500) log.error({ fault: error instanceof Error ? error.message : 'unknown' });
    if (response.headersSent) return next(error);
    response
      .status(status)
      .type('text/plain')
      .send(
        status === 413 ? 'Too large\n' : status < 500 ? 'Bad request\n' : 'A fault of the server\n',
      );
  };

function statusOf(error: unknown): number {
  const status =
    typeof error === 'object' && error !== null && 'status' in error ? error.status : undefined;
  return typeof status === 'number' && status >= 400 && status < 500 ? status : 500;
}
