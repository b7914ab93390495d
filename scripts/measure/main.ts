import { workCall } from '#core/calls/resolve-call';
import { DEMO_SNAPS } from '#demo/scenario';
import { measureAssisted } from './assisted';
import { openCv } from './film';
import { measureFollowing } from './following';
import { measureMovements } from './movements';
import { measurePlaces } from './places';
import { measureStances } from './stances';
import { readTruth } from './truth';
import { Tally } from './tally';

const FOLDER = 'demo/film';
/** Snaps that were filmed by hand too. */
const HAND_FOLDER = 'demo/film/hand-held';
const HAND_HELD = [3, 10, 17];
/** Movements are run on every third snap: each of them is every movement of the menu. */
const MOVEMENTS_ON = 3;

/** Measures the simulated film with clicks one pixel off and reports how near that comes to the truth: `npm run measure [SNAP...]`. */
async function main(): Promise<void> {
  const only = process.argv.slice(2).map(Number);
  const tally = new Tally();
  const { cv } = await openCv();
  for (const [i, snap] of DEMO_SNAPS.entries()) {
    const number = i + 1;
    if (only.length > 0 && !only.includes(number)) continue;
    const worked = workCall(snap.call);
    if (!worked.ok) throw new Error(`snap ${number} cannot be worked out`);
    const truth = readTruth(FOLDER, number);
    measurePlaces(truth, worked.value, 100 * number, tally);
    measureStances(truth, 100 * number, tally);
    measureAssisted(truth, FOLDER, number, 100 * number, tally);
    measureFollowing(cv, { truth, folder: FOLDER, number, call: worked.value, moves: false }, tally);
    if (i % MOVEMENTS_ON === 0) measureMovements(snap, 1000 * number, tally);
  }
  console.log(
    'Simulated film, hands one pixel off. Men on it run by the same shipped speeds as the run of what was asked.',
  );
  console.log('Real film is harder: kits are dirty, men turn, the paint is worn, cameras pan.');
  tally.print((line) => console.log(line));
  console.log('Held by hand, cameras carried along by the field:');
  const held = new Tally();
  for (const number of HAND_HELD) {
    const worked = workCall(DEMO_SNAPS[number - 1]!.call);
    if (!worked.ok || (only.length > 0 && !only.includes(number))) continue;
    const filmed = { truth: readTruth(HAND_FOLDER, number), folder: HAND_FOLDER, number, call: worked.value };
    measureFollowing(cv, { ...filmed, moves: true }, held);
  }
  held.print((line) => console.log(line));
}

await main();
