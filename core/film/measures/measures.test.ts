import { readdirSync, readFileSync } from 'node:fs';
import { describe, expect, it } from 'vitest';
import { resolveCall } from '../../calls/resolve-call';
import { A_CALL } from '../../testing/a-call';
import { meetingsOf } from '../follow/events';
import type { Track } from '../follow/follow';
import { MEASURES, measuresOf } from './index';
import { isTelling, isTrusted, type PlayOnFilm } from './measure';
import { getOff } from './get-off';
import { pastTheLine } from './past-line';
import { sayPastLine } from '../../reports/past-line';

const RATE = 60;
const track = (id: string, team: Track['team'], way: (t: number) => readonly [number, number], error = 0.1): Track => ({
  id,
  team,
  places: Array.from({ length: 2 * RATE + 1 }, (_, f) => {
    const [x, y] = way(f / RATE);
    return { x, y, z: 3, error, seen: 1 };
  }),
});
const resolution = resolveCall(A_CALL);
if (!resolution.ok) throw new Error('the call is broken');
const { assignments } = resolution.value;
const playOf = (...tracks: Track[]): PlayOnFilm => ({
  tracks,
  framesPerSecond: RATE,
  start: 0,
  meetings: meetingsOf(tracks, RATE),
  assignments,
  pass: false,
  carrier: 'B',
});
/** From rest at 12 ft/s2 along a way of length one, beginning at a time. */
const pushed = (from: readonly [number, number], way: readonly [number, number], at: number) => (t: number) => {
  const far = t < at ? 0 : 6 * (t - at) ** 2;
  return [from[0] + way[0] * far, from[1] + way[1] * far] as const;
};
const still = (x: number, y: number) => () => [x, y] as const;
const read = (play: PlayOnFilm, man: Track, name: string) => measuresOf(play, man).find((r) => r.measure.name === name);

describe('measures of film', () => {
  it('are each registered, with a name of their own', () => {
    const files = readdirSync(import.meta.dirname).filter((f) => !/^(measure|index|.*\.test)\.ts$/.test(f));
    const defined = files.flatMap(
      (f) => readFileSync(`${import.meta.dirname}/${f}`, 'utf8').match(/: Measure = /g) ?? [],
    );
    expect(MEASURES).toHaveLength(defined.length);
    expect(new Set(MEASURES.map((m) => m.name)).size).toBe(MEASURES.length);
  });
  it.each([0.15, 0.3, 0.5])('tell when a man who starts %s s after the snap gets off', (at) => {
    const man = track('RG', 'offence', pushed([4, -1], [0, 1], at));
    expect(getOff(playOf(man), man)!.seconds).toBeCloseTo(at, 1);
    expect(getOff(playOf(man), track('C', 'offence', still(0, 0)))).toBeNull();
  });
  it('tell nothing of how soon a man gets off who is met first, or creeps from his place', () => {
    const late = track('RG', 'offence', pushed([4, -1], [0, 1], 0.6));
    const met = {
      blocker: 'RG',
      defender: 'T',
      from: Math.round(0.3 * RATE),
      to: null,
      nearest: 1.5,
      sure: 1,
      sureTo: 1,
    };
    expect(getOff({ ...playOf(late), meetings: [{ ...met, blocker: 'LG' }] }, late)).not.toBeNull();
    expect(getOff({ ...playOf(late), meetings: [met] }, late)).toBeNull();
    const after = { ...met, from: Math.round(0.9 * RATE) };
    expect(getOff({ ...playOf(late), meetings: [after] }, late)!.seconds).toBeCloseTo(0.6, 1);
    const creeps = pushed([4, -1], [0, 1], 0.6);
    const crept = track('RG', 'offence', (t) => {
      const [x, y] = creeps(t);
      return [x, y + Math.min(0.3, t)];
    });
    expect(getOff(playOf(crept), crept)).toBeNull();
  });
  it('say who is late off the ball against the line, and that the others are with it', () => {
    const line = ['LT', 'LG', 'C', 'RT'].map((id, i) => track(id, 'offence', pushed([i * 4, -1], [0, 1], 0.15)));
    const late = track('RG', 'offence', pushed([4, -1], [0, 1], 0.45));
    const play = playOf(...line, late);
    const reading = read(play, late, 'Off the ball')!;
    expect(reading.says).toMatch(/0\.\d\d s after the line$/);
    expect(isTelling(reading)).toBe(true);
    expect(read(play, line[0]!, 'Off the ball')!.says).toMatch(/with the line$/);
  });
  it('tell whether the first step gained or lost ground, with its error', () => {
    const gains = track('RG', 'offence', pushed([4, -1], [0.6, 0.8], 0.15));
    const loses = track('LG', 'offence', pushed([-4, -1], [0, -1], 0.15), 0.05);
    const play = playOf(gains, loses);
    expect(read(play, gains, 'First step')!.says).toMatch(
      /^gained 0\.\d ft, give or take 0\.\d, 0\.\d ft to the right$/,
    );
    expect(read(play, loses, 'First step')!.says).toMatch(/^lost 0\.\d ft/);
    expect(isTelling(read(play, loses, 'First step')!)).toBe(true);
    const blurred = track('LG', 'offence', pushed([-4, -1], [0, -1], 0.15), 1);
    expect(isTelling(read(playOf(blurred), blurred, 'First step')!)).toBe(false);
  });
  it('count ground for a defender the way he comes', () => {
    const comes = track('T', 'defence', pushed([4, 2], [0, -1], 0.25));
    expect(read(playOf(comes), comes, 'First step')!.says).toMatch(/^gained/);
  });
  it('say nothing of a contact that the film is not sure of', () => {
    const asked = assignments.find((a) => a.blocker === 'C')!.target!;
    const centre = track('C', 'offence', (t) => [0, Math.min(0.5, 2 * t)]);
    const his = track(asked, 'defence', still(0, 2.2));
    const hidden = { ...his, places: his.places.map((p) => ({ ...p, seen: 0 })) };
    expect(read(playOf(centre, his), centre, 'To contact')).toBeDefined();
    expect(read(playOf(centre, hidden), centre, 'To contact')).toBeUndefined();
  });
  it('tell when he has the man he was asked to block and how far he moves him, and nothing of another man', () => {
    const asked = assignments.find((a) => a.blocker === 'C')!.target!;
    const centre = track('C', 'offence', (t) => [0, Math.min(0.5, 2 * t) + Math.max(0, t - 1) * 2]);
    const his = track(asked, 'defence', (t) => [0, t < 1 ? 2.2 : 2.2 + (t - 1) * 2]);
    const play = playOf(centre, his);
    expect(read(play, centre, 'To contact')!.says).toMatch(new RegExp(`^${asked} after 0\\.\\d\\d s`));
    const moved = read(play, centre, 'Moved his man')!;
    expect(moved.value).toBeCloseTo(2, 0);
    expect(moved.says).toMatch(/^moved him/);
    const other = playOf(centre, { ...his, id: 'S' });
    expect(read(other, centre, 'To contact')).toBeUndefined();
    expect(read(other, centre, 'Moved his man')).toBeUndefined();
  });
  describe('of pads', () => {
    const asked = assignments.find((a) => a.blocker === 'C')!.target!;
    const at = (t: Track, z: number, seen = 1): Track => ({ ...t, places: t.places.map((p) => ({ ...p, z, seen })) });
    const centre = track('C', 'offence', (t) => [0, Math.min(0.5, 2 * t)]);
    const his = track(asked, 'defence', still(0, 2.2));
    it('say whose are higher while he has his man', () => {
      for (const z of [2.2, 2.7, 3.6]) {
        const pads = read(playOf(at(centre, z), at(his, 2.7)), at(centre, z), 'Pad level')!;
        expect(pads.value).toBeCloseTo(z - 2.7, 6);
        expect(pads.says).toMatch(
          new RegExp(
            `^${Math.abs(z - 2.7).toFixed(1)} ft, give or take 0\\.\\d, ${z < 2.7 ? 'lower' : 'higher'} than ${asked}’s$`,
          ),
        );
      }
    });
    it('are held against the other blockers’ where his man is hidden, and against nobody’s where there are too few', () => {
      const half = at(his, 9, 0.6);
      const hidden = { ...half, places: half.places.map((p, f) => (f % 5 === 0 ? p : { ...p, z: 0 })) };
      const others = assignments.filter((a) => a.blocker !== 'C' && a.target && a.target !== asked).slice(0, 2);
      const beside = others.flatMap(({ blocker, target }, i) => [
        at(
          track(blocker, 'offence', (t) => [20 + 9 * i, Math.min(0.5, 2 * t)]),
          2.8,
        ),
        at(track(target!, 'defence', still(20 + 9 * i, 2.2)), 2.8),
      ]);
      const high = at(centre, 3.6);
      const pads = read(playOf(high, hidden, ...beside), high, 'Pad level')!;
      expect([pads.value, pads.says]).toEqual([
        expect.closeTo(0.8, 6),
        expect.stringMatching(/higher than the others’$/),
      ]);
      expect(read(playOf(high, hidden, ...beside.slice(0, 2)), high, 'Pad level')).toBeUndefined();
    });
    it('are not told where no height was kept', () => {
      expect(read(playOf(at(centre, 0), at(his, 0)), at(centre, 0), 'Pad level')).toBeUndefined();
    });
  });
  it('tell the depth of a pull, and only of one', () => {
    const puller = assignments.find((a) => a.pull)!.blocker;
    const way = (t: number) => [-4 + 8 * t, -1 - 4 * Math.sin(Math.min(1, t) * Math.PI)] as const;
    const man = track(puller, 'offence', way);
    expect(read(playOf(man), man, 'Depth of the pull')!.value).toBeCloseTo(4, 1);
    const down = track('C', 'offence', way);
    expect(read(playOf(down), down, 'Depth of the pull')).toBeUndefined();
  });
  it('tell the room between the hips of a double, for both of its men alike', () => {
    const doubled = assignments.find((a) =>
      assignments.some((b) => b !== a && b.target !== null && b.target === a.target),
    )!;
    const partner = assignments.find((a) => a !== doubled && a.target === doubled.target)!;
    const his = track(doubled.target!, 'defence', (t) => [5, Math.max(1, 2 - 3 * t)]);
    const one = track(doubled.blocker, 'offence', still(3.6, 0));
    const two = track(partner.blocker, 'offence', still(6.4, 0));
    const play = playOf(one, two, his);
    expect(read(play, one, 'Between the hips of the double')!.value).toBeCloseTo(0.8, 1);
    expect(read(play, two, 'Between the hips of the double')!.value).toBeCloseTo(0.8, 1);
    expect(read(playOf(one, his), one, 'Between the hips of the double')).toBeUndefined();
  });
  it('tell the room the runner had where he crossed the line, and nothing of any other man', () => {
    const runner = track('B', 'offence', (t) => [6, -10 + 10 * t]);
    const men = [runner, track('N', 'defence', still(3, 2)), track('RE', 'defence', still(12, 1))];
    const hole = read(playOf(...men), runner, 'Hole he ran through')!;
    expect(hole.value).toBeCloseTo(7, 1);
    expect(hole.says).toMatch(/^7\.0 ft, give or take 0\.\d, between N and RE$/);
    const inIt = track('M', 'defence', still(6.5, 4));
    expect(read(playOf(...men, inIt), runner, 'Hole he ran through')!.says).toBe('closed by M');
    expect(read(playOf(runner, men[1]!), runner, 'Hole he ran through')).toBeUndefined();
    const short = track('B', 'offence', still(6, -5));
    expect(read(playOf(short, ...men.slice(1)), short, 'Hole he ran through')).toBeUndefined();
    expect(read(playOf(...men), men[1]!, 'Hole he ran through')).toBeUndefined();
  });
  it('tell the angle of a track beside the runner’s, with its error, and of no man who hardly goes anywhere', () => {
    const down = assignments.find((a) => !a.pull && a.target)!.blocker;
    const man = track(down, 'offence', pushed([4, -1], [Math.SQRT1_2, Math.SQRT1_2], 0.15));
    const runner = track('B', 'offence', (t) => [0, -10 + 8 * t]);
    const angle = read(playOf(man, runner), man, 'Angle of his track')!;
    expect(angle.value).toBeCloseTo(45, 1);
    expect(angle.says).toMatch(/^45° to the right, give or take \d°; the runner straight ahead$/);
    expect(isTelling(angle)).toBe(true);
    const stays = track(down, 'offence', still(4, -1));
    expect(read(playOf(stays, runner), stays, 'Angle of his track')).toBeUndefined();
    expect(read(playOf(man), man, 'Angle of his track')).toBeUndefined();
    const puller = track(assignments.find((a) => a.pull)!.blocker, 'offence', pushed([-4, -1], [1, 0], 0.15));
    expect(read(playOf(puller, runner), puller, 'Angle of his track')).toBeUndefined();
  });
  it('tell who of the line is surely past it on a frame, the farthest first', () => {
    const men = [
      track('LT', 'offence', (t) => [-8, 4 * t - 1]),
      track('RT', 'offence', (t) => [8, 6 * t - 1]),
      track('C', 'offence', still(0, 0.1)),
      track('RE', 'defence', still(9, 2)),
    ];
    expect(pastTheLine(men, 0)).toEqual([]);
    expect(pastTheLine(men, RATE)!.map((m) => [m.id, Math.round(m.depth)])).toEqual([
      ['RT', 5],
      ['LT', 3],
    ]);
    expect(sayPastLine(pastTheLine(men, RATE)!, 'frame')).toMatch(
      /^Past the line on this frame: RT 1\.7 yd, give or take 0\.1; LT 1 yd, give or take 0\.1\. How far/,
    );
    expect(sayPastLine(pastTheLine(men, RATE)!, 'throw')).toMatch(/^Past the line when the ball is thrown: RT 1\.7 yd/);
    expect(sayPastLine([], 'frame')).toMatch(/^Nobody of the line is past the line on this frame/);
    expect([pastTheLine(men, -1), pastTheLine(men, 100 * RATE)]).toEqual([null, null]);
  });
  it('may be trusted from the angles that see them', () => {
    expect(isTrusted({ trust: 'both angles' }, ['end zone'])).toBe(false);
    expect(isTrusted({ trust: 'both angles' }, ['sideline', 'end zone'])).toBe(true);
    expect(isTrusted({ trust: 'the sideline' }, ['end zone'])).toBe(false);
    expect(isTrusted({ trust: 'the end zone' }, ['end zone'])).toBe(true);
    expect(isTrusted({ trust: 'either angle' }, [])).toBe(false);
  });
  it('tell how deep and how wide a pass blocker sets, and nothing of it on a run', () => {
    const pass = resolveCall({ ...A_CALL, scheme: 'pro-five-back', formation: 'LT LG C RG RT; B; QB pistol' });
    if (!pass.ok) throw new Error('the protection is broken');
    const man = track('RT', 'offence', (t) => [8 + Math.min(1, t), -1 - 3 * Math.min(1, t)]);
    const play = { ...playOf(man), assignments: pass.value.assignments };
    expect(read(play, man, 'Set after one second')!.says).toMatch(/^3\.0 ft, .* deep, 1\.0 ft outside$/);
    expect(read(playOf(man), man, 'Set after one second')).toBeUndefined();
  });
});
