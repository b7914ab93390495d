import { spawn } from 'node:child_process';
import { readFile } from 'node:fs/promises';
import { availableParallelism } from 'node:os';
import { formationFrom, libraryIds, libraryText, schemeFrom, spaceFrom } from '#core/library/library';
import { prepareCall } from '#core/resolve/prepare/prepare-call';
import { openSpace } from '#core/stress/space';
import { planFor, stress } from '#core/stress/stress';

const FRONTS = 40_000;

function need<T>(result: { ok: true; value: T } | { ok: false }): T {
  if (!result.ok) throw new Error('the library cannot be read');
  return result.value;
}

/** Fronts a second on one core, verdict and causes counted, and how far memory moves over ten times as many. */
for (const id of libraryIds('schemes')) {
  const scheme = need(schemeFrom(libraryText('schemes', id)!));
  const formation = need(formationFrom(libraryText('formations', scheme.head.from ?? 'five-man')!));
  const space = need(openSpace(need(spaceFrom(libraryText('spaces', 'even')!)), formation));
  const prepared = prepareCall(scheme, formation, { side: 'right' });
  const plan = planFor(space, FRONTS, 1);
  stress(prepared, space, plan);
  const start = performance.now();
  const tally = stress(prepared, space, plan);
  const seconds = (performance.now() - start) / 1000;
  console.log(
    `${id.padEnd(22)}${Math.round(tally.fronts / seconds)
      .toLocaleString('en')
      .padStart(
        10,
      )} fronts a second   sound ${((100 * tally.sound) / tally.fronts).toFixed(1)} %, holes ${tally.holes}`,
  );
}
const formation = need(formationFrom(libraryText('formations', 'five-man')!));
const zone = prepareCall(need(schemeFrom(libraryText('schemes', 'inside-zone-z1')!)), formation, { side: 'right' });
const everything = need(openSpace(need(spaceFrom(libraryText('spaces', 'everything')!)), formation));
const before = process.memoryUsage().heapUsed;
let most = 0;
const start = performance.now();
for (let from = 0; from < 400_000; from += 4_000) {
  stress(zone, everything, { kind: 'sample', seed: 1, from, to: from + 4_000 });
  most = Math.max(most, process.memoryUsage().heapUsed - before);
}
console.log(
  `400,000 samples of "everything", inside zone z1: ${((performance.now() - start) / 1000).toFixed(1)} s on one core; heap never more than ${Math.round(most / 1e6)} MB above the start`,
);

/** The command line on every core: seconds from start to end, and the most memory the process held (MB, as Linux tells it). */
async function onEveryCore(limit: number): Promise<{ seconds: number; peak: number }> {
  const begin = performance.now();
  const child = spawn(
    'bin/chalk',
    ['stress', '--scheme', 'inside-zone-z1', '--side', 'right', '--space', 'everything', '--limit', String(limit)],
    { stdio: ['ignore', 'ignore', 'inherit'] },
  );
  let peak = 0;
  const look = setInterval(() => {
    void readFile(`/proc/${child.pid}/status`, 'utf8').then(
      (text) => {
        peak = Math.max(peak, Number(/VmHWM:\s+(\d+)/.exec(text)?.[1] ?? 0));
      },
      () => undefined,
    );
  }, 100);
  const code = await new Promise((ended) => child.once('close', ended));
  clearInterval(look);
  if (code !== 0) throw new Error(`chalk stress ended with ${String(code)}`);
  return { seconds: (performance.now() - begin) / 1000, peak: peak / 1024 };
}

for (const limit of [250_000, 1_000_000]) {
  const { seconds, peak } = await onEveryCore(limit);
  console.log(
    `chalk stress, ${limit.toLocaleString('en')} fronts on ${availableParallelism()} cores: ${seconds.toFixed(1)} s, at most ${peak.toFixed(0)} MB`,
  );
}
