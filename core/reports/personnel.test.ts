import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { need } from '../testing/need';
import { sayPersonnel } from './personnel';

describe('who is on the field', () => {
  it.each([
    ['LT LG C RG RT', 'nobody else'],
    ['LT LG C RG RT; B left', 'one back'],
    ['LT LG C RG RT Y right; H right; B left', 'one back, two tight ends'],
    ['LT LG C RG RT Y right; F; B', 'two backs, one tight end'],
  ])('%s: %s', (formation, says) => {
    expect(sayPersonnel(need(readFormation(formation)))).toBe(says);
  });
});
