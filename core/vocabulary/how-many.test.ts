import { describe, expect, it } from 'vitest';
import { howMany } from './how-many';

describe('so many of something', () => {
  it.each([
    [0, 'snap', undefined, '0 snaps'],
    [1, 'snap', undefined, '1 snap'],
    [2, 'snap', undefined, '2 snaps'],
    [1, 'man', 'men', '1 man'],
    [11, 'man', 'men', '11 men'],
  ])('says %i of "%s"', (n, one, many, said) => {
    expect(howMany(n, one, many)).toBe(said);
  });
});
