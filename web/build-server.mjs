// After `astro build`: the process that serves, the one that works, and their threads as files of their own, what keeps the program on a device,
// and brotli and gzip of what is sent.
import { createHash } from 'node:crypto';
import { readdirSync, readFileSync, statSync, writeFileSync } from 'node:fs';
import { join } from 'node:path';
import { fileURLToPath } from 'node:url';
import { brotliCompressSync, constants, gzipSync } from 'node:zlib';
import { build } from 'esbuild';

const here = (path) => fileURLToPath(new URL(path, import.meta.url));

await build({
  entryPoints: {
    main: here('./src/server/main.ts'),
    work: here('./src/server/work.ts'),
    worker: here('./src/server/threads/worker.ts'),
  },
  outdir: here('./dist/server'),
  outExtension: { '.js': '.mjs' },
  bundle: true,
  platform: 'node',
  target: 'node20',
  format: 'esm',
  // Ours goes in; what is installed stays where it is.
  plugins: [
    {
      name: 'ours',
      setup: ({ onResolve }) =>
        onResolve({ filter: /^[^./]/ }, ({ path, kind }) =>
          kind === 'entry-point' || path.startsWith('@splay/') ? undefined : { path, external: true },
        ),
    },
  ],
  logLevel: 'warning',
});

/** What a device keeps: all that pages load. Names under /_astro/ tell what is in them; of others a hash does. */
const kept = readdirSync(here('./dist/client'), { recursive: true })
  .filter((name) => /\.(js|css|woff2|svg|png|html|webmanifest)$/.test(name) && name !== 'service-worker.js')
  .map((name) => ({
    url: `/${name}`.replace('/offline/index.html', '/offline'),
    revision: name.startsWith('_astro/')
      ? null
      : createHash('sha256')
          .update(readFileSync(join(here('./dist/client'), name)))
          .digest('hex')
          .slice(0, 16),
  }));
await build({
  entryPoints: [here('./src/service-worker/service-worker.ts')],
  outfile: here('./dist/client/service-worker.js'),
  bundle: true,
  minify: true,
  format: 'iife',
  target: 'es2022',
  define: { __FILES__: JSON.stringify(kept), 'process.env.NODE_ENV': '"production"' },
  logLevel: 'warning',
});

/**
 * Tells the browser to make all of a file ready while it comes in, beside the page and not in its way: most of what is
 * loaded first is called at once. Browsers that do not know it read a comment.
 */
const ALL_AT_ONCE = '//# allFunctionsCalledOnLoad\n';
const noted = Object.values(JSON.parse(readFileSync(here('./dist/preloads.json'), 'utf8'))).flat();
for (const name of new Set(noted)) {
  const path = here(`./dist/client${name}`);
  const code = readFileSync(path, 'utf8');
  if (!code.startsWith(ALL_AT_ONCE)) writeFileSync(path, ALL_AT_ONCE + code);
}

/** Smaller ones go in one packet as they are. */
const SMALLEST = 1400;
for (const name of readdirSync(here('./dist/client'), { recursive: true })) {
  const path = join(here('./dist/client'), name);
  if (!/\.(js|mjs|css|svg|json|html|webmanifest)$/.test(name) || statSync(path).size < SMALLEST) continue;
  const bytes = readFileSync(path);
  writeFileSync(`${path}.gz`, gzipSync(bytes, { level: 9 }));
  writeFileSync(`${path}.br`, brotliCompressSync(bytes, { params: { [constants.BROTLI_PARAM_QUALITY]: 11 } }));
}
