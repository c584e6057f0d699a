#!/usr/bin/env -S npx tsx
import { readFileSync, writeFileSync } from 'node:fs';
import { parseArgs } from 'node:util';
import { commands } from './commands.ts';
import { UsageError } from './result.ts';

/** Exit codes: 0 good, 1 the job has something that must stop, 2 the file is not right, 64 the call is not right. */
try {
  const { values, positionals } = parseArgs({
    allowPositionals: true,
    options: {
      as: { type: 'string' },
      view: { type: 'string' },
      table: { type: 'string' },
      unit: { type: 'string' },
      plan: { type: 'string' },
      wheelbase: { type: 'string' },
      'cab-to-axle': { type: 'string' },
      'rear-overhang': { type: 'string' },
      width: { type: 'string' },
      height: { type: 'string' },
      tail: { type: 'string' },
      out: { type: 'string' },
      help: { type: 'boolean' },
    },
  });
  const result = commands(positionals, values, (path) => readFileSync(path, 'utf8'));
  if (result.problems) process.stderr.write(result.problems);
  if (values.out && result.output) writeFileSync(values.out, result.output);
  else process.stdout.write(result.output);
  process.exitCode = result.code;
} catch (error) {
  const usage = error instanceof UsageError || (error instanceof TypeError && 'code' in error);
  if (!usage && !(error instanceof Error && 'errno' in error)) throw error;
  process.stderr.write(`splay: ${(error as Error).message}\n`);
  process.exitCode = usage ? 64 : 2;
}
