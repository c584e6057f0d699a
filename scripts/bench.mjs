// `npm run bench`: runs every *.bench.ts of core, bundled as the browser gets it, and prints medians in ms.
import { mkdtempSync, readdirSync, rmSync } from 'node:fs';
import { join } from 'node:path';
import { pathToFileURL } from 'node:url';
import { build } from 'esbuild';
import { root } from './lib/run.mjs';

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
