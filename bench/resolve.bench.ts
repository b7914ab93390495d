import { isMainThread, parentPort, Worker, workerData } from 'node:worker_threads';
import { Bench } from 'tinybench';
import { Facts } from '#core/identify/identify';
import { formationFrom, frontFrom, libraryIds, libraryText, schemeFrom } from '#core/library/library';
import { decide, resolveStill, workOut } from '#core/resolve/resolve';
import { prepareCall } from '#core/resolve/prepare/prepare-call';

/*
 * Resolutions a second on one core, scheme after scheme, each in a worker of its own as proof runs them. A machine does not keep one
 * speed, so every rate is taken in several rounds: the middle one and the best are shown, and beside them how many times as fast a round
 * looks at the picture alone, taken in the same rounds.
 */
const ROUNDS = 7;
/** How long each of the four tasks of a round runs, ms. */
const TIME = 80;
/** Fronts without movement as coaches meet them every week. */
const FRONTS = ['over', 'under', 'odd', 'tite', 'stack', 'two-i', 'wide-nine', 'double-three'];
const TASKS = ['picture', 'outcome', 'verdict', 'reasons'] as const;

type Rates = Readonly<Record<(typeof TASKS)[number], readonly number[]>>;

async function measure(id: string): Promise<Rates> {
  const formation = formationFrom(libraryText('formations', 'h-back')!);
  const scheme = schemeFrom(libraryText('schemes', id)!);
  if (!formation.ok || !scheme.ok) throw new Error(`${id} cannot be read`);
  const fronts = FRONTS.map((name) => {
    const front = frontFrom(libraryText('fronts', name)!, formation.value);
    if (!front.ok) throw new Error(`${name} cannot be read`);
    return front.value;
  });
  const call = { side: 'right' } as const;
  const prepared = prepareCall(scheme.value, formation.value, call);
  const rates: Record<(typeof TASKS)[number], number[]> = { picture: [], outcome: [], verdict: [], reasons: [] };
  for (let round = 0; round < ROUNDS; round++) {
    const bench = new Bench({ time: TIME, warmup: round === 0 });
    bench.add('picture', () => {
      for (const front of fronts) new Facts(formation.value, front, call).backers();
    });
    bench.add('outcome', () => {
      for (const front of fronts) decide(prepared, front);
    });
    bench.add('verdict', () => {
      for (const front of fronts) workOut(prepared, front);
    });
    bench.add('reasons', () => {
      for (const front of fronts) resolveStill(scheme.value, formation.value, front, call);
    });
    await bench.run();
    for (const name of TASKS) {
      const { result } = bench.getTask(name)!;
      if (!('throughput' in result)) throw new Error(`${id}, ${name}: not measured`);
      rates[name].push(result.throughput.mean * fronts.length);
    }
  }
  return rates;
}

const middle = (list: readonly number[]): number => [...list].sort((a, b) => a - b)[list.length >> 1]!;
const said = (rate: number): string => Math.round(rate).toLocaleString('en').padStart(11);

if (isMainThread) {
  console.log(
    `${'a second, one core'.padEnd(22)}${['outcome', 'best round', 'verdict', 'best round', 'reasons'].map((s) => s.padStart(11)).join('')}   a picture's time`,
  );
  for (const id of libraryIds('schemes')) {
    const rates = await new Promise<Rates>((done, failed) => {
      new Worker(new URL(import.meta.url), { workerData: id }).once('message', done).once('error', failed);
    });
    const { outcome, verdict, reasons, picture } = rates;
    const times = middle(outcome.map((rate, i) => picture[i]! / rate));
    console.log(
      `${id.padEnd(22)}${said(middle(outcome))}${said(Math.max(...outcome))}${said(middle(verdict))}${said(Math.max(...verdict))}${said(middle(reasons))}   × ${times.toFixed(1)}`,
    );
  }
} else {
  parentPort!.postMessage(await measure(workerData as string));
}
