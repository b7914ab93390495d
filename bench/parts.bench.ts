import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { Facts } from '#core/identify/identify';
import { formationFrom, libraryIds, libraryText, schemeFrom, spaceFrom } from '#core/library/library';
import type { Front } from '#core/model/front';
import { allot } from '#core/resolve/allot/allot';
import { settleOutcome, type Outcome } from '#core/resolve/allot/outcome';
import { canMeet, carryOf, freeMen } from '#core/resolve/judge/race';
import { prepareCall } from '#core/resolve/prepare/prepare-call';
import { judged } from '#core/resolve/resolve';
import { setScene } from '#core/resolve/settle/set-scene';
import { settleFirstLevel, type Settled } from '#core/resolve/settle/settle';
import { choiceDrawn, openSpace } from '#core/stress/space';
import { YARD } from '#core/geometry/units';

/*
 * What one front costs, in its parts, each scheme in a worker of its own as proof runs them: the first level settled, the second level shared out, who has whom read off, the verdict, and of it the
 * race of whoever nobody has (run once more). Each is by how much longer it takes with that part than without: microseconds a front on one
 * core, the least of several rounds each, as a machine does not keep one speed.
 */
const FRONTS = 1_000;
const ROUNDS = 25;

function need<T>(result: { ok: true; value: T } | { ok: false }): T {
  if (!result.ok) throw new Error('the library cannot be read');
  return result.value;
}

function measure(id: string): readonly number[] {
  const scheme = need(schemeFrom(libraryText('schemes', id)!));
  const formation = need(formationFrom(libraryText('formations', scheme.head.from ?? 'five-man')!));
  const space = need(openSpace(need(spaceFrom(libraryText('spaces', 'even')!)), formation));
  const prepared = prepareCall(scheme, formation, { side: 'right' });
  const { seated, call, settings, aim } = prepared;
  const fronts: Front[] = [];
  for (let i = 0; i < FRONTS; i++) {
    const front = space.frontAt(choiceDrawn(space.radix, 1, i));
    if (front) fronts.push(front);
  }
  const settle = (front: Front): Settled =>
    settleFirstLevel(seated, setScene(seated, new Facts(formation, front, { side: call.side, settings })));
  const work = (front: Front): Outcome => judged(prepared, settleOutcome(settle(front), aim)).outcome;
  const race = (outcome: Outcome): void => {
    const { scene } = outcome.settled;
    const [carry, standard] = [carryOf(aim, scheme.head.tempo), settings.standardYards * YARD];
    for (const d of freeMen(outcome)) canMeet(scene, d, carry, standard);
  };
  const steps: readonly ((front: Front) => unknown)[] = [
    settle,
    (front) => allot(settle(front), aim),
    (front) => settleOutcome(settle(front), aim),
    work,
    (front) => (aim.pocket ? work(front) : race(work(front))),
  ];
  const least = steps.map(() => Infinity);
  for (let round = 0; round < ROUNDS; round++)
    for (const [step, run] of steps.entries()) {
      const start = performance.now();
      for (const front of fronts) run(front);
      least[step] = Math.min(least[step]!, ((performance.now() - start) * 1000) / fronts.length);
    }
  return least.map((time, step) => time - (least[step - 1] ?? 0));
}

const PARTS = ['first level', 'allotment', 'read off', 'verdict', 'its race'] as const;
if (isMainThread) {
  console.log(`${'microseconds a front'.padEnd(22)}${PARTS.map((p) => p.padStart(13)).join('')}`);
  for (const id of libraryIds('schemes')) {
    const parts = await new Promise<readonly number[]>((done, failed) => {
      new Worker(new URL(import.meta.url), { workerData: id }).once('message', done).once('error', failed);
    });
    console.log(`${id.padEnd(22)}${parts.map((part) => part.toFixed(2).padStart(13)).join('')}`);
  }
} else {
  parentPort!.postMessage(measure(workerData as string));
}
