import path from 'node:path';

import { pino } from 'pino';

import { makeServer } from './serve';

/*
 * npm start [-- --empty]; HOST and PORT change the address, LOG_LEVEL=info writes a line for every request, PER_MINUTE how many
 * requests one address may make in a minute.
 */

const DEFAULT_PORT = 4173;
const LEVELS = ['error', 'warn', 'info', 'silent'];

function main(): void {
  const args = process.argv.slice(2);
  const unknown = args.find((arg) => arg !== '--empty');
  if (unknown !== undefined)
    fail(`Unknown option ${unknown}. Known: --empty, for a workshop without demo data.`);
  const host = process.env.HOST ?? '127.0.0.1';
  const port = Number(process.env.PORT ?? DEFAULT_PORT);
  if (!Number.isInteger(port) || port < 0 || port > 65535)
    fail(`PORT must be a whole number from 0 to 65535, not ${process.env.PORT}.`);
  const perMinute =
    process.env.PER_MINUTE === undefined ? undefined : Number(process.env.PER_MINUTE);
  if (perMinute !== undefined && !(Number.isInteger(perMinute) && perMinute > 0))
    fail(`PER_MINUTE must be a whole number above 0, not ${process.env.PER_MINUTE}.`);
  const level = process.env.LOG_LEVEL ?? 'warn';
  if (!LEVELS.includes(level)) fail(`LOG_LEVEL must be one of ${LEVELS.join(', ')}, not ${level}.`);
  const workshop = args.includes('--empty') ? 'empty' : 'demo';

  const { server, stop } = makeServer({
    distDir: path.resolve(import.meta.dirname, '../dist'),
    benchDir: path.resolve(import.meta.dirname, 'bench/public'),
    workshop,
    log: pino({ level, base: null }, pino.destination({ fd: 2, sync: true })),
    ...(perMinute === undefined ? {} : { perMinute }),
  });
  server.listen(port, host);
  server.on('listening', () => {
    const address = server.address();
    const bound = typeof address === 'object' && address ? address.port : port;
    const name = host.includes(':') ? `[${host}]` : host;
    console.log(
      `Under Ridge, ${workshop === 'demo' ? 'with the demo workshop' : 'with an empty workshop'}: http://${name}:${bound}`,
    );
    console.log(`Simulated gauge, spring tester and dyno: http://${name}:${bound}/bench/`);
  });
  server.on('error', (error: NodeJS.ErrnoException) => {
    if (error.code === 'EADDRINUSE')
      fail(`Port ${port} on ${host} is taken. Choose another: PORT=${port + 1} npm start`);
    if (error.code === 'EACCES')
      fail(
        `Port ${port} may not be used by this user. Choose one above 1023: PORT=${DEFAULT_PORT} npm start`,
      );
    if (error.code === 'EADDRNOTAVAIL')
      fail(`This machine has no address ${host}. Set HOST to one of its own.`);
    fail(error.message);
  });
  for (const signal of ['SIGINT', 'SIGTERM'] as const) {
    process.on(signal, () => void stop().then(() => process.exit(0)));
  }
}

function fail(message: string): never {
  console.error(message);
  process.exit(1);
}

main();
