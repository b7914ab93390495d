import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { findUnkeepable } from './keepable';

describe('what cannot be kept', () => {
  it('is found wherever it stands, and named', () => {
    expect(findUnkeepable({ call: { tags: ['read', 'x\0'] } })).toEqual({
      path: ['call', 'tags', '1'],
      what: expect.stringContaining('number 0'),
    });
    expect(findUnkeepable('\ud800')).toMatchObject({ path: [], what: expect.stringContaining('two-part') });
    expect(findUnkeepable('a\udc00b')).toMatchObject({ what: expect.stringContaining('two-part') });
    expect(findUnkeepable({ note: { 'a\0': 1 } })).toMatchObject({ path: ['note'] });
  });

  it('is no whole text, whatever its characters', () => {
    expect(findUnkeepable({ a: ['🏈', 'Sömmer', ''], b: [1, null, true] })).toBeNull();
    fc.assert(
      fc.property(fc.jsonValue({ stringUnit: 'grapheme', maxDepth: 6 }), (value) => {
        const found = findUnkeepable(value);
        expect(found === null).toBe(!JSON.stringify(value).includes('\\u0000'));
      }),
    );
  });

  it('is what one spoilt text makes of any value', () => {
    fc.assert(
      fc.property(fc.dictionary(fc.string({ unit: 'grapheme-ascii' }), fc.integer()), fc.string(), (record, more) => {
        expect(findUnkeepable([record, { spoilt: `${more}\0` }])).toMatchObject({ path: ['1', 'spoilt'] });
      }),
    );
  });

  it('is a value without end', () => {
    let deep: unknown = 'x';
    for (let i = 0; i < 100_000; i++) deep = [deep];
    expect(findUnkeepable(deep)).toMatchObject({ what: expect.stringContaining('nested') });
  });
});
