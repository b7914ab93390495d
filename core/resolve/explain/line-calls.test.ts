import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { shippedScheme } from '../../calls/resolve-call';
import { need } from '../../testing/need';
import { resolveStill } from '../resolve';

/** What the tackle tells his end on a play, by its meaning. */
function told(
  id: string,
  end: string,
  formation = 'LT LG C RG RT Y right; Z wing right; B left',
  side: 'left' | 'right' = 'right',
) {
  const men = need(readFormation(formation));
  const front = need(readFront(`LE 5 left; N 1 left; T 3 right; ${end}; W 30 left; M 10 right`, men));
  return resolveStill(need(shippedScheme(id)), men, front, { side })
    .calls.filter((c) => c.meaning === 'headUp' || c.meaning === 'clear')
    .map((c) => `${c.from} to ${c.to}: ${c.meaning}`);
}

describe('what a tackle tells his end', () => {
  it('whether somebody stands head-up on him, where the end’s rules hang on it', () => {
    expect(told('down-gap', 'RE 4 right')).toEqual(['RT to Y: headUp']);
    expect(told('down-gap', 'RE 5 right')).toEqual(['RT to Y: clear']);
    expect(told('pin-pull-gap', 'RE 4 right')).toEqual(['RT to Y: headUp']);
  });

  it('nothing where nobody asks, or nobody stands there', () => {
    expect(told('inside-zone-z1', 'RE 4 right')).toEqual([]);
    expect(told('down-gap', 'RE 4 right', 'LT LG C RG RT; Z wing right; B left')).toEqual([]);
    expect(told('down-gap', 'RE 4 right', undefined, 'left')).toEqual([]);
  });
});
