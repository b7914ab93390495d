import { describe, expect, it } from 'vitest';
import type { FilmCamera, Pixel } from '../../model/calibration';
import { project } from '../calibrate/camera';
import { trunkBox } from './bodies';
import type { Eyes, Found } from './eyes';
import { Following } from './follow';
import { lookAt, type Ask, type Expected, type Find, type Seen, type Sighting } from './look';

const SIZE = { width: 960, height: 540 };
const CAMERA: FilmCamera = {
  at: { x: 1, y: 14, z: 27 },
  pan: 0.01,
  tilt: 0.28,
  roll: 0.006,
  focal: 1.62,
  barrel: -0.1,
};
const WHOLE = { left: -1, top: -1, right: 1, bottom: 1 };
const RATE = 30;

const man = (id: string, x: number, y: number, spread = 0.1): Expected => ({
  id,
  team: 'offence',
  x,
  y,
  z: 3.1,
  spread,
});
const at = (m: Expected, camera = CAMERA): Pixel => {
  const { x, y } = project(camera, m, SIZE)!;
  return { x, y };
};

/** Eyes that find by name what they are told to, and write down what was asked of them. */
class ToldEyes implements Eyes {
  readonly done: string[] = [];
  constructor(
    private readonly finds: Readonly<Record<string, (around: Pixel, reach: number) => Found | null>>,
    private readonly moves: Pixel = { x: 0, y: 0 },
  ) {}
  look(frame: number): void {
    this.done.push(`look ${frame}`);
  }
  flow(points: readonly Pixel[]): Pixel[] {
    return points.map(({ x, y }) => ({ x: x + this.moves.x, y: y + this.moves.y }));
  }
  learn(name: string): void {
    this.done.push(`learn ${name}`);
  }
  find(name: string, around: Pixel, reach: number): Found | null {
    return this.finds[name]?.(around, reach) ?? null;
  }
}
const look = (eyes: Eyes, ask: Partial<Ask> & Pick<Ask, 'men'>): Seen =>
  lookAt({ size: SIZE, first: 40, camera: () => CAMERA, eyes }, { frame: 1, lessons: [], before: ask.men, ...ask });

describe('looking at a frame of one angle', () => {
  const [one, mate] = [man('LG', 0, 100), man('C', 1.6, 100)];
  const found = (of: Expected, score: number) => (): Found => ({ at: at(of), score });

  it('learns what it is told to of the frame it has looked at before it looks at the next', () => {
    const eyes = new ToldEyes({});
    const box = trunkBox(CAMERA, one, SIZE)!;
    look(eyes, { men: [one], lessons: [{ man: 0, as: ['last', 'first'], box, part: WHOLE }] });
    expect(eyes.done).toEqual(['learn offence LG last', 'learn offence LG first', 'look 41']);
  });

  it('recognises nobody on the first frame and says what of everybody is free', () => {
    const seen = look(new ToldEyes({}), { frame: 0, before: [], men: [one, mate] });
    expect(seen.men.map((m) => [m.finds, m.isKnown, m.flow, m.part !== null])).toEqual([
      [[], false, null, true],
      [[], false, null, true],
    ]);
  });

  it('looks for nobody who is hidden or outside the picture', () => {
    const everywhere = new ToldEyes({
      'offence B first': (around) => ({ at: around, score: 1 }),
      'offence QB first': (around) => ({ at: around, score: 1 }),
    });
    const behind = man('B', 0, 103);
    const { men } = look(everywhere, { men: [man('LG', 0, 100), behind, man('QB', 300, 100)] });
    expect(men.slice(1)).toEqual([
      { part: null, flow: null, finds: [], isKnown: false },
      { part: null, flow: null, finds: [], isKnown: false },
    ]);
  });

  it('looks where picture motion took him, the farther around the less it is known where he is', () => {
    const asked: { around: Pixel; reach: number }[] = [];
    const eyes = new ToldEyes(
      { 'offence LG last': (around, reach) => (asked.push({ around, reach }), null) },
      { x: 5, y: -2 },
    );
    for (const spread of [0.01, 0.25, 9]) look(eyes, { men: [{ ...one, spread }], before: [one] });
    for (const { around } of asked) {
      expect(around.x).toBeCloseTo(at(one).x + 5, 6);
      expect(around.y).toBeCloseTo(at(one).y - 2, 6);
    }
    const [sure, unsure, lost] = asked.map((a) => a.reach);
    expect([sure! < unsure!, unsure! < lost!, sure, lost]).toEqual([true, true, 7, 18]);
  });

  it('does not take a poor likeness for him, though it knows him', () => {
    const eyes = new ToldEyes({ 'offence LG last': found(one, 0.59), 'offence LG first': found(one, 0.61) });
    const [sighting] = look(eyes, { men: [one] }).men;
    expect([sighting!.finds.map((f) => f.as), sighting!.isKnown]).toEqual([['first'], true]);
  });

  it('does not take for him a team mate who is about there and more like what was found', () => {
    const likes = (mates: number | null): Find[] => {
      const eyes = new ToldEyes({
        'offence LG last': found(mate, 0.9),
        'offence LG first': found(mate, 0.9),
        ...(mates !== null && { 'offence C first': found(mate, mates) }),
      });
      return [...look(eyes, { men: [one, mate] }).men[0]!.finds];
    };
    expect(likes(0.95)).toEqual([]);
    expect(likes(0.92)).toHaveLength(2);
    // A mate this angle has never seen is like nothing.
    expect(likes(null)).toHaveLength(2);
  });

  it('asks of no mate who is far away, or of the other side', () => {
    const eyes = new ToldEyes({
      'offence LG last': found(one, 0.7),
      'offence C first': found(one, 1),
      'defence N first': found(one, 1),
    });
    const other: Expected = { ...man('N', 0.5, 100), team: 'defence' };
    expect(look(eyes, { men: [one, man('C', 9, 100), other] }).men[0]!.finds).toHaveLength(1);
  });
});

describe('taking in what an angle saw', () => {
  const start = { id: 'LG', team: 'offence', x: 0, y: 100, stance: 'up' } as const;
  const panned = (frame: number): FilmCamera => ({ ...CAMERA, pan: CAMERA.pan + 0.004 * frame });
  const sighting = (change: Partial<Sighting>): Sighting => ({
    ...{ part: WHOLE, flow: null, finds: [], isKnown: true },
    ...change,
  });

  it('takes what a camera does that moves for nothing a man has done', () => {
    const following = new Following([start], [SIZE], { framesPerSecond: RATE });
    for (let f = 0; f < 30; f++) {
      const [ask] = following.asks();
      const { men, before } = ask!;
      const [now, then] = [at(men[0]!, panned(f)), before[0] && project(panned(f - 1), before[0], SIZE)!];
      const flow = then ? { x: now.x - then.x, y: now.y - then.y } : null;
      following.take([{ camera: panned(f), men: [sighting({ flow })] }]);
    }
    const { x, y } = following.tracks()[0]!.places.at(-1)!;
    expect(Math.hypot(x - start.x, y - start.y)).toBeLessThan(0.3);
  });

  it('says of whoever was found where he could not be that he was hardly seen', () => {
    const seenAt = (pixels: number): number => {
      const following = new Following([start], [SIZE], { framesPerSecond: RATE });
      for (let f = 0; f < 2; f++) {
        const { x, y } = at(following.asks()[0]!.men[0]!);
        const finds: Find[] = f === 0 ? [] : [{ as: 'last', at: { x: x + pixels, y }, score: 1 }];
        following.take([{ camera: CAMERA, men: [sighting({ finds })] }]);
      }
      return following.tracks()[0]!.places[1]!.seen;
    };
    expect([seenAt(0), seenAt(60)]).toEqual([1, 0.4]);
  });
});
