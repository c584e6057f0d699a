import { mkdirSync, writeFileSync } from 'node:fs';

/** What a page of a bench loads before it draws: the workbench and the code of each bench. */
const ENTRIES = [
  [/\/workbench\/at-this-address\.tsx$/, () => 'workbench'],
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
    generateBundle(_, bundle) {
      const noted = {};
      const needed = (name, found = new Set()) => {
        if (found.has(name)) return found;
        found.add(name);
        for (const next of bundle[name]?.imports ?? []) needed(next, found);
        return found;
      };
      for (const chunk of Object.values(bundle))
        for (const [pattern, nameOf] of ENTRIES) {
          const found = pattern.exec(chunk.facadeModuleId ?? '');
          if (found && chunk.fileName.startsWith('_astro/'))
            noted[nameOf(found[1])] = [...needed(chunk.fileName)].map((name) => `/${name}`);
          if (/@astrojs\/react\/dist\/client\.js$/.test(chunk.facadeModuleId ?? ''))
            noted.react = [`/${chunk.fileName}`];
        }
      if (!noted.workbench) return;
      mkdirSync(new URL('.', file), { recursive: true });
      writeFileSync(file, JSON.stringify(noted));
    },
  };
}
