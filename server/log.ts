import path from 'node:path';

import type { RequestHandler } from 'express';
import type { Logger } from 'pino';

/** Logs the kind of a request without its content: no job, query or address. */
export function kindOf(asked: string): string {
  if (asked === '/api/health' || asked === '/api/workshop') return asked;
  const bench = /^\/api\/bench\/\d+(?:\/(stream|press|dyno|unit|lose))?$/.exec(asked);
  if (bench) return `/api/bench${bench[1] ? `/${bench[1]}` : ''}`;
  if (asked.startsWith('/api/')) return '/api/other';
  return path.extname(asked) === '' ? 'page' : 'file';
}

/** One line of JSON for each answer: faults as errors, refusals as warnings, the rest as information. */
export const logged =
  (log: Logger): RequestHandler =>
  (request, response, next) => {
    const begun = performance.now();
    const kind = kindOf(request.path);
    response.on('close', () => {
      const { statusCode: status } = response;
      const level = status >= 500 && status !== 503 ? 'error' : status >= 400 ? 'warn' : 'info';
      log[level]({
        method: request.method,
        kind,
        status,
        ms: Math.round(performance.now() - begun),
      });
    });
    next();
  };
