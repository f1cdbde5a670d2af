import { spec } from './spec';

process.exitCode = spec(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
  terminal: process.stdout.isTTY === true,
});
