import { runSpec } from './spec';

process.exitCode = runSpec(process.argv.slice(2), {
  out: (text) => process.stdout.write(text),
  err: (text) => process.stderr.write(text),
  terminal: process.stdout.isTTY === true,
});
