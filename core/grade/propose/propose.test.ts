import { describe, expect, it } from 'vitest';
import type { Meeting } from '../../film/follow/events';
import type { Track } from '../../film/follow/follow';
import type { PlayOnFilm } from '../../film/measures/measure';
import type { Assignment } from '../../model/resolution';
import { tellAssignment } from './assignment';
import { FAULT_SIGNS } from './fault-signs';
import { hadBy } from './had';
import { approaches } from './toward';
import { askedToLeave, offBoth, offTheWay, otherWays } from './way';

const FPS = 10;
const FRAMES = 31;
/** A man who goes evenly from one place to another in so many seconds, and stays there. Feet from the ball. */
function track(id: string, team: Track['team'], from: [number, number], to: [number, number], seconds = 2): Track {
  const places = Array.from({ length: FRAMES }, (_, f) => {
    const t = Math.min(1, f / FPS / seconds);
    return { x: from[0] + t * (to[0] - from[0]), y: from[1] + t * (to[1] - from[1]), z: 0, error: 0.1, seen: 1 };
  });
  return { id, team, places };
}
const asked = (change: Partial<Assignment> = {}): Assignment => ({
  ...{ blocker: 'RG', block: 'drive', target: 'T', partners: [], next: null, pull: false, help: null },
  path: [
    { x: 4, y: 0 },
    { x: 5, y: 3 },
  ],
  step: { kind: 'lead', foot: 'right' },
  ...{ aim: '', eyes: '', technique: null, call: null, followUps: [] },
  because: { sentence: 'always: drive on him', line: 1, passedOver: [], rather: null },
  ...change,
});
const meets = (defender: string, from: number, to: number | null, sure = 1, blocker = 'RG'): Meeting => ({
  ...{ blocker, defender, from, to, nearest: 1, sure, sureTo: sure },
});
const T = track('T', 'defence', [5, 3], [6, 4]);
const N = track('N', 'defence', [0, 3], [0, 4]);
const play = (change: Partial<PlayOnFilm> = {}): PlayOnFilm => ({
  ...{
    tracks: [T, N],
    framesPerSecond: FPS,
    start: 0,
    meetings: [],
    assignments: [asked()],
    pass: false,
    carrier: 'B',
  },
  ...change,
});
const toT = track('RG', 'offence', [4, 0], [5.5, 3]);
const toN = track('RG', 'offence', [4, 0], [0.5, 3]);
/** What would have been: on T as asked, or on N instead. */
const would = {
  asked: [toT],
  instead: (_blocker: string, defender: string) => (defender === 'N' ? toN : null),
};

describe('whom a man had', () => {
  it('is told with when and how long, the longest first, until the play is through', () => {
    const p = play({ meetings: [meets('N', 3, 5), meets('T', 8, null), meets('N', 9, 12, 0.4), meets('T', 29, null)] });
    expect(hadBy(p, 'RG', 2.5)).toEqual([
      { defender: 'T', from: 0.8, seconds: expect.closeTo(1.7, 6), sure: 1 },
      { defender: 'N', from: 0.3, seconds: expect.closeTo(0.5, 6), sure: 1 },
    ]);
    expect(hadBy(p, 'LG', 2.5)).toEqual([]);
  });

  it('is how near he came to each, and how much nearer than at the snap', () => {
    const [near, far] = approaches(play(), toT);
    expect([near!.defender, far!.defender]).toEqual(['T', 'N']);
    expect(near!.nearest).toBeLessThan(1.3);
    expect(near!.closed).toBeGreaterThan(1);
    expect(far!.closed).toBeLessThan(0.5);
  });
});

describe('whose way it was', () => {
  it('is nothing off for one who went as asked, and feet for one who did not', () => {
    expect(offTheWay(play({ would }), toT)).toEqual({ usual: 0, most: 0 });
    const off = offTheWay(play({ would }), toN)!;
    expect(off.usual).toBeGreaterThan(2);
    expect(off.most).toBeCloseTo(5, 1);
    expect(offTheWay(play(), toT)).toBeNull();
  });

  it('fits the man he went for better than his own', () => {
    expect(otherWays(play({ would }), toN, ['T'])).toEqual([{ defender: 'N', usual: 0, most: 0, way: toN }]);
    expect(otherWays(play(), toN, ['T'])).toEqual([]);
  });

  it('is told by the frames on which two ways differ, and not by others', () => {
    // Both ways are the same for a second; then one turns off.
    const turned = (feet: number): Track => ({
      ...toT,
      places: toT.places.map((p, f) => (f > 10 ? { ...p, x: p.x - feet * (f - 10) } : p)),
    });
    const [straight, turns] = [toT, turned(0.4)];
    expect(offTheWay(play({ would }), turns)!.usual).toBeLessThan(2);
    expect(offBoth(play(), turns, straight, turns)).toMatchObject({ other: 0 });
    expect(offBoth(play(), turns, straight, turns)!.one).toBeGreaterThan(2);
    expect(offBoth(play(), straight, straight, turns)).toMatchObject({ one: 0 });
    // Until then nobody can say, and ways that hardly differ say nothing.
    expect(offBoth(play(), turns, straight, turns, 1)).toBeNull();
    expect(offBoth(play(), turns, straight, turned(0.05))).toBeNull();
  });

  it('says when he was to leave whom he was on', () => {
    const partner = track('T', 'defence', [4.5, 2], [4.5, 2]);
    const leaver: Track = {
      ...track('RG', 'offence', [4, 0], [4.5, 1.2], 0.5),
      places: track('RG', 'offence', [4, 0], [4.5, 1.2], 0.5).places.map((p, f) =>
        f > 15 ? { ...p, x: p.x + (f - 15) * 0.8 } : p,
      ),
    };
    const asThat = { asked: [leaver, partner], instead: () => null };
    expect(askedToLeave(play({ would: asThat }), 'RG', 'T')).toBeCloseTo(1.6, 0);
    expect(askedToLeave(play({ would: asThat }), 'RG', 'N')).toBeNull();
    expect(askedToLeave(play(), 'RG', 'T')).toBeNull();
  });
});

describe('whether he had the right man', () => {
  const tell = (
    man: Track,
    meetings: Meeting[],
    change: Partial<Assignment> = {},
    p: Partial<PlayOnFilm> = { would },
  ) => {
    const it = play({ ...p, meetings });
    return tellAssignment(it, asked(change), man, hadBy(it, 'RG', 2.8));
  };

  it('is right where he came to him on the way that was asked', () => {
    expect(tell(toT, [meets('T', 9, null)])).toMatchObject({
      mark: 'right',
      why: 'He came to T after 0.9 s and had him 1.9 s.',
    });
    expect(tell(toT, []).mark).toBe('right');
  });

  it('is wrong where his way was that of a man who goes for another', () => {
    const told = tell(toN, [meets('N', 12, null)]);
    expect(told.mark).toBe('wrong');
    expect(told.why).toMatch(/^His way was that of a man who goes for N, \d\.\d ft off his own\.$/);
    expect(told.sure).toBeGreaterThan(0.6);
  });

  it.each([
    [2, 0.2, true, 'near another’s and far from his own'],
    [0.9, 0.15, true, 'hardly off his own, and all the time nearer to another’s'],
    [6, 2.8, false, 'near neither'],
    [0.9, 0.5, false, 'hardly nearer to another’s'],
    [1.9, 1.3, false, 'between the two'],
  ])('%d ft off his own way and %d off another’s: wrong is %s, for it was %s', (off, fromOther, isWrong) => {
    const aside = (feet: number): Track => track('RG', 'offence', [4 + feet, 0], [5.5 + feet, 3]);
    const on = { asked: [aside(off)], instead: () => aside(-fromOther) };
    expect(/^His way was that/.test(tell(toT, [], {}, { would: on }).why)).toBe(isWrong);
  });

  it('is wrong of one who went for another whose way turns off late, though a third one’s goes with it till then', () => {
    /** As he was asked for so many seconds, and then off to the left. */
    const turns = (seconds: number, feet: number): Track => ({
      ...toT,
      places: toT.places.map((p, f) => (f > seconds * FPS ? { ...p, x: p.x - feet * (f - seconds * FPS) } : p)),
    });
    const M = track('M', 'defence', [1, 6], [1, 6]);
    const ways: Record<string, Track> = { N: toT, M: turns(1.6, 0.4) };
    const both = { asked: [toT], instead: (_blocker: string, defender: string) => ways[defender] ?? null };
    // Up to two seconds he is nearer to the way to N, which is the one that was asked.
    const man = turns(1.7, 0.4);
    expect(otherWays(play({ tracks: [T, N, M], would: both }), man, ['T'])[0]!.defender).toBe('N');
    const told = tell(man, [], {}, { tracks: [T, N, M], would: both });
    expect([told.mark, told.why]).toEqual([
      'wrong',
      expect.stringMatching(/^His way was that of a man who goes for M/),
    ]);
  });

  it('of two others to whom his way fits names the one to whom it fits best', () => {
    const aside = (feet: number): Track => track('RG', 'offence', [4 + feet, 0], [5.5 + feet, 3]);
    const M = track('M', 'defence', [1, 6], [1, 6]);
    const off: Record<string, number> = { N: -1, M: -0.2 };
    const ways = { asked: [aside(3)], instead: (_blocker: string, defender: string) => aside(off[defender]!) };
    expect(tell(toT, [], {}, { tracks: [T, N, M], would: ways }).why).toMatch(/goes for M/);
  });

  it('is wrong of one who ran by his own man on his way to another', () => {
    const near = track('T', 'defence', [6.5, 2], [6.5, 2]);
    const past = track('RG', 'offence', [4, 0], [7, 5.5], 1.6);
    const behind = track('N', 'defence', [7.5, 6], [7.5, 6]);
    const on = { asked: [track('RG', 'offence', [4, 0], [6.2, 1.6], 0.6)], instead: () => past };
    expect(tell(past, [meets('N', 16, null)], {}, { would: on, tracks: [near, behind] })).toMatchObject({
      mark: 'wrong',
    });
  });

  it('is right of one who came from far and ran by his man, whatever he met behind him', () => {
    const far = track('T', 'defence', [10, 3], [10, 3]);
    const past = track('RG', 'offence', [4, 0], [12, 5], 1.4);
    const N2 = track('N', 'defence', [13, 6], [13, 6]);
    const on = { asked: [track('RG', 'offence', [4, 0], [10, 3], 1.05)], instead: () => past };
    const told = tell(past, [meets('N', 16, null)], {}, { would: on, tracks: [far, N2] });
    expect(told).toMatchObject({ mark: 'right', sure: 0.55 });
    expect(told.why).toMatch(/^He ran by T, \d\.\d ft away, and was on N then\.$/);
  });

  it('is told from contact alone where nobody knows what was asked in time', () => {
    expect(tell(toT, [meets('T', 9, null)], {}, {}).mark).toBe('right');
    expect(tell(toN, [meets('N', 12, null)], {}, {})).toMatchObject({ mark: 'wrong' });
  });

  it('is right for his second man as well, and not to be told of one who is asked nobody', () => {
    expect(tell(toN, [meets('N', 12, null)], { target: 'X', next: 'N' }, {}).mark).toBe('right');
    expect(tell(toN, [], { target: null }, {}).mark).toBeNull();
  });

  it('of one who is to leave a man is wrong only when he stays on him', () => {
    expect(tell(toT, [], { block: 'leave' }).mark).toBe('right');
    expect(tell(toT, [meets('T', 9, 10)], { block: 'leave' }).mark).toBe('right');
    expect(tell(toT, [meets('T', 9, 20)], { block: 'leave' }).mark).toBe('wrong');
  });

  it('is not told where the film has lost him', () => {
    const lost: Track = { ...toN, places: toN.places.map((p) => ({ ...p, seen: 0, error: 3 })) };
    expect(tell(lost, [], {}, {})).toEqual({ mark: null, sure: 0, why: 'The film has lost him for most of the play.' });
  });
});

describe('signs of faults', () => {
  const signs = (man: Track, change: Partial<Assignment> = {}, p: Partial<PlayOnFilm> = {}) => {
    const of = asked(change);
    const it = play({ would, assignments: [of], ...p });
    return FAULT_SIGNS.filter(({ of: tell }) => tell({ play: it, man, asked: of, had: hadBy(it, 'RG', 2.8) })).map(
      (s) => s.fault,
    );
  };

  it('are none of one who did as asked', () => {
    expect(signs(toT, {}, { meetings: [meets('T', 9, null)] })).toEqual([]);
  });

  it('are a false step where the first goes back, but not of one who is to', () => {
    const back: Track = { ...toT, places: toT.places.map((p, f) => ({ ...p, y: f < 6 ? -0.25 * f : p.y })) };
    const met = { meetings: [meets('T', 9, null)] };
    expect(signs(back, {}, met)).toContain('false-step');
    expect(signs(back, { block: 'pull-lead', pull: true }, met)).not.toContain('false-step');
  });

  it('are a pull deeper than was asked, by its feet', () => {
    const path = [
      { x: 4, y: 0 },
      { x: 0, y: -2 },
      { x: -4, y: 3 },
    ];
    const pull = (depth: number): Track => track('RG', 'offence', [4, 0], [0, -depth]);
    const deep = { block: 'pull-lead', pull: true, path };
    expect(signs(pull(5), deep)).toContain('too-deep');
    expect(signs(pull(2.5), deep)).not.toContain('too-deep');
  });

  it('are a miss where he came near off his way and never had him', () => {
    const by = track('RG', 'offence', [4, 0], [9.5, 4]);
    expect(signs(by)).toContain('missed');
    expect(signs(by, {}, { meetings: [meets('T', 9, 11)] })).not.toContain('missed');
    expect(signs(by, { help: 'hand' })).not.toContain('missed');
  });

  it('are ground given where movement was asked', () => {
    const gives = track('T', 'defence', [5, 3], [5, -1]);
    const met = { meetings: [meets('T', 3, null)], tracks: [gives, N] };
    expect(signs(toT, {}, met)).toContain('no-movement');
    expect(signs(toT, { block: 'man' }, met)).not.toContain('no-movement');
  });

  it('are pads above those of his man, and nothing where they are level or nobody knows', () => {
    const at = (t: Track, z: number): Track => ({ ...t, places: t.places.map((p) => ({ ...p, z })) });
    const told = (own: number, his: number) => {
      const man = at(toT, own);
      return signs(man, {}, { meetings: [meets('T', 9, null)], tracks: [man, at(T, his), N] });
    };
    expect(told(3.5, 2.7)).toContain('high-pads');
    for (const [own, his] of [
      [2.7, 2.7],
      [2.95, 2.7],
      [2.2, 2.7],
      [3.5, 0],
    ] as const)
      expect(told(own, his)).not.toContain('high-pads');
  });

  it('name each fault once', () => {
    expect(new Set(FAULT_SIGNS.map((s) => s.fault)).size).toBe(FAULT_SIGNS.length);
  });
});
