import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { shippedScheme } from '../../calls/resolve-call';
import { tagsInForce, toggleTag } from './tags';

const read = shippedScheme('inside-zone-z1');
if (!read.ok) throw new Error('z1');
const zone = read.value;
const known = zone.tags.map((t) => t.name);

describe('switching a tag', () => {
  it('turns that one over and leaves the others, and twice is never', () => {
    fc.assert(
      fc.property(fc.subarray(known), fc.subarray(known), fc.constantFrom(...known), (tags, without, name) => {
        const once = toggleTag(zone, { tags, without }, name);
        const [before, after] = [tagsInForce(zone, { tags, without }), tagsInForce(zone, once)];
        expect(after.has(name)).toBe(!before.has(name));
        for (const other of known.filter((t) => t !== name)) expect(after.has(other)).toBe(before.has(other));
        expect([...tagsInForce(zone, toggleTag(zone, once, name))].sort()).toEqual([...before].sort());
      }),
    );
  });

  it('changes nothing for a tag the play does not have', () => {
    expect(toggleTag(zone, { tags: ['split'], without: ['read'] }, 'wrap')).toEqual({
      tags: ['split'],
      without: ['read'],
    });
  });
});
