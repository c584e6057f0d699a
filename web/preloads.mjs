import { mkdirSync, writeFileSync } from 'node:fs';
import { chunkName } from './chunks.mjs';

/** What a page of a bench loads before it draws: React, the workbench and the code of each bench. */
const ENTRIES = [
  [/\/@astrojs\/react\/dist\/client\.js$/, () => 'react'],
  [/\/workbench\/job-route\.tsx$/, () => 'workbench'],
  [/\/benches\/([a-z-]+)\/parts\.tsx$/, (bench) => bench],
];

/**
 * Notes which files each page of a bench needs, so that the page names all of them at once (`server/preloads.ts`) and the
 * browser need not find them one behind another.
 *
 * @param file Where it is noted.
 */
export function preloads(file) {
  return {
    name: 'preloads',
    apply: 'build',
    enforce: 'post',
    outputOptions: (options) =>
      String(options.entryFileNames).startsWith('_astro/') ? { ...options, manualChunks: chunkName } : null,
    generateBundle(_, bundle) {
      const noted = {};
      const needed = (name, found = new Set()) => {
        if (found.has(name)) return found;
        found.add(name);
        for (const next of bundle[name]?.imports ?? []) needed(next, found);
        return found;
      };
      for (const chunk of Object.values(bundle).filter(({ fileName }) => fileName.startsWith('_astro/')))
        // A file that only passes on what another holds has no module of its own.
        for (const module of [chunk.facadeModuleId ?? '', ...(chunk.moduleIds ?? [])])
          for (const [pattern, nameOf] of ENTRIES) {
            const [found, bench] = pattern.exec(module) ?? [];
            if (found) noted[nameOf(bench)] = [...needed(chunk.fileName, new Set(noted[nameOf(bench)]))];
          }
      if (!noted.workbench) return;
      mkdirSync(new URL('.', file), { recursive: true });
      writeFileSync(
        file,
        JSON.stringify(noted, (_, value) => (typeof value === 'string' ? `/${value}` : value)),
      );
    },
  };
}
