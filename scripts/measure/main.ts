import { workCall } from '#core/calls/resolve-call';
import { DEMO_SNAPS } from '#demo/scenario';
import { measureMovements } from './movements';
import { measurePlaces } from './places';
import { readTruth } from './truth';
import { Tally } from './tally';

const FOLDER = 'demo/film';

/** Measures the simulated film with clicks one pixel off and reports how near that comes to the truth. */
function main(): void {
  const tally = new Tally();
  for (const [i, snap] of DEMO_SNAPS.entries()) {
    const worked = workCall(snap.call);
    if (!worked.ok) throw new Error(`snap ${i + 1} cannot be worked out`);
    measurePlaces(readTruth(FOLDER, i + 1), worked.value, 100 * (i + 1), tally);
    if (i % 3 === 0) measureMovements(snap, 1000 * (i + 1), tally);
  }
  console.log('Simulated film, hands one pixel off. Real film is harder: men hide each other and the paint is worn.');
  tally.print((line) => console.log(line));
}

main();
