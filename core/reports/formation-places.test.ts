import { expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { need } from '../testing/need';
import { describePlaces } from './formation-places';

it('says where each man stands, from left to right', () => {
  const men = need(readFormation('LT LG C RG RT Y right; split RG 30in; X wide left; B'));
  expect(describePlaces(men).map((p) => `${p.id}: ${p.says}`)).toEqual([
    'X: receiver, 48 ft left, 1 ft deep',
    'LT: 24 in from LG',
    'LG: 24 in from C',
    'C: over the ball',
    'B: back, behind the ball, 21 ft deep',
    'RG: 30 in from C',
    'RT: 24 in from RG',
    'Y: end, 24 in from RT',
  ]);
});
