import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { keyOfClick, NOTHING_MEASURED, type FollowedPlay, type Measuring } from '../../model/measured';
import { together } from './together';

const IDS = ['LT', 'C', 'N'];
const pixel = fc.record({ x: fc.integer({ min: 0, max: 3 }), y: fc.constant(100) });
const whose = {
  id: fc.constantFrom(...IDS),
  team: fc.constantFrom('offence' as const, 'defence' as const),
  angle: fc.constantFrom('end zone' as const, 'sideline' as const),
};
const PLAY: FollowedPlay = { framesPerSecond: 30, start: 0, tracks: [], carried: [] };
const measured: fc.Arbitrary<Measuring> = fc.record({
  atSnap: fc.uniqueArray(fc.record({ ...whose, pixel }), { selector: keyOfClick }),
  stances: fc.uniqueArray(fc.record({ ...whose, pixels: fc.tuple(pixel, pixel) }), { selector: keyOfClick }),
  followed: fc.constantFrom(null, PLAY, { ...PLAY, start: -0.2 }),
  bends: fc.array(
    fc.record({ id: whose.id, team: whose.team, seconds: fc.constant(1), x: fc.integer(), y: fc.integer() }),
    {
      maxLength: 2,
    },
  ),
});
/** The same whatever the order of clicks. */
const sorted = ({ atSnap, stances, followed, bends }: Measuring): Measuring => {
  const inOrder = <T extends Parameters<typeof keyOfClick>[0]>(all: readonly T[]): T[] =>
    [...all].sort((a, b) => (keyOfClick(a) < keyOfClick(b) ? -1 : 1));
  return { atSnap: inOrder(atSnap), stances: inOrder(stances), followed, bends };
};

describe('what two have measured of one snap', () => {
  it('is as the one has it who has changed anything', () => {
    fc.assert(
      fc.property(measured, measured, (before, other) => {
        for (const [mine, theirs] of [
          [before, other],
          [other, before],
          [other, other],
        ] as const) {
          const { measuring, both, isOfBoth } = together(before, mine, theirs);
          expect(sorted(measuring)).toEqual(sorted(other));
          expect(both).toEqual([]);
          expect(isOfBoth).toBe(JSON.stringify(sorted(theirs)) !== JSON.stringify(sorted(before)));
        }
      }),
    );
  });

  it('is the same whoever is asked, but of what both have changed: that is named, and as he has it who asks', () => {
    fc.assert(
      fc.property(measured, measured, measured, (before, mine, theirs) => {
        const [here, there] = [together(before, mine, theirs), together(before, theirs, mine)];
        expect([...here.both].sort()).toEqual([...there.both].sort());
        const isOurs = ({ id }: { id: string }): boolean => !here.both.includes(id);
        const free = ({ atSnap, stances }: Measuring): Measuring =>
          sorted({ ...NOTHING_MEASURED, atSnap: atSnap.filter(isOurs), stances: stances.filter(isOurs) });
        expect(free(here.measuring)).toEqual(free(there.measuring));
        if (here.both.length === 0) expect(sorted(here.measuring)).toEqual(sorted(there.measuring));
        for (const click of mine.atSnap.filter((c) => here.both.includes(c.id)))
          if (!before.atSnap.some((c) => JSON.stringify(c) === JSON.stringify(click)))
            expect(here.measuring.atSnap).toContainEqual(click);
      }),
    );
  });

  it('has clicks of both, and none that one of them has taken away', () => {
    const click = (id: string, x: number) =>
      ({ id, team: 'offence', angle: 'end zone', pixel: { x, y: 100 } }) as Measuring['atSnap'][number];
    const before = { ...NOTHING_MEASURED, atSnap: [click('LT', 1), click('C', 2)] };
    const mine = { ...before, atSnap: [click('LT', 1), click('C', 2), click('RG', 3)] };
    const theirs = { ...before, atSnap: [click('C', 5), click('LG', 4)] };
    const { measuring, both } = together(before, mine, theirs);
    expect(measuring.atSnap.map((c) => `${c.id} ${c.pixel.x}`).sort()).toEqual(['C 5', 'LG 4', 'RG 3']);
    expect(both).toEqual([]);
  });

  it('names whom both have clicked, and keeps ways and what bends them together', () => {
    const bend = { id: 'C', team: 'offence', seconds: 1, x: 2, y: 3 } as const;
    const before = { ...NOTHING_MEASURED, followed: PLAY };
    const theirs = { ...before, followed: { ...PLAY, start: 0.1 } };
    expect(together(before, { ...before, bends: [bend] }, theirs)).toEqual({
      measuring: { ...before, bends: [bend] },
      both: ['ways'],
      isOfBoth: true,
    });
    expect(together(before, before, theirs).measuring).toEqual(theirs);
  });
});
