import { Bench } from 'tinybench';
import { identify } from '#core/identify/identify';
import { frontFrom, formationFrom, libraryIds, libraryText, schemeFrom } from '#core/library/library';
import { decide, prepareCall, resolve, workOut } from '#core/resolve/resolve';

const formation = formationFrom(libraryText('formations', 'h-back')!);
if (!formation.ok) throw new Error('h-back');
/** Fronts without movement as coaches meet them every week. */
const fronts = ['over', 'under', 'odd', 'tite', 'stack', 'two-i', 'wide-nine', 'double-three'].map((id) => {
  const front = frontFrom(libraryText('fronts', id)!, formation.value);
  if (!front.ok) throw new Error(id);
  return front.value;
});

const bench = new Bench({ time: 250 });
bench.add('identify alone', () => { for (const front of fronts) identify(formation.value, front, { side: 'right' }); });
for (const id of libraryIds('schemes')) {
  const scheme = schemeFrom(libraryText('schemes', id)!);
  if (!scheme.ok) throw new Error(id);
  const prepared = prepareCall(scheme.value, formation.value, { side: 'right' });
  bench.add(`${id}, outcome`, () => { for (const front of fronts) decide(prepared, front); });
  bench.add(`${id}, verdict`, () => { for (const front of fronts) workOut(prepared, front); });
  bench.add(`${id}, with reasons`, () => { for (const front of fronts) resolve(scheme.value, formation.value, front, { side: 'right' }); });
}
await bench.run();
const rate = (name: string): number => (bench.getTask(name)!.result as { throughput: { mean: number } }).throughput.mean * fronts.length;
const base = rate('identify alone');
console.log(`${'on one core'.padEnd(40)}${'a second'.padStart(10)}   times "identify alone"`);
for (const task of bench.tasks) console.log(`${task.name.padEnd(40)}${Math.round(rate(task.name)).toLocaleString('en').padStart(10)}   ${(rate(task.name) / base).toFixed(2)}`);
