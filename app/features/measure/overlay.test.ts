import { describe, expect, it } from 'vitest';
import { workCall } from '#core/calls/resolve-call';
import { askedPlaces } from '#core/film/follow/asked';
import { bentTracks } from '#core/film/follow/keep';
import { placesOf } from '#core/film/alignment/places';
import type { Feet, FollowedPlay } from '#core/model/measured';
import { A_CALL } from '#core/testing/a-call';
import { aCalibration } from '#core/testing/a-calibration';

import { manOn, menOf, seenFromBall, whoseFeet } from './men';
import { feetOnPicture, waysOnPicture } from './overlay';

const calibration = aCalibration();
const worked = workCall(A_CALL);
if (!worked.ok) throw new Error('the call is broken');
const call = worked.value;
const men = menOf(call);
const named = (id: string) => men.find((m) => m.id === id)!;
/** Where the camera sees a man of the call. */
const at = (id: string) => seenFromBall(calibration, named(id), calibration)!;

describe('the men whose feet are clicked', () => {
  it('are the line from the left, the others with the quarterback, then the defence from the left', () => {
    expect(men.map((m) => m.id)).toEqual([
      ...['LT', 'LG', 'C', 'RG', 'RT', 'H', 'QB'],
      ...['LE', 'W', 'N', 'M', 'T', 'RE'],
    ]);
    expect(named('QB').y).toBeLessThan(-5);
  });
  it('are told by where the call has them, and nobody by a click on empty grass', () => {
    const near = { x: at('LG').x + 6, y: at('LG').y + 3 };
    expect(whoseFeet(near, men, calibration, [])?.id).toBe('LG');
    expect(whoseFeet({ x: 900, y: 500 }, men, calibration, [])).toBeNull();
  });
  it('are told by the other angle before the call', () => {
    const wide = { ...named('RE'), x: named('RE').x + 5 };
    const measured = [{ ...wide, spread: { xx: 0.01, xy: 0, yy: 0.01 }, angles: ['sideline' as const] }];
    const there = seenFromBall(calibration, wide, calibration)!;
    expect(whoseFeet(there, men, calibration, measured)?.id).toBe('RE');
  });
  it('come one after the other, round and round', () => {
    expect(manOn(men, named('RE'), 1)?.id).toBe('LT');
    expect(manOn(men, named('LT'), -1)?.id).toBe('RE');
    expect(manOn([], null, 1)).toBeNull();
  });
});

describe('feet on a picture', () => {
  const feet: Feet[] = [{ id: 'C', team: 'offence', angle: 'end zone', pixel: { x: 480, y: 300 } }];
  const measured = placesOf({ seconds: 0, feet }, { 'end zone': calibration });
  const drawn = feetOnPicture(men, feet, measured, 'end zone', calibration, named('LG'));
  const of = (id: string) => drawn.find((m) => m.id === id)!;
  it('stand where they were clicked, else where they should be; the next man stands out', () => {
    expect(of('C')).toMatchObject({ state: 'clicked', at: { x: 480, y: 300 } });
    expect(of('LG').state).toBe('next');
    expect(of('RT')).toMatchObject({ state: 'guess', at: at('RT') });
    expect(drawn).toHaveLength(men.length);
  });
  it('show the error of a click, and nothing of a guess', () => {
    expect(of('C').ellipse).toMatch(/^M[\d.]+ [\d.]+L/);
    expect(of('RT').ellipse).toBeNull();
  });
  it('are only what was clicked while there is no camera', () => {
    expect(feetOnPicture(men, feet, [], 'end zone', null, null).map((m) => m.id)).toEqual(['C']);
    expect(feetOnPicture(men, feet, [], 'sideline', null, null)).toEqual([]);
  });
});

describe('ways on a picture', () => {
  const play: FollowedPlay = {
    framesPerSecond: 30,
    start: 0,
    carried: [],
    tracks: [
      {
        id: 'RG',
        team: 'offence',
        places: Array.from({ length: 31 }, (_, f) => [4, -1 + f * 0.1, 0.1, 1] as [number, number, number, number]),
      },
      {
        id: 'T',
        team: 'defence',
        places: Array.from({ length: 31 }, () => [5, 2, 3, 0] as [number, number, number, number]),
      },
    ],
  };
  const tracks = bentTracks(play, []);
  const asked = askedPlaces(call, { x: 0, y: 0 }, 0);
  const drawn = (seconds: number, hand: { id: string; team: 'offence' } | null = null) =>
    waysOnPicture(tracks, play, asked, calibration, 'end zone', seconds, hand);
  it('end where a man is at that moment, and say who is lost', () => {
    const { men: dots } = drawn(0.5);
    const there = seenFromBall(calibration, { x: 4, y: 0.5 }, calibration)!;
    expect(dots[0]).toMatchObject({ id: 'RG', state: 'seen' });
    expect(Math.hypot(dots[0]!.at.x - there.x, dots[0]!.at.y - there.y)).toBeLessThan(0.1);
    expect(dots[1]).toMatchObject({ id: 'T', state: 'lost' });
    const points = (d: string | null) => d!.split('L').length;
    expect(points(drawn(1).ways[0]!.done)).toBeGreaterThan(points(drawn(0.5).ways[0]!.done));
  });
  it('show what was asked of blockers, of the man in hand alone when there is one, with his place by the plan', () => {
    expect(drawn(0.5).ways.map((w) => w.asked !== null)).toEqual([true, false]);
    const { ways } = drawn(0.5, { id: 'RG', team: 'offence' });
    expect(ways.map((w) => [w.inHand, w.asked !== null, w.planned !== null])).toEqual([
      [true, true, true],
      [false, false, false],
    ]);
  });
  it('show where a man of a play that is run again would be at that moment, whoever is in hand', () => {
    const again = [{ ...tracks[1]!, places: tracks[1]!.places.map((p, f) => ({ ...p, x: 5 + f * 0.2 })) }];
    const { ways } = waysOnPicture(tracks, play, asked, calibration, 'end zone', 0.5, null, again);
    expect([ways[0]!.planned, ways[0]!.apart]).toEqual([null, null]);
    expect(ways[1]!.apart).toMatch(/^M[\d. -]+L[\d. -]+$/);
    const there = seenFromBall(calibration, { x: 8, y: 2 }, calibration)!;
    expect(Math.hypot(ways[1]!.planned!.x - there.x, ways[1]!.planned!.y - there.y)).toBeLessThan(0.1);
  });
});
