import { formationFrom, frontFrom, libraryText, schemeFrom } from '#core/library/library';
import { resolve, workPlay } from '#core/movement/play';
import { runPlay } from '#core/movement/run/run';
import { prepareCall } from '#core/resolve/prepare/prepare-call';
import { workOut } from '#core/resolve/resolve';

function need<T>(result: { ok: true; value: T } | { ok: false }): T {
  if (!result.ok) throw new Error('the library cannot be read');
  return result.value;
}
const ROUNDS = 300;
/** Median of many, after a warm start. */
const timed = (run: () => void): number => {
  for (const start = performance.now(); performance.now() - start < 400;) run();
  const times = Array.from({ length: ROUNDS }, () => {
    const start = performance.now();
    run();
    return performance.now() - start;
  });
  return times.sort((a, b) => a - b)[ROUNDS / 2]!;
};

/** A play's run in time, and a front that slants against one that stands still, in one process. */
for (const id of ['inside-zone-z1', 'outside-zone', 'power', 'long-trap', 'pro-five-back']) {
  const scheme = need(schemeFrom(libraryText('schemes', id)!));
  const formation = need(formationFrom(libraryText('formations', scheme.head.from ?? 'five-man')!));
  const front = need(frontFrom(libraryText('fronts', 'over-two-high')!, formation));
  const slants = { ...front, movements: [{ kind: 'slant', who: null, side: 'right' } as const] };
  const prepared = prepareCall(scheme, formation, { side: 'right' });
  const resolution = resolve(scheme, formation, slants, { side: 'right' });
  const [run, still, moving] = [
    timed(() => runPlay(formation, front, resolution)),
    timed(() => workOut(prepared, front)),
    timed(() => workPlay(prepared, slants)),
  ];
  console.log(
    `${id.padEnd(18)}run in time ${run.toFixed(2)} ms (goal 5 ms)   verdict ${(still * 1000).toFixed(0)} µs standing still, ${(moving * 1000).toFixed(0)} µs when they slant: ${(moving / still).toFixed(1)} times`,
  );
}
