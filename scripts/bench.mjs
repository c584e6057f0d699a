// `npm run bench`: runs every *.bench.ts of core, bundled as the browser gets it, and prints medians in ms.
// `npm run bench -- --pages`: times drags and the first view of a job in Chromium, and fails above their limits.
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { build as buildApp } from './lib/app.mjs';
import { chromium } from './lib/install.mjs';
import { root, run } from './lib/run.mjs';
import { withThrowAwayApp } from './lib/throw-away-app.mjs';

if (process.argv.includes('--pages')) {
  await chromium();
  await buildApp();
  const code = await withThrowAwayApp((address) =>
    run('npx', ['playwright', 'test', 'weight.spec.ts', 'drag.spec.ts', '--reporter=list'], {
      cwd: join(root, 'e2e'),
      env: { BASE_URL: address, SPLAY_BENCH: '1' },
    }),
  );
  process.exit(code);
}

const benches = readdirSync(join(root, 'core/src'), { recursive: true }).filter((name) => name.endsWith('.bench.ts'));
const folder = mkdtempSync(join(root, '.splay-bench-'));
try {
  for (const name of benches) {
    const outfile = join(folder, `${name.replaceAll('/', '-')}.mjs`);
    const entry = join(root, 'core/src', name);
    await build({ entryPoints: [entry], outfile, bundle: true, platform: 'node', format: 'esm', logLevel: 'error' });
    const { default: bench } = await import(pathToFileURL(outfile).href);
    await bench.run();
    console.log(`\n${name}`);
    console.table(
      Object.fromEntries(
        bench.tasks.map(({ name: task, result }) => {
          if (result.error) throw result.error;
          const ms = (value) => Number(value.toFixed(2));
          return [
            task,
            { 'median ms': ms(median(result.samples)), 'p99 ms': ms(result.p99), runs: result.samples.length },
          ];
        }),
      ),
    );
  }
} finally {
  rmSync(folder, { recursive: true, force: true });
}

function median(samples) {
  const sorted = [...samples].sort((a, b) => a - b);
  return sorted[Math.floor(sorted.length / 2)];
}
