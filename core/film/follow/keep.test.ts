import * as fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { Bend, FollowedPlay } from '../../model/measured';
import { bentTracks, keepTracks } from './keep';
import type { Track } from './follow';

const RATE = 30;
const straight: Track = {
  id: 'RG',
  team: 'offence',
  places: Array.from({ length: 61 }, (_, f) => ({ x: 3 + f * 0.1, y: 98, z: 3, error: 1, seen: 0.1 })),
};
const play: FollowedPlay = keepTracks([straight], { x: -2, y: 99 }, RATE, 0);
const bend = (seconds: number, x: number, y: number): Bend => ({ id: 'RG', team: 'offence', seconds, x, y });

describe('kept tracks', () => {
  it('are feet from the ball', () => {
    expect(play.tracks[0]!.places[0]).toEqual([5, -1, 1, 0.1]);
  });
  it('keep how high a man was, which those of an older build did not', () => {
    expect(bentTracks(play, [])[0]!.places[7]!.z).toBe(3);
    const older = { ...play, tracks: play.tracks.map(({ id, team, places }) => ({ id, team, places })) };
    expect(bentTracks(older, [])[0]!.places[7]!.z).toBe(0);
  });
  it('are the same without a bend', () => {
    const [track] = bentTracks(play, []);
    expect(track!.places.map((p) => [p.x, p.y])).toEqual(play.tracks[0]!.places.map((p) => [p[0], p[1]]));
  });
  it('go through every place that was set by hand, and start where they started', () => {
    fc.assert(
      fc.property(
        fc.uniqueArray(fc.integer({ min: 1, max: 60 }), { minLength: 1, maxLength: 5 }),
        fc.array(fc.integer({ min: -8, max: 8 }), { minLength: 10, maxLength: 10 }),
        (frames, shifts) => {
          const bends = frames.map((f, i) => bend(f / RATE, shifts[2 * i]!, shifts[2 * i + 1]!));
          const [track] = bentTracks(play, bends);
          for (const b of bends) {
            const at = track!.places[Math.round(b.seconds * RATE)]!;
            expect(Math.hypot(at.x - b.x, at.y - b.y)).toBeLessThan(1e-9);
          }
          expect([track!.places[0]!.x, track!.places[0]!.y]).toEqual([5, -1]);
        },
      ),
    );
  });
  it('bend only the man who was set, and nobody for a moment that was not filmed', () => {
    const other: Bend = { ...bend(1, 0, 0), id: 'RT' };
    expect(bentTracks(play, [other, bend(9, 0, 0), bend(-1, 0, 0)])).toEqual(bentTracks(play, []));
  });
  it('are surer around a place set by hand than far from it', () => {
    const [track] = bentTracks(play, [bend(1, 8, 0)]);
    expect(track!.places[30]).toMatchObject({ error: 0.3, seen: 1 });
    expect(track!.places[36]!.error).toBeLessThan(1);
    expect(track!.places[60]).toMatchObject({ error: 1, seen: 0.1 });
  });
});
