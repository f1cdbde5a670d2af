import path from 'node:path';

import compression from 'compression';
import type { Express } from 'express';
import express from 'express';
import helmet from 'helmet';

import { benchRoutes } from './bench/routes';

export interface ServerOptions {
  /** Folder of the web export. */
  readonly distDir: string;
  /** Folder of the page with the buttons of the simulated instruments. */
  readonly benchDir: string;
  /** Which workshop a first visit opens with. */
  readonly workshop: 'demo' | 'empty';
}

const YEAR_SECONDS = 31_536_000;

/**
 * The application's own server: gives out the export, says which workshop to open, and stands in for the instruments
 * of a bench. Keeps no data.
 */
export function makeApp({ distDir, benchDir, workshop }: ServerOptions): Express {
  const app = express();
  app.disable('x-powered-by');
  app.use(
    helmet({
      contentSecurityPolicy: {
        useDefaults: false,
        directives: {
          defaultSrc: ["'self'"],
          scriptSrc: ["'self'"],
          // React Native for the web writes its styles into the page.
          styleSrc: ["'self'", "'unsafe-inline'"],
          imgSrc: ["'self'", 'data:', 'blob:'],
          objectSrc: ["'none'"],
          baseUri: ["'none'"],
          frameAncestors: ["'none'"],
          formAction: ["'self'"],
        },
      },
      // The server speaks plain HTTP on the local machine.
      strictTransportSecurity: false,
    }),
  );
  // Event streams come before compression, which would hold them back.
  app.use(benchRoutes(benchDir));
  app.use(compression());
  app.get('/api/workshop', (_request, response) => {
    response.set('Cache-Control', 'no-store').json({ workshop });
  });
  app.use('/api', (_request, response) => {
    response.status(404).json({ error: 'not found' });
  });
  app.use(
    express.static(distDir, {
      index: false,
      redirect: false,
      setHeaders(response, file) {
        const hashed = /[.-][0-9a-f]{32}\.[a-z0-9]+$/.test(path.basename(file));
        response.set(
          'Cache-Control',
          hashed ? `public, max-age=${YEAR_SECONDS}, immutable` : 'no-cache',
        );
      },
    }),
  );
  app.get('/{*path}', (request, response) => {
    if (path.extname(request.path) !== '') {
      response.status(404).type('text/plain').send('Not found\n');
      return;
    }
    response.set('Cache-Control', 'no-cache').sendFile('index.html', { root: distDir });
  });
  return app;
}
