import { describe, expect, it } from 'vitest';
import { workCall } from '../../calls/resolve-call';
import type { Look } from '../../model/measured';
import { SHIPPED_SETTINGS } from '../../model/settings';
import { runPlay } from '../../movement/run/run';
import { A_CALL } from '../../testing/a-call';
import { BALL_AT, calibrationsOfBoth, seenFrom } from '../../testing/two-cameras';
import { frontAsMeasured, sameAlignment } from './front';
import { nameMovement } from './movement';
import { ballOf, placesOf, type MeasuredMan } from './places';
import { techniqueOfMeasured } from './technique';

const call = workCall(A_CALL);
if (!call.ok) throw new Error('the call is broken');
const { formation, front } = call.value;

/** Everybody's feet as both cameras see them. */
const lookAt = (men: readonly { id: string; team: 'offence' | 'defence'; x: number; y: number }[]): Look => ({
  seconds: 0,
  feet: men.flatMap(({ id, team, x, y }) =>
    (['end zone', 'sideline'] as const).map((angle) => ({ id, team, angle, pixel: seenFrom(angle, x, y) })),
  ),
});
const everybody = [
  ...formation.men.map(({ id, x, y }) => ({ id, team: 'offence' as const, x, y })),
  ...front.defenders.map(({ id, x, y }) => ({ id, team: 'defence' as const, x, y })),
];

describe('places', () => {
  it('are feet from the ball, with both angles together surer than either', () => {
    const cameras = calibrationsOfBoth();
    expect(Math.hypot(ballOf(cameras)!.x - BALL_AT.x, ballOf(cameras)!.y - BALL_AT.y)).toBeLessThan(0.1);
    const both = placesOf(lookAt(everybody), cameras);
    for (const man of everybody) {
      const found = both.find((m) => m.id === man.id && m.team === man.team)!;
      expect(Math.hypot(found.x - man.x, found.y - man.y)).toBeLessThan(0.15);
      expect(found.angles).toHaveLength(2);
    }
    const one = placesOf(
      { ...lookAt(everybody), feet: lookAt(everybody).feet.filter((f) => f.angle === 'end zone') },
      cameras,
    );
    const [a, b] = [both.find((m) => m.id === 'M')!, one.find((m) => m.id === 'M')!];
    expect(a.spread.yy).toBeLessThan(b.spread.yy);
  });
  it('are none of an angle that is not calibrated, and none without any', () => {
    const { sideline } = calibrationsOfBoth();
    expect(placesOf(lookAt(everybody), { sideline }).every((m) => m.angles.length === 1)).toBe(true);
    expect(placesOf(lookAt(everybody), {})).toEqual([]);
  });
});

describe('the front off the film', () => {
  it('is the front that stands there, in words', () => {
    const read = frontAsMeasured(placesOf(lookAt(everybody), calibrationsOfBoth()), formation, front);
    expect(read.text).toBe('LE 5 left; W 30 left @4.5; N 1 left; M 10 right @4.5; T 3 right; RE 5 right');
    expect(read.sure).toBeGreaterThan(0.8);
    expect(sameAlignment(read.front, front)).toBe(true);
    const wider = { ...front, defenders: front.defenders.map((d) => (d.id === 'LE' ? { ...d, x: d.x - 1 } : d)) };
    expect(sameAlignment(wider, front)).toBe(false);
  });
  it('keeps the marks and movements of what was logged, and takes a new man as he stands', () => {
    const logged = {
      ...front,
      defenders: front.defenders.map((d) => (d.id === 'M' ? { ...d, mark: 'mike' as const } : d)),
      movements: [{ kind: 'slant' as const, who: 'T', side: 'left' as const }],
    };
    const men = [...everybody, { id: 'S', team: 'defence' as const, x: 11, y: 15 }];
    const read = frontAsMeasured(placesOf(lookAt(men), calibrationsOfBoth()), formation, logged);
    expect(read.text).toMatch(/M 10 right.* mike/);
    expect(read.text).toMatch(/T slant left$/);
    expect(read.front.defenders.find((d) => d.id === 'S')).toMatchObject({ stance: 'up', position: 'lb' });
  });
  it('reads techniques against the splits that were taken, not those that were called', () => {
    const wide = everybody.map((m) => (m.team === 'offence' && m.id === 'RT' ? { ...m, x: m.x + 1.5 } : m));
    const read = frontAsMeasured(placesOf(lookAt(wide), calibrationsOfBoth()), formation, front);
    expect(read.men.find((m) => m.id === 'RE')!.technique.label).not.toBe('5 right');
  });
});

describe('a technique off the film', () => {
  const at = (x: number, error: number) => {
    const man = { x, y: 2, spread: { xx: error * error, xy: 0, yy: 0.01 } };
    const defender = front.defenders.find((d) => d.id === 'T')!;
    return techniqueOfMeasured(man, defender, formation, SHIPPED_SETTINGS);
  };
  it('is sure in the middle of its place and says what else it may be at the border', () => {
    expect(at(5, 0.05)).toMatchObject({ technique: { label: '3 right' }, else: null });
    expect(at(5, 0.05).sure).toBeGreaterThan(0.99);
    const border = at(4.5, 0.3);
    expect(border.sure).toBeLessThan(0.7);
    expect([border.technique.label, border.else]).toEqual(expect.arrayContaining(['3 right', '2 right']));
  });
});

describe('a movement off the film', () => {
  const run = (movements: typeof front.movements, seconds: number): MeasuredMan[] => {
    const worked = workCall({
      ...A_CALL,
      front: `${A_CALL.front}${movements.length ? '; M blitz A right' : ''}`,
    });
    if (!worked.ok) throw new Error('broken');
    const { formation: f, front: d, resolution } = worked.value;
    const ran = runPlay(f, d, resolution, { seconds: 1.2 });
    const frame = ran.frames[Math.round(seconds / ran.step)]!;
    return ran.men.map(({ id, team }, i) => ({
      id,
      team,
      x: frame[2 * i]!,
      y: frame[2 * i + 1]!,
      spread: { xx: 0.01, xy: 0, yy: 0.01 },
      angles: ['end zone'],
    }));
  };
  const blitz = [{ kind: 'blitz' as const, who: 'M', gap: 'A' as const, side: 'right' as const }];
  it.each([
    ['nothing', []],
    ['a blitz', blitz],
  ] as const)('is named: %s', (_, movements) => {
    const looks = [0.5, 0.7, 0.9].map((seconds) => ({ seconds, men: run([...movements], seconds) }));
    const readings = nameMovement(call.value, run([...movements], 0), looks);
    expect(readings[0]!.movements).toEqual(movements);
    expect(readings.reduce((sum, r) => sum + r.share, 0)).toBeCloseTo(1, 9);
  });
  it('is named all the same where another man was followed wrong', () => {
    const looks = [0.5, 0.7, 0.9].map((seconds) => ({
      seconds,
      men: run(blitz, seconds).map((m) => (m.team === 'defence' && m.id === 'W' ? { ...m, y: m.y + 8 } : m)),
    }));
    expect(nameMovement(call.value, run(blitz, 0), looks)[0]!.movements).toEqual(blitz);
  });
  it('is nothing sure when nobody was measured again', () => {
    const readings = nameMovement(call.value, run([], 0), [{ seconds: 0.5, men: [] }]);
    expect(readings[0]!.movements).toEqual([]);
    expect(readings[0]!.share).toBeLessThan(0.5);
  });
});
