import { formationFrom, frontFrom, libraryIds, libraryText, schemeFrom } from '#core/library/library';
import { provePressures } from '#core/protect/prove';
import { prepareCall } from '#core/resolve/prepare/prepare-call';

function need<T>(result: { ok: true; value: T } | { ok: false }): T {
  if (!result.ok) throw new Error('the library cannot be read');
  return result.value;
}

/** Every legal pressure of one front, and of all fronts of the library, for every protection: milliseconds on one core. */
let worst = 0;
for (const id of libraryIds('schemes')) {
  const scheme = need(schemeFrom(libraryText('schemes', id)!));
  if (!scheme.head.throw) continue;
  const formation = need(formationFrom(libraryText('formations', scheme.head.from ?? 'five-man')!));
  const fronts = libraryIds('fronts').map((f) => need(frontFrom(libraryText('fronts', f)!, formation)));
  const prepared = prepareCall(scheme, formation, { side: 'right' });
  for (const front of fronts) provePressures(prepared, front);
  let pressures = 0;
  // The best of three: what the machine does beside it is not what is measured.
  const times = fronts.map((front) =>
    Math.min(
      ...[0, 1, 2].map((round) => {
        const start = performance.now();
        const { all } = provePressures(prepared, front).counts;
        if (round === 0) pressures += all;
        return performance.now() - start;
      }),
    ),
  );
  const all = times.reduce((a, b) => a + b, 0);
  worst = Math.max(worst, ...times);
  console.log(
    `${id.padEnd(20)}${fronts.length} fronts, ${pressures.toLocaleString('en')} pressures in ${all.toFixed(0)} ms; a front ${(all / fronts.length).toFixed(1)} ms, the slowest ${Math.max(...times).toFixed(1)} ms`,
  );
}
console.log(`the slowest front of all: ${worst.toFixed(1)} ms (goal 50 ms; all fronts of one protection 2,000 ms)`);
