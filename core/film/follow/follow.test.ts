import { describe, expect, it } from 'vitest';
import type { FilmCamera, Pixel } from '../../model/calibration';
import { LOST, lostFrames } from './events';
import type { Box, Eyes, Found, Part } from './eyes';
import { follow, type Start } from './follow';
import type { Watched } from './look';
import { groundAt, project } from '../calibrate/camera';
import { cameraDuring, carriedCamera, keepCarried, type CarriedCamera } from './carried';
import { sightOf, trunkBox, type Standing } from './bodies';

const SIZE = { width: 960, height: 540 };
const CAMERAS: readonly FilmCamera[] = [
  { at: { x: 1, y: 14, z: 27 }, pan: 0.01, tilt: 0.28, roll: 0.006, focal: 1.62, barrel: -0.1 },
  { at: { x: -150, y: 97, z: 40 }, pan: Math.PI / 2 - 0.01, tilt: 0.26, roll: -0.004, focal: 2.9, barrel: -0.12 },
];
const RATE = 30;

/** A man and where he really is, seconds after the first frame. */
interface Runner extends Start {
  readonly way: (seconds: number) => { x: number; y: number };
}
const runner = (id: string, team: Start['team'], way: Runner['way']): Runner => ({
  id,
  team,
  ...way(0),
  stance: 'up',
  way,
});

/** Eyes that know where everybody really is, and see no one through anybody else. */
class KnowingEyes implements Eyes {
  private frame = 0;
  private readonly learnt = new Set<string>();
  constructor(
    private readonly camera: FilmCamera,
    private readonly men: readonly Runner[],
  ) {}
  protected cameraAt(_frame: number): FilmCamera {
    return this.camera;
  }
  protected grass(_p: Pixel, _frame: number): Pixel | null {
    return null;
  }
  private placed(frame: number): Standing[] {
    return this.men.map((m) => ({ ...m.way(frame / RATE), z: 3.1 }));
  }
  knows(name: string): boolean {
    return this.learnt.has(name);
  }
  look(frame: number): void {
    this.frame = frame;
  }
  flow(points: readonly Pixel[]): (Pixel | null)[] {
    const [before, now] = [this.placed(this.frame - 1), this.placed(this.frame)];
    return points.map((p) => {
      const boxes = before.map((m) => trunkBox(this.cameraAt(this.frame - 1), m, SIZE));
      const inside = boxes
        .map((b, i) => ({ b, i }))
        .filter(({ b }) => b && Math.abs(p.x - b.x) <= b.halfWidth && Math.abs(p.y - b.y) <= b.halfHeight)
        .sort((a, b) => b.b!.halfWidth - a.b!.halfWidth)[0];
      const then = inside && trunkBox(this.cameraAt(this.frame), now[inside.i]!, SIZE);
      if (!inside) return this.grass(p, this.frame);
      return then ? { x: p.x + then.x - inside.b!.x, y: p.y + then.y - inside.b!.y } : null;
    });
  }
  learn(name: string, _box: Box, _part: Part): void {
    this.learnt.add(name);
  }
  find(name: string, around: Pixel, reach: number, _free: Part): Found | null {
    if (!this.learnt.has(name)) return null;
    const [team, id] = name.split(' ');
    const i = this.men.findIndex((m) => m.team === team && m.id === id);
    const places = this.placed(this.frame);
    const camera = this.cameraAt(this.frame);
    const box = trunkBox(camera, places[i]!, SIZE);
    const free = sightOf(camera, places, SIZE)[i]!.share > 0.3;
    if (box && free && Math.hypot(box.x - around.x, box.y - around.y) <= reach * 1.5)
      return { at: { x: box.x, y: box.y }, score: 0.95 };
    return { at: around, score: 0.2 };
  }
}

/** The same eyes behind a camera that is held by hand: whatever is no man is grass, and goes where the camera makes it go. */
class HeldEyes extends KnowingEyes {
  constructor(
    private readonly still: FilmCamera,
    men: readonly Runner[],
    private readonly held: (camera: FilmCamera, frame: number) => FilmCamera,
  ) {
    super(still, men);
  }
  protected override cameraAt(frame: number): FilmCamera {
    return this.held(this.still, frame);
  }
  protected override grass(p: Pixel, frame: number): Pixel | null {
    const at = groundAt(this.cameraAt(frame - 1), p, SIZE);
    return at && project(this.cameraAt(frame), { ...at, z: 0 }, SIZE);
  }
}

/** The same eyes, which from a frame on take somebody a little beside him for a man. */
class MistakenEyes extends KnowingEyes {
  private at = 0;
  override look(frame: number): void {
    this.at = frame;
    super.look(frame);
  }
  override find(name: string, around: Pixel, reach: number, free: Part): Found | null {
    const found = super.find(name, around, reach, free);
    return found && found.score > 0.5 && this.at > 20 ? { ...found, at: { ...found.at, x: found.at.x + 16 } } : found;
  }
}

const watch = (men: readonly Runner[], cameras = CAMERAS): Watched[] =>
  cameras.map((camera) => ({ size: SIZE, first: 0, camera: () => camera, eyes: new KnowingEyes(camera, men) }));

/** How far each man's track is from the truth on every frame. */
function errors(men: readonly Runner[], frames = 60, options: Partial<Parameters<typeof follow>[2]> = {}) {
  const tracks = follow(men, watch(men), { framesPerSecond: RATE, frames, ...options });
  return tracks.map((t, i) => ({
    track: t,
    off: t.places.map((p, f) => {
      const really = men[i]!.way(f / RATE);
      return Math.hypot(p.x - really.x, p.y - really.y);
    }),
  }));
}

describe('following', () => {
  it('stays with men who run, cut and stand, in both angles together', () => {
    const men = [
      runner('C', 'offence', () => ({ x: 0, y: 98 })),
      runner('B', 'offence', (t) => ({ x: -4 + 6 * t, y: 84 + 10 * t })),
      runner('M', 'defence', (t) => ({ x: t < 0.6 ? 4 : 4 - 12 * (t - 0.6), y: 110 })),
    ];
    for (const { off, track } of errors(men)) {
      expect(Math.max(...off)).toBeLessThan(0.6);
      expect(lostFrames(track).some(Boolean)).toBe(false);
    }
  });

  it('does not take one team mate for another who crosses him', () => {
    const men = [
      runner('H', 'offence', (t) => ({ x: -6 + 6 * t, y: 95 })),
      runner('B', 'offence', (t) => ({ x: 6 - 6 * t, y: 92 })),
    ];
    for (const { off } of errors(men)) expect(off[off.length - 1]).toBeLessThan(0.8);
  });

  it('gets to know a man later whom an angle could not see at first', () => {
    // From the sideline he stands behind another until that one runs off.
    const men = [
      runner('Z', 'offence', () => ({ x: 6, y: 96 })),
      runner('H', 'offence', (t) => ({ x: 3.6, y: 96 - 7 * t })),
    ];
    const eyes = CAMERAS.map((camera) => new KnowingEyes(camera, men));
    const watched = CAMERAS.map((camera, i): Watched => ({
      size: SIZE,
      first: 0,
      camera: () => camera,
      eyes: eyes[i]!,
    }));
    follow(men, watched.slice(1), { framesPerSecond: RATE, frames: 1 });
    expect(eyes[1]!.knows('offence Z first')).toBe(false);
    follow(men, watched, { framesPerSecond: RATE, frames: 40 });
    expect(eyes[1]!.knows('offence Z first')).toBe(true);
  });

  it('says that a man is lost whom neither angle sees, and finds him again', () => {
    // A wall of men moves before him in both views for a second.
    const hides = (t: number): boolean => t > 0.5 && t < 1.4;
    const wall = (id: string, dx: number, dy: number): Runner =>
      runner(id, 'offence', (t) => (hides(t) ? { x: dx, y: 100 + dy } : { x: dx - 14, y: 88 + dy }));
    const men = [
      runner('N', 'defence', () => ({ x: 0, y: 100 })),
      wall('LG', 0, -1.3),
      wall('C', -1.3, 0),
      wall('RG', -0.9, -0.9),
    ];
    const cameras = CAMERAS;
    const tracks = follow(men, watch(men, cameras), { framesPerSecond: RATE, frames: 66 });
    const seen = tracks[0]!.places.map((p) => p.seen);
    expect(Math.max(...seen.slice(22, 36))).toBeLessThan(Math.min(...seen.slice(2, 12)));
  });

  it('sends a man whom nobody sees where the play sends him, and keeps him where he was without one', () => {
    const men = [runner('LG', 'offence', () => ({ x: -4, y: 98 }))];
    const blind = (): Watched[] =>
      watch(men).map((w) => ({
        ...w,
        eyes: { look: () => {}, flow: (p) => p.map(() => null), learn: () => {}, find: () => null },
      }));
    const asked = (_: string, __: string, t: number) => ({ x: -4 + 5 * t, y: 98 });
    const [believed] = follow(men, blind(), { framesPerSecond: RATE, frames: 45, asked });
    const [alone] = follow(men, blind(), { framesPerSecond: RATE, frames: 45 });
    expect(believed!.places[44]!.x).toBeGreaterThan(1);
    expect(alone!.places[44]!.x).toBeCloseTo(-4, 1);
    for (const track of [believed!, alone!]) expect(lostFrames(track).slice(20).every(Boolean)).toBe(true);
  });

  it('keeps two men apart whose tracks run into each other', () => {
    const men = [
      runner('LG', 'offence', (t) => ({ x: -2 + 1.2 * t, y: 98 })),
      runner('N', 'defence', (t) => ({ x: 2 - 1.2 * t, y: 98 })),
    ];
    const [a, b] = follow(men, watch(men), { framesPerSecond: RATE, frames: 60 });
    a!.places.forEach((p, f) => expect(Math.hypot(p.x - b!.places[f]!.x, p.y - b!.places[f]!.y)).toBeGreaterThan(0.9));
  });

  it('stays with men on film held by hand, the camera carried along by the field', () => {
    const men = [
      runner('C', 'offence', () => ({ x: 0, y: 98 })),
      runner('B', 'offence', (t) => ({ x: -4 + 6 * t, y: 84 + 10 * t })),
    ];
    const held = (camera: FilmCamera, frame: number): FilmCamera => ({
      ...camera,
      pan: camera.pan + 0.03 * Math.sin(frame / 12),
      tilt: camera.tilt + 0.01 * Math.sin(frame / 7),
      roll: camera.roll + 0.01 * Math.sin(frame / 9),
    });
    const carried: CarriedCamera[] = [];
    const watched = CAMERAS.map((camera): Watched => {
      const eyes = new HeldEyes(camera, men, held);
      const spot = { x: 0, y: 99 };
      const along = carriedCamera({ field: 'high school', spot, camera }, 0, SIZE, eyes);
      carried.push(along);
      return { size: SIZE, first: 0, eyes, ...along };
    });
    const tracks = follow(men, watched, { framesPerSecond: RATE, frames: 60 });
    tracks.forEach((track, i) => {
      const really = men[i]!.way(59 / RATE);
      expect(Math.hypot(track.places[59]!.x - really.x, track.places[59]!.y - really.y)).toBeLessThan(0.8);
    });
    const kept = keepCarried('end zone', carried[0]!, 0, 60);
    expect([kept.turns.length, kept.untold]).toEqual([60, 0]);
    expect(kept.residual).toBeLessThan(0.5);
    const play = { framesPerSecond: RATE, start: -0.1, tracks: [], carried: [kept] };
    const during = cameraDuring({ camera: CAMERAS[0]! }, 'end zone', play, 0.9);
    expect(during.pan).toBeCloseTo(held(CAMERAS[0]!, 30).pan, 2);
    expect(cameraDuring({ camera: CAMERAS[1]! }, 'sideline', play, 0.9)).toBe(CAMERAS[1]);
  });

  it('tells how far it is and stops when told', () => {
    const men = [runner('C', 'offence', () => ({ x: 0, y: 98 }))];
    const told: number[] = [];
    const [track] = follow(men, watch(men), {
      framesPerSecond: RATE,
      frames: 60,
      progress: (done) => {
        told.push(done);
        return done < 10;
      },
    });
    expect(told).toEqual([2, 3, 4, 5, 6, 7, 8, 9, 10]);
    expect(track!.places).toHaveLength(10);
  });
});

describe('a man for whom somebody else is taken', () => {
  const men = [runner('C', 'offence', () => ({ x: 0, y: 96 }))];
  const [endZone, sideline] = watch(men);
  const mistaken: Watched = { ...endZone!, eyes: new MistakenEyes(CAMERAS[0]!, men) };
  const seenAtLast = (watched: readonly Watched[]): number =>
    follow(men, watched, { framesPerSecond: RATE, frames: 60 })[0]!.places.at(-1)!.seen;

  it('counts as hardly seen from then on where one camera alone sees him, however alike they look', () => {
    expect(seenAtLast([endZone!])).toBeGreaterThan(0.9);
    expect(seenAtLast([mistaken])).toBeLessThan(LOST.seen);
  });

  it('does not where the other camera goes on finding him where he is expected', () => {
    expect(seenAtLast([mistaken, sideline!])).toBeGreaterThan(0.9);
  });
});
