// What a line coach would object to: `npm run doubts [FRONTS [SCHEME]]`.
import { surveyRandom, surveyShipped, type DoubtSurvey } from '#core/testing/doubt-survey';
import { libraryIds } from '#core/library/library';

const SEED = 11;
const fronts = Number(process.argv[2] ?? 10_000);
const wanted = process.argv[3];

const share = (n: number, of: number): string => `${((100 * n) / of).toFixed(1)} %`;
const kindsOf = ({ kinds }: DoubtSurvey): string => [...kinds].map(([kind, n]) => `${kind} ${n}`).join(', ');

console.log(`${fronts} random fronts a scheme, seed ${SEED}; every other one moves`);
for (const id of libraryIds('schemes')) {
  if (wanted && id !== wanted) continue;
  const [shipped, random] = [surveyShipped(id), surveyRandom(id, fronts, SEED)];
  const figures = `${share(random.doubtful, random.fronts)} doubtful, ${random.sound} of them called sound`;
  console.log(`${id.padEnd(18)} ${figures}; shipped ${shipped.doubtful} of ${shipped.fronts}  ${kindsOf(random)}`);
  for (const text of random.called) console.log(`  called sound: ${text}`);
  if (wanted) for (const [kind, text] of [...shipped.examples, ...random.examples]) console.log(`  ${kind}: ${text}`);
}
