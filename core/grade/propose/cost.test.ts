import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { TACKLE_REACH } from '../../kinematics/speeds';
import type { Track } from '../../film/follow/follow';
import type { PlayOnFilm } from '../../film/measures/measure';
import type { Assignment } from '../../model/resolution';
import { CONSEQUENCES } from '../../model/grade';
import { costOf } from './cost';

const FPS = 10;
const FRAMES = 30;
/** A man whose place is a function of the seconds since the snap. */
const track = (id: string, team: Track['team'], at: (t: number) => [number, number]): Track => ({
  ...{ id, team },
  places: Array.from({ length: FRAMES }, (_, f) => {
    const [x, y] = at(f / FPS);
    return { x, y, z: 0, error: 0.1, seen: 1 };
  }),
});
const asked = { blocker: 'RG', target: 'T', next: 'M' } as Assignment;
/** The ball goes straight on from seven yards deep, a yard a tenth of a second after the hand-over. */
const runner = track('B', 'offence', (t) => [3, Math.max(-9, -9 + 9 * (t - 0.5))]);
const passer = track('QB', 'offence', () => [0, -15]);
const still = (id: string, x: number, y: number): Track => track(id, 'defence', () => [x, y]);
const play = (tracks: Track[], pass = false): PlayOnFilm => ({
  ...{ tracks, framesPerSecond: FPS, start: 0, meetings: [], assignments: [asked], pass },
  carrier: pass ? 'QB' : 'B',
});

describe('what a missed block meant', () => {
  it('in a run is where his man came to the ball', () => {
    const meant = (y: number, x = 3) => costOf(play([runner, still('T', x, y)]), asked, 4)?.consequence;
    expect([meant(-4), meant(5), meant(20), meant(5, 14)]).toEqual(['fatal', 'costly', 'harmless', 'harmless']);
    expect(costOf(play([runner, still('T', 3, 5)]), asked, 1)!.consequence).toBe('harmless');
  });

  it('changes at the line, at what a good run gains, and at arm’s length with the error of the place', () => {
    // The ball is at the line on one frame, four yards past it on another.
    const steps = track('B', 'offence', (t) => [3, t < 1 ? -9 : t < 1.5 ? 0 : t < 1.8 ? 0.6 : t < 2 ? 12 : 40]);
    const at = (y: number) => costOf(play([steps, still('T', 3, y)]), asked, 4);
    expect(at(0)).toEqual({ consequence: 'fatal', why: expect.stringContaining('0 ft behind the line') as string });
    expect(at(0.6)).toEqual({ consequence: 'costly', why: expect.stringContaining('ft past it') as string });
    expect(at(12)).toEqual({ consequence: 'harmless', why: expect.stringContaining('12 ft past it') as string });
    expect(costOf(play([steps, still('T', 3, 12)]), asked, 4.1)!.consequence).toBe('costly');
    const reach = (away: number) => costOf(play([steps, still('T', 3 + away, 0)]), asked, 4)!.consequence;
    expect([reach(TACKLE_REACH), reach(TACKLE_REACH + 0.05), reach(TACKLE_REACH + 0.3)]).toEqual([
      ...['fatal', 'fatal', 'harmless'],
    ]);
    const hurry = (x: number) => costOf(play([passer, still('T', x, -15)], true), asked, 4)!.consequence;
    expect([hurry(6), hurry(6.01)]).toEqual(['costly', 'harmless']);
  });

  it('is looked for up to the last frame, and no farther than both were followed', () => {
    const dive = track('B', 'offence', (t) => [3, -9 + 3 * t]);
    const last = track('T', 'defence', (t) => (t > 2.85 ? [3, -1] : [40, 0]));
    expect(costOf(play([dive, last]), asked, 4)!.consequence).toBe('fatal');
    expect(costOf(play([dive, { ...last, places: last.places.slice(0, -1) }]), asked, 4)!.consequence).toBe('harmless');
  });

  it('in a pass is how near to the quarterback he came', () => {
    const meant = (x: number) => costOf(play([passer, still('T', x, -15)], true), asked, 4)?.consequence;
    expect([meant(2), meant(5), meant(9)]).toEqual(['fatal', 'costly', 'harmless']);
  });

  it('is told of whichever of his two came nearer, with when and where', () => {
    const cost = costOf(play([runner, still('T', 14, 1), still('M', 4, 6)]), asked, 4)!;
    expect(cost).toEqual({
      consequence: 'costly',
      why: expect.stringMatching(/^M was 1 ft from the ball after 2\.\d s, \d(\.\d)? ft past it; never nearer\.$/),
    });
  });

  it('cannot be told without the ball or without his man', () => {
    expect(costOf(play([still('T', 3, 5)]), asked, 4)).toBeNull();
    expect(costOf(play([runner, still('N', 3, 5)]), asked, 4)).toBeNull();
    expect(costOf(play([runner, still('T', 3, 5)]), { ...asked, target: null, next: null }, 4)).toBeNull();
  });

  it('is no meeting at the mesh: a man beside the back while he waits for the ball met nobody', () => {
    const passing = track('T', 'defence', (t) => (t < 0.45 ? [3, -9] : [30, -9]));
    expect(costOf(play([runner, passing]), asked, 4)!.consequence).toBe('harmless');
    const deep = track('B', 'offence', (t) => [3, -15 + 9 * Math.max(0, t - 0.5)]);
    const through = track('T', 'defence', (t) => (t < 0.9 ? [3, -14] : [30, -14]));
    expect(costOf(play([deep, through]), asked, 4)!.consequence).toBe('harmless');
  });

  it('never grows when he is farther off to the side', () => {
    const rank = (x: number, y: number): number =>
      CONSEQUENCES.indexOf(costOf(play([runner, still('T', 3 + x, y)]), asked, 4)!.consequence);
    const aside = fc.double({ min: 0, max: 12, noNaN: true });
    fc.assert(
      fc.property(aside, aside, fc.double({ min: -8, max: 20, noNaN: true }), (near, more, y) => {
        expect(rank(near + more, y)).toBeLessThanOrEqual(rank(near, y));
      }),
    );
  });
});
