import { describe, expect, it } from 'vitest';
import { inSentence } from './in-sentence';

describe('a name within a sentence', () => {
  it.each([
    ['Over', 'over'],
    ['Over, Mike in the A gap', 'over, Mike in the A gap'],
    ['Counter GT', 'counter GT'],
    ['GT counter', 'GT counter'],
    ['A gap over', 'A gap over'],
    ['4-3 walked up', '4-3 walked up'],
    ['Über', 'über'],
    ['', ''],
  ])('%s is said %s', (name, said) => {
    expect(inSentence(name)).toBe(said);
  });
});
