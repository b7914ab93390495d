import { describe, expect, it } from 'vitest';
import { resolveCall } from '../../calls/resolve-call';
import { A_CALL } from '../../testing/a-call';
import { need } from '../../testing/need';
import { REPLAY_KNOWS, sayReplay } from '../../reports/replay-lines';
import { meetingsOf } from '../follow/events';
import type { Track } from '../follow/follow';
import { mendsThatMatter, replayOf, type Replayable } from './replay';

const RATE = 30;
const SECONDS = 2.5;
const track = (id: string, team: Track['team'], way: (t: number) => readonly [number, number]): Track => ({
  id,
  team,
  places: Array.from({ length: SECONDS * RATE + 1 }, (_, f) => {
    const [x, y] = way(f / RATE);
    return { x, y, z: 3, error: 0.1, seen: 1 };
  }),
});
const still = (x: number, y: number) => () => [x, y] as const;
/** Straight from one place to another between two times, and held there. */
const going =
  (from: readonly [number, number], to: readonly [number, number], start: number, end: number) => (t: number) => {
    const share = Math.max(0, Math.min(1, (t - start) / (end - start)));
    return [from[0] + (to[0] - from[0]) * share, from[1] + (to[1] - from[1]) * share] as const;
  };
const one = need(resolveCall(A_CALL)).assignments[0]!;
const asks = (blocker: string, target: string | null, next: string | null = null) => ({
  ...one,
  blocker,
  target,
  next,
});

/** The back runs at 4, through between N and RE; the linebacker M comes to him unless LG has him. */
const back = track('B', 'offence', (t) => [4, -18 + 12 * t]);
const quarterback = track('QB', 'offence', still(0, -12));
const guard = track('LG', 'offence', going([-4, -1], [-4, 1], 0.2, 0.6));
const centre = track('C', 'offence', going([0, 0], [1, 2], 0.2, 0.6));
const nose = track('N', 'defence', going([0, 2], [1, 3.5], 0.2, 0.6));
const end = track('RE', 'defence', going([12, 2], [9, 2], 0.2, 1));
const linebacker = track('M', 'defence', going([0, 15], [4, 6], 0.3, 2));
const FILMED = [back, quarterback, guard, centre, nose, end, linebacker];
/** As asked LG goes up to M and keeps him where he stood. */
const ASKED = [
  ...[back, quarterback, centre, nose, end],
  track('LG', 'offence', going([-4, -1], [-1, 13.5], 0.2, 1.2)),
  track('M', 'defence', still(0, 15)),
];
const BASE: Omit<Replayable, 'meetings'> = {
  tracks: FILMED,
  framesPerSecond: RATE,
  start: 0,
  assignments: [asks('LG', 'M'), asks('C', 'N')],
  asked: ASKED,
  pass: false,
  carrier: 'B',
};
/** The play, or another one, with who met whom on it. */
function played(change: Partial<typeof BASE> = {}): Replayable {
  const play = { ...BASE, ...change };
  return { ...play, meetings: meetingsOf(play.tracks, RATE) };
}
const PLAY = played();

describe('a play that is run again with blocks mended', () => {
  it('tells what came of it on film: the room where the ball crossed, and who met it', () => {
    const was = replayOf(PLAY, 'nobody')!;
    expect(was.hole!.seconds).toBeCloseTo(1.5, 5);
    expect([was.hole!.left!.name, was.hole!.right!.name]).toEqual(['N', 'RE']);
    // From 1 to 9 and a shoulder on each side.
    expect(was.hole!.width).toBeCloseTo(6, 5);
    expect(was.met).toMatchObject({ who: 'M' });
    expect(was.met!.depth).toBeGreaterThan(2);
    expect(sayReplay(was, false)).toMatch(
      /^The hole is 6\.0 ft wide, give or take 0\.3, between N and RE after 1\.5 s; M meets the ball \d(\.\d)? yd past the line after 1\.\d s\.$/,
    );
  });

  it('lets the ball go on where the man who met it would have been blocked, and leaves all others as they were filmed', () => {
    const mended = replayOf(PLAY, { blocker: 'LG' })!;
    expect(mended.met).toBeNull();
    expect(mended.reached).toBeGreaterThan(replayOf(PLAY, 'nobody')!.met!.depth);
    const names = mended.tracks.filter((t) => !FILMED.includes(t)).map((t) => t.id);
    expect(names.sort()).toEqual(['B', 'LG', 'M']);
    expect(sayReplay(mended, false)).toMatch(
      /nobody meets the ball before the film ends, when it is \d+(\.\d)? yd past/,
    );
  });

  it('names the blocks that would have changed it, and no block that would not', () => {
    expect(mendsThatMatter(PLAY).map((m) => m.blocker)).toEqual(['LG']);
    const same = played({ asked: FILMED });
    expect(mendsThatMatter(same)).toEqual([]);
  });

  it('with everybody’s is the run of what was asked', () => {
    const all = replayOf(PLAY, 'everybody')!;
    expect(new Set(all.tracks)).toEqual(new Set(ASKED));
    expect(sayReplay(all, false)).not.toContain('give or take');
  });

  it('counts a wider hole only where it is more than its error', () => {
    const wider = (x: number) =>
      mendsThatMatter(
        played({
          tracks: FILMED.filter((t) => t !== linebacker),
          asked: [...ASKED, track('N', 'defence', still(x, 2)), track('C', 'offence', still(x, 1))].filter(
            (t) => t !== nose && t !== centre,
          ),
        }),
      ).map((m) => m.blocker);
    expect(wider(0.8)).toEqual([]);
    expect(wider(-2)).toEqual(['C']);
  });

  it('of a pass tells who is at the quarterback, and how long nobody was', () => {
    const rusher = track('RE', 'defence', going([12, 2], [1, -11], 0.3, 2));
    const pass = played({ pass: true, carrier: 'QB', tracks: [...FILMED.filter((t) => t !== end), rusher] });
    const was = replayOf(pass, 'nobody')!;
    expect([was.hole, was.met!.who]).toEqual([null, 'RE']);
    expect(sayReplay(was, true)).toMatch(/^RE is at the quarterback after 1\.\d s\.$/);
    const held = replayOf({ ...pass, assignments: [asks('LG', 'RE')] }, { blocker: 'LG' })!;
    expect(sayReplay(held, true)).toBe('Nobody is at the quarterback before the film ends, 2.5 s after the snap.');
  });

  it('does not take a blocker who leads through the hole for its border, but the one who has a man there', () => {
    const leads = track('H', 'offence', going([0, -8], [4, 4], 0.2, 1.4));
    expect(replayOf(played({ tracks: [...FILMED, leads] }), 'nobody')!.hole!.width).toBeCloseTo(6, 5);
    const has = track('H', 'offence', going([8, -8], [7, 2], 0.2, 1));
    expect(replayOf(played({ tracks: [...FILMED, has] }), 'nobody')!.hole!.right).toMatchObject({
      man: { id: 'H' },
      name: 'RE',
    });
  });

  it('says so of a ball that never crosses, an open side and a hole that is closed', () => {
    const short = track('B', 'offence', going([4, -18], [4, -1], 0, 2.5));
    const stopped = replayOf(played({ tracks: [short, ...FILMED.slice(1)] }), 'nobody')!;
    expect(sayReplay(stopped, false)).toMatch(/^The ball does not cross the line; /);
    const open = replayOf(played({ tracks: FILMED.filter((t) => t !== end) }), 'nobody')!;
    expect(sayReplay(open, false)).toMatch(/^The hole is open to the right of N after/);
    const shut = track('RE', 'defence', going([12, 2], [4.5, 2], 0.2, 1));
    const closed = replayOf(played({ tracks: [...FILMED.filter((t) => t !== end), shut] }), 'nobody')!;
    expect(sayReplay(closed, false)).toMatch(/^RE stands in the hole after 1\.5 s; /);
  });

  it('tells nothing where nobody followed the man with the ball, and how far any of it can be believed', () => {
    expect(replayOf(played({ tracks: FILMED.filter((t) => t.team === 'defence') }), 'nobody')).toBeNull();
    expect(REPLAY_KNOWS).toContain('nobody knows');
  });
});
