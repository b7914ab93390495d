import { Engine, type RuleProperties } from 'json-rules-engine';
import { formationFrom, frontFrom, libraryIds, libraryText, schemeFrom } from '#core/library/library';
import { prepareCall } from '#core/resolve/prepare/prepare-call';
import { workOut } from '#core/resolve/resolve';

/**
 * The conditions of inside zone z1 in a general-purpose rule package: for each man covered, backside neighbour covered, neither. Only the
 * choice of a sentence, without partners, linebackers or a verdict, and with "covered" handed to it ready made.
 */
const rules: RuleProperties[] = [
  { priority: 3, conditions: { all: [{ fact: 'covered', operator: 'equal', value: true }] }, event: { type: 'drive' } },
  {
    priority: 2,
    conditions: {
      all: [
        { fact: 'covered', operator: 'equal', value: false },
        { fact: 'backsideCovered', operator: 'equal', value: true },
      ],
    },
    event: { type: 'help' },
  },
  {
    priority: 1,
    conditions: {
      all: [
        { fact: 'covered', operator: 'equal', value: false },
        { fact: 'backsideCovered', operator: 'equal', value: false },
      ],
    },
    event: { type: 'climb' },
  },
];

const formation = formationFrom(libraryText('formations', 'five-man')!);
const scheme = schemeFrom(libraryText('schemes', 'inside-zone-z1')!);
if (!formation.ok || !scheme.ok) throw new Error('the library cannot be read');
const fronts = libraryIds('fronts').map((id) => {
  const front = frontFrom(libraryText('fronts', id)!, formation.value);
  if (!front.ok) throw new Error(id);
  return front.value;
});
const prepared = prepareCall(scheme.value, formation.value, { side: 'right' });
const engine = new Engine(rules);
const covers = fronts.map((front) =>
  workOut(prepared, front).outcome.settled.scene.cover.men.map((his) => his.length > 0),
);

const rate = async (run: () => Promise<void> | void): Promise<number> => {
  await run();
  const start = performance.now();
  let rounds = 0;
  while (performance.now() - start < 1500) {
    await run();
    rounds++;
  }
  return (rounds * fronts.length * 1000) / (performance.now() - start);
};
const theirs = await rate(async () => {
  for (const line of covers)
    for (let i = 0; i < line.length; i++) await engine.run({ covered: line[i], backsideCovered: i > 0 && line[i - 1] });
});
const ours = await rate(() => {
  for (const front of fronts) workOut(prepared, front);
});
console.log(`general rule package, sentences only:  ${Math.round(theirs).toLocaleString('en')} fronts a second`);
console.log(
  `this engine, all of it with verdict:   ${Math.round(ours).toLocaleString('en')} fronts a second, ${(ours / theirs).toFixed(0)} times as many`,
);
