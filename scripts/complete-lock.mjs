// npm leaves optional packages of foreign platforms out of the lock, and `npm ci` then calls it incomplete: add them back.
// Run after every `npm install`.
import { readFileSync, writeFileSync } from 'node:fs';

const path = new URL('../package-lock.json', import.meta.url);
const lock = JSON.parse(readFileSync(path, 'utf8'));
const systems = {
  darwin: 'darwin',
  linux: 'linux',
  win32: 'win32',
  freebsd: 'freebsd',
  android: 'android',
  openharmony: 'openharmony',
  sunos: 'sunos',
  netbsd: 'netbsd',
  openbsd: 'openbsd',
  aix: 'aix',
};
const cpus = ['x64', 'arm64', 'arm', 'ia32', 'riscv64', 'ppc64', 's390x', 'loong64', 'mips64el', 'wasm32'];

function platformOf(name) {
  const parts = name.split('/').pop().split(/[-.]/);
  return {
    os: parts.filter((p) => systems[p]).map((p) => systems[p]),
    cpu: parts.filter((p) => cpus.includes(p)),
    libc: parts.includes('musl') ? ['musl'] : parts.includes('gnu') ? ['glibc'] : [],
  };
}

const isForeign = (entry) =>
  entry.optional &&
  ((entry.os && !entry.os.includes('linux')) ||
    (entry.cpu && !entry.cpu.includes('x64')) ||
    entry.libc?.includes('musl'));
const exact = new Set(
  Object.values(lock.packages)
    .flatMap((e) => Object.entries(e.optionalDependencies ?? {}))
    .filter(([, v]) => /^\d/.test(v))
    .map(([name]) => name),
);
for (const [path, entry] of Object.entries(lock.packages)) {
  if (isForeign(entry) && exact.has(path.slice(path.lastIndexOf('node_modules/') + 13))) delete lock.packages[path];
}

/** Where Node would find a package from inside another one: the places from the inside out. */
function* placesFrom(path) {
  for (let at = path; ; at = at.slice(0, at.lastIndexOf('/node_modules/'))) {
    yield `${at}/node_modules/`;
    if (!at.includes('/node_modules/')) break;
  }
  yield 'node_modules/';
}

let added = 0;
for (const [path, entry] of Object.entries({ ...lock.packages })) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    if (!/^\d/.test(version)) continue;
    const places = [...placesFrom(path)];
    const found = places.map((p) => lock.packages[p + name]).find(Boolean);
    if (found?.version === version) continue;
    const platform = Object.fromEntries(Object.entries(platformOf(name)).filter(([, list]) => list.length));
    // Beside the package that wants it, or inside it when another version stands there.
    const beside = `${path.slice(0, path.lastIndexOf('node_modules/'))}node_modules/${name}`;
    lock.packages[lock.packages[beside] ? places[0] + name : beside] = { version, optional: true, ...platform };
    added++;
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)));
writeFileSync(path, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} packages of other platforms added to the lock`);
