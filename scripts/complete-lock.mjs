// Completes package-lock.json after `npm install`: npm leaves out the optional packages of other
// platforms, and `npm ci` then refuses the lock. Adds each missing one as a bare entry, and takes
// out download addresses, so that the lock names no registry. Run by `npm run lock`.
import { readFileSync, writeFileSync } from 'node:fs';

const path = new URL('../package-lock.json', import.meta.url);
const lock = JSON.parse(readFileSync(path, 'utf8'));
const systems = ['darwin', 'linux', 'win32', 'android', 'freebsd', 'openbsd', 'netbsd', 'sunos', 'aix'];
const machines = ['x64', 'arm64', 'arm', 'ia32', 'ppc64', 'riscv64', 's390x', 'loong64', 'mips64el', 'wasm32'];

/** The platform that an optional package's name states, or an impossible one when it states none. */
function platformOf(name) {
  const words = name.toLowerCase().split(/[^a-z0-9]+/);
  const os = systems.find((word) => words.includes(word)) ?? 'none';
  const cpu = machines.find((word) => words.includes(word) || (word === 'wasm32' && words.includes('wasm32')));
  const libc = words.includes('musl') ? ['musl'] : words.includes('gnu') ? ['glibc'] : undefined;
  return { os: [os], ...(cpu ? { cpu: [cpu] } : {}), ...(libc ? { libc } : {}) };
}

let added = 0;
for (const [folder, entry] of Object.entries({ ...lock.packages })) {
  // A link leads to a folder of ours.
  if (!entry.link) delete lock.packages[folder].resolved;
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    const here = `${folder ? `${folder}/` : ''}node_modules/${name}`;
    const known = [here, `node_modules/${name}`].some((place) => lock.packages[place]);
    if (known || !/^\d/.test(version)) continue;
    lock.packages[here] = { version, optional: true, ...platformOf(name) };
    added += 1;
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : 1)));
writeFileSync(path, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`package-lock.json: ${added} optional platform packages added`);
