// npm leaves optional packages of foreign platforms out of the lock, and `npm ci` then calls it incomplete: add them back.
// Run after every `npm install`.
import { readFileSync, writeFileSync } from 'node:fs';

const path = new URL('../package-lock.json', import.meta.url);
const lock = JSON.parse(readFileSync(path, 'utf8'));
const systems = { darwin: 'darwin', linux: 'linux', win32: 'win32', freebsd: 'freebsd', android: 'android', openharmony: 'openharmony', sunos: 'sunos', netbsd: 'netbsd', openbsd: 'openbsd', aix: 'aix' };
const cpus = ['x64', 'arm64', 'arm', 'ia32', 'riscv64', 'ppc64', 's390x', 'loong64', 'mips64el', 'wasm32'];

function platformOf(name) {
  const parts = name.split('/').pop().split(/[-.]/);
  return {
    os: parts.filter((p) => systems[p]).map((p) => systems[p]),
    cpu: parts.filter((p) => cpus.includes(p)),
    libc: parts.includes('musl') ? ['musl'] : parts.includes('gnu') ? ['glibc'] : [],
  };
}

let added = 0;
for (const entry of Object.values({ ...lock.packages })) {
  for (const [name, version] of Object.entries(entry.optionalDependencies ?? {})) {
    if (!/^\d/.test(version) || lock.packages[`node_modules/${name}`]) continue;
    const platform = Object.fromEntries(Object.entries(platformOf(name)).filter(([, list]) => list.length));
    lock.packages[`node_modules/${name}`] = { version, optional: true, ...platform };
    added++;
  }
}
lock.packages = Object.fromEntries(Object.entries(lock.packages).sort(([a], [b]) => (a < b ? -1 : a > b ? 1 : 0)));
writeFileSync(path, `${JSON.stringify(lock, null, 2)}\n`);
console.log(`${added} packages of other platforms added to the lock`);
