// What comes with the application: licences of every package it runs with, and known faults of theirs, where a service says some.
import { execFileSync } from 'node:child_process';
import { readFileSync } from 'node:fs';
import { join } from 'node:path';
import { advisoriesIn, objectionable } from './audit-rules.mjs';

const root = new URL('..', import.meta.url).pathname;
const installed = JSON.parse(readFileSync(join(root, 'node_modules/.package-lock.json'), 'utf8')).packages;
const packages = Object.entries(installed)
  .filter(([path, entry]) => path && !entry.dev && !entry.devOptional)
  .map(([path, entry]) => {
    const { license, licenses } = JSON.parse(readFileSync(join(root, path, 'package.json'), 'utf8'));
    const said = license ?? licenses?.map?.(({ type }) => type).join(' OR ') ?? entry.license;
    return { name: path.split('node_modules/').at(-1), license: said?.type ?? said };
  });
const refused = objectionable(packages);
for (const { name, license } of refused) console.error(`${name}: licence ${license ?? 'not said'}`);
console.log(`${packages.length} packages, ${refused.length} with a licence that was not agreed to`);

/** What npm says, a fault of the service included: it leaves with an error then, and when it has found something. */
function askForAdvisories() {
  const options = { cwd: root, encoding: 'utf8', timeout: 60_000, stdio: ['ignore', 'pipe', 'ignore'], maxBuffer: 1e8 };
  try {
    return execFileSync('npm', ['audit', '--omit=dev', '--json'], options);
  } catch (failure) {
    return failure.stdout || '';
  }
}
let report = null;
try {
  if (!process.argv.includes('--no-advisories')) report = JSON.parse(askForAdvisories());
} catch {
  // No answer, or none that is a report.
}
const found = advisoriesIn(report);
if (found === null) console.log('Known faults: no advisory service answered here, so they were not looked up.');
else {
  for (const line of found) console.error(line);
  console.log(`Known faults: ${found.length} high or critical`);
}
if (refused.length > 0 || (found?.length ?? 0) > 0) process.exitCode = 1;
