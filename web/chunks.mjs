/**
 * What is installed and used on most pages, put together in a few files, where the bundler would make one of each little
 * thing that several pages share: every file costs a request, and a slow tablet a hundredth of a second of its own time.
 */
const TOGETHER = {
  react: /\/node_modules\/(?:react|react-dom|scheduler|use-sync-external-store)\//,
  common:
    /\/node_modules\/(?:idb|zustand)\/|\/lucide-react\/dist\/esm\/(?!icons\/|lucide-react)|\/(?:core\/src\/input-error|web\/src\/(?:client\/(?:fresh-id|theme|device|touch-settings)|ui\/(?:each-by-key|moment-words)|board\/(?:swatch|tag-letter)))\.tsx?$|vite\/preload-helper/,
};

/**
 * Which of them a module goes into; undefined for where the bundler puts it.
 *
 * @param id Path of the module.
 */
export const chunkName = (id) => Object.keys(TOGETHER).find((name) => TOGETHER[name].test(id));
