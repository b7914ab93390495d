import { describe, expect, it } from 'vitest';
import { aSnap } from '~/testing/a-snap';
import { sayOn, sayTask } from './words';

const asked = aSnap(21).resolution.assignments[0]!;

describe('what is said of a man in hand', () => {
  it.each([
    ['his man', { target: 'N', next: null }, 'N'],
    ['his man, then another', { target: 'N', next: 'M' }, 'N, then M'],
    ['nobody in particular', { target: null, next: null }, 'next level'],
    ['nobody in particular, then one', { target: null, next: 'M' }, 'next level, then M'],
  ])('names %s', (_what, whom, said) => {
    expect(sayOn({ ...asked, ...whom })).toBe(said);
  });

  it.each([
    ['alone', { block: 'drive', partners: [], help: null }, 'drive, on N'],
    ['with another', { block: 'drive', partners: ['C'], help: 'full' as const }, 'drive, in pair with C, on N'],
    [
      'with two',
      { block: 'drive', partners: ['C', 'RG'], help: 'full' as const },
      'drive, in pair with C and RG, on N',
    ],
  ])('says what was asked of him %s', (_how, how, said) => {
    expect(sayTask({ ...asked, target: 'N', next: null, ...how })).toBe(said);
  });
});
