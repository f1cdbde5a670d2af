import { isIP } from 'node:net';
import os from 'node:os';

import type { RequestHandler } from 'express';
import { rateLimit } from 'express-rate-limit';
import helmet from 'helmet';

/* Protection of the application from outside. */

/** Headers of every answer: only the application's own scripts, no framing, no device access except the camera. */
export const headers: readonly RequestHandler[] = [
  helmet({
    contentSecurityPolicy: {
      useDefaults: false,
      directives: {
        defaultSrc: ["'self'"],
        scriptSrc: ["'self'"],
        // React Native for the web writes its styles into the page.
        styleSrc: ["'self'", "'unsafe-inline'"],
        imgSrc: ["'self'", 'data:', 'blob:'],
        workerSrc: ["'self'"],
        connectSrc: ["'self'"],
        objectSrc: ["'none'"],
        baseUri: ["'none'"],
        frameAncestors: ["'none'"],
        formAction: ["'self'"],
      },
    },
    // The server speaks plain HTTP on the local machine.
    strictTransportSecurity: false,
  }),
  (_request, response, next) => {
    response.set(
      'Permissions-Policy',
      'camera=(self), geolocation=(), microphone=(), payment=(), usb=()',
    );
    next();
  },
];

const nameOf = (host: string): string =>
  host
    .replace(/:\d+$/, '')
    .replace(/^\[(.*)\]$/, '$1')
    .toLowerCase();

/**
 * Answers only to this machine's own names and addresses: otherwise a foreign page whose name points here could read and press
 * anything.
 */
export const ownNamesOnly: RequestHandler = (request, response, next) => {
  const name = nameOf(request.headers.host ?? '');
  const own = os.hostname().toLowerCase();
  if (isIP(name) || ['localhost', own, `${own}.local`].includes(name)) return next();
  response.status(421).type('text/plain').send('This server has a different name.\n');
};

/** Changes may be requested by our own pages only. */
export const ownPagesOnly: RequestHandler = (request, response, next) => {
  const { origin, host } = request.headers;
  const foreign =
    origin !== undefined && origin !== `http://${host}` && origin !== `https://${host}`;
  if (request.method === 'GET' || request.method === 'HEAD' || !foreign) return next();
  response.status(403).json({ error: 'only this server’s own pages may request this' });
};

const MINUTE_MS = 60_000;

/** At most so many requests in a minute from one address. */
export const slowDown = (perMinute: number): RequestHandler =>
  rateLimit({
    windowMs: MINUTE_MS,
    limit: perMinute,
    standardHeaders: 'draft-8',
    legacyHeaders: false,
    message: 'Too many requests: wait a minute.\n',
    // Express knows the address; there is no proxy in front.
    validate: { xForwardedForHeader: false },
  });
