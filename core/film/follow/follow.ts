import { Matrix } from 'ml-matrix';
import type { FilmCamera } from '../../model/calibration';
import type { Team } from '../../model/measured';
import { project, type Size } from '../calibrate/camera';
import { shareOf, trunkBox, TRUNK_HEIGHT, UPRIGHT_HEIGHT, type Standing } from './bodies';
import type { AskedPlaces } from './asked';
import { doubtAfter, isAstray, NO_DOUBT, type Doubt } from './doubt';
import { atRest, lookBack, predict, takeIn, type Belief, type Motion } from './filter';
import { lookAt, LOOKS, type Ask, type Lesson, type Seen, type Sighting, type Watched } from './look';

/** A man to be followed: where his feet are at the first frame, feet on the field, and how he stands. */
export interface Start {
  readonly id: string;
  readonly team: Team;
  readonly x: number;
  readonly y: number;
  readonly stance: 'down' | 'up';
}

/** A man's place on a frame as it was followed: feet on the field, the standard deviation of the place, and how well he was seen (0 to 1); z is the middle of his
 * trunk over the ground, 0 where nobody knows it. */
export interface Followed {
  readonly x: number;
  readonly y: number;
  readonly z: number;
  readonly error: number;
  readonly seen: number;
}

/** One man's way: a place for every frame from the first on. */
export interface Track {
  readonly id: string;
  readonly team: Team;
  readonly places: readonly Followed[];
}

export interface FollowOptions {
  readonly framesPerSecond: number;
  /** Where a man would be if everybody did what was asked, so many seconds after the first frame: what is believed of a man nobody sees. */
  readonly asked?: AskedPlaces;
}

/** How well a place and a height are known at the start, feet. */
const KNOWN = { place: 0.15, height: 0.35 };
/** What of a man must be free to see before he is learnt, or learnt anew; and how surely he is where he is taken to be, feet. */
const SEES = { learn: 0.35, again: 0.75, surely: 0.35 };
/** Errors of a look: at a perfect likeness, more for a poor one; of picture motion, and how many times that where nobody was recognised. Pixels. */
const ERROR = { find: 0.7, poor: 5, flow: 0.6, stranger: 4, upAndDown: 3 };
/** Noses never come nearer than this, feet. */
const ROOM = 1.25;

interface Man {
  readonly start: Start;
  motion: Motion;
  readonly history: Motion[];
  readonly seen: number[];
  /** Whether what was found of him is he, frame by frame. */
  readonly doubts: Doubt[];
}

/** What was found of a man on one frame: how well he was seen, and for every camera how far each find was from where he was expected. */
interface Found {
  seen: number;
  readonly surprises: number[][];
}

/** An angle as it is followed in: how large its pictures are, how its camera stood on the last frame, and what it is to remember of that. */
interface Angle {
  readonly size: Size;
  camera: FilmCamera | null;
  lessons: Lesson[];
}

/**
 * Follows men through a play in all angles together, frame by frame: each is where the rays of both meet, height free, by a filter that knows
 * how men move; who stands before whom is worked out, and nobody is looked for where he is hidden. Frame by frame it says what every angle is
 * to look for (`asks`) and takes in what they saw (`take`): they may look at the same time.
 */
export class Following {
  private readonly men: Man[];
  private readonly angles: readonly Angle[];
  private before: readonly Standing[] = [];
  private done = 0;

  constructor(
    starts: readonly Start[],
    sizes: readonly Size[],
    private readonly options: FollowOptions,
  ) {
    this.angles = sizes.map((size) => ({ size, camera: null, lessons: [] }));
    this.men = starts.map((start) => ({
      start,
      motion: atRest([start.x, start.y, TRUNK_HEIGHT[start.stance]], [KNOWN.place, KNOWN.place, KNOWN.height]),
      history: [],
      seen: [],
      doubts: [],
    }));
  }

  /** What every angle is to look for on the next frame. */
  asks(): Ask[] {
    const { men, options, done } = this;
    const seconds = 1 / options.framesPerSecond;
    if (done > 0) {
      this.before = men.map((m) => standing(m.motion));
      for (const m of men)
        m.motion = predict(m.motion, seconds, UPRIGHT_HEIGHT[m.start.stance], believed(m, done * seconds, options));
    }
    const expected = men.map(({ start: { id, team }, motion }) => ({
      id,
      team,
      ...standing(motion),
      spread: Math.sqrt(spreadOf(motion)),
    }));
    return this.angles.map(({ lessons }) => ({ frame: done, lessons, before: this.before, men: expected }));
  }

  /** Takes in what every angle saw of what it was asked; gives how many frames are done. */
  take(seen: readonly Seen[]): number {
    const { men, options } = this;
    const found = men.map((): Found => ({ seen: this.done === 0 ? 1 : 0, surprises: [] }));
    this.angles.forEach((angle, i) => {
      if (this.done === 0) meet(men, angle, seen[i]!);
      else takeSeen(men, angle, seen[i]!, 1 / options.framesPerSecond, found);
      angle.camera = seen[i]!.camera;
    });
    if (this.done > 0) keepApart(men);
    keep(men, found, options.framesPerSecond);
    return ++this.done;
  }

  /** Everybody's way so far, every place looked back at with what came after it. */
  tracks(): Track[] {
    return this.men.map(trackOf);
  }
}

/** Follows men through so many frames at once; see `Following`. `progress` is told how many are done, and stops by saying false. */
export function follow(
  starts: readonly Start[],
  watched: readonly Watched[],
  { frames, progress, ...options }: FollowOptions & { frames: number; progress?: (done: number) => boolean },
): Track[] {
  const sizes = watched.map((w) => w.size);
  const following = new Following(starts, sizes, options);
  for (let done = 0; done < frames;) {
    done = following.take(following.asks().map((ask, i) => lookAt(watched[i]!, ask)));
    if (done > 1 && progress && !progress(done)) break;
  }
  return following.tracks();
}

/** A man seen worse than this on the last frames is hidden. */
const HIDDEN = { seen: 0.3, frames: 2 };

/** What is believed of a man who was not seen lately; `false` for one who was. */
function believed(m: Man, seconds: number, { asked, framesPerSecond }: FollowOptions): false | true | Belief {
  if (m.seen.slice(-HIDDEN.frames).some((s) => s > HIDDEN.seen)) return false;
  const before = asked?.(m.start.id, m.start.team, seconds - 1 / framesPerSecond);
  const now = asked?.(m.start.id, m.start.team, seconds);
  if (!before || !now) return true;
  return { ...now, vx: (now.x - before.x) * framesPerSecond, vy: (now.y - before.y) * framesPerSecond };
}

const standing = ({ mean }: Motion): Standing => ({ x: mean[0]!, y: mean[1]!, z: mean[2]! });

function keep(men: readonly Man[], found: readonly Found[], framesPerSecond: number): void {
  men.forEach((m, i) => {
    m.history.push(m.motion);
    m.seen.push(found[i]!.seen);
    m.doubts.push(doubtAfter(m.doubts.at(-1) ?? NO_DOUBT, found[i]!.surprises, framesPerSecond));
  });
}

/** The first frame: everybody who can be seen is to be remembered as he looks there. */
function meet(men: readonly Man[], angle: Angle, { camera, men: sightings }: Seen): void {
  angle.lessons = men.flatMap(({ motion }, man): Lesson[] => {
    const { part } = sightings[man]!;
    const box = trunkBox(camera, standing(motion), angle.size);
    return box && part && shareOf(part) >= SEES.learn ? [{ man, as: LOOKS, box, part }] : [];
  });
}

/** What one angle saw of everybody, taken into his motion. */
function takeSeen(
  men: readonly Man[],
  angle: Angle,
  { camera, men: sightings }: Seen,
  seconds: number,
  found: readonly Found[],
): void {
  angle.lessons = [];
  const views = { now: viewBy(camera, angle.size), before: viewBy(angle.camera!, angle.size) };
  men.forEach((m, i) => {
    const sighting = sightings[i]!;
    if (!sighting.part) return;
    const surely = spreadOf(m.motion) <= SEES.surely ** 2;
    const place = standing(m.motion);
    takeSighting(m, sighting, views, seconds, found[i]!);
    const lesson = lessonOf(m, sighting, (at) => trunkBox(camera, at, angle.size), surely ? place : null);
    if (lesson) angle.lessons.push({ man: i, part: sighting.part, ...lesson });
  });
}

/** Where a camera sees a place on the field at a height; `null` behind it. */
type View = (place: readonly number[]) => readonly [number, number] | null;
const viewBy =
  (camera: FilmCamera, size: Size): View =>
  (place) => {
    const p = project(camera, { x: place[0]!, y: place[1]!, z: place[2]! }, size);
    return p && [p.x, p.y];
  };

/** Takes what one angle saw of a man into his motion. */
function takeSighting(
  m: Man,
  { part, flow, finds }: Sighting,
  views: { readonly now: View; readonly before: View },
  seconds: number,
  found: Found,
): void {
  const share = shareOf(part!);
  const hidden = 1 / Math.sqrt(share);
  if (flow) {
    const steps: View = (mean) => {
      const now = views.now(mean);
      // A camera that is held by hand has moved too.
      const then = views.before([mean[0]! - mean[3]! * seconds, mean[1]! - mean[4]! * seconds, mean[2]!]);
      return now && then && [now[0] - then[0], now[1] - then[1]];
    };
    // Motion where nobody was recognised may be somebody else's.
    const error = ERROR.flow * hidden * (finds.length ? 1 : ERROR.stranger);
    m.motion = takeIn(m.motion, steps, [flow.x, flow.y], [error, error * ERROR.upAndDown])?.motion ?? m.motion;
  }
  const surprises: number[] = [];
  found.surprises.push(surprises);
  for (const { at, score } of finds) {
    const error = (ERROR.find + ERROR.poor * (1 - score)) * hidden;
    const taken = takeIn(m.motion, views.now, [at.x, at.y], [error, error]);
    if (!taken) continue;
    m.motion = taken.motion;
    surprises.push(taken.surprise);
    found.seen = Math.max(found.seen, score * share * (isAstray(taken.surprise) ? DOUBTED : 1));
  }
}

/**
 * What is to be remembered of a man who stands free: how he looks now where he was recognised; and where the angle did not know him, both his
 * looks, once it is known where he is (`surely`).
 */
function lessonOf(
  m: Man,
  { part, finds, isKnown }: Sighting,
  boxAt: (at: Standing) => Lesson['box'] | null,
  surely: Standing | null,
): Pick<Lesson, 'as' | 'box'> | null {
  if (shareOf(part!) < SEES.again) return null;
  if (!isKnown) {
    const box = surely && boxAt(surely);
    return box && { as: LOOKS, box };
  }
  const last = finds.find((f) => f.as === 'last');
  const box = last && boxAt(standing(m.motion));
  return box ? { as: ['last'], box: { ...box, ...last.at } } : null;
}

/** So little counts how well somebody was seen of whom it is doubted that it is he. */
const DOUBTED = 0.4;

/** Two men cannot be one: whoever is too near to somebody gives way, the less sure man more. */
function keepApart(men: readonly Man[]): void {
  for (let i = 0; i < men.length; i++)
    for (let k = i + 1; k < men.length; k++) {
      const [a, b] = [men[i]!, men[k]!];
      const [dx, dy] = [b.motion.mean[0]! - a.motion.mean[0]!, b.motion.mean[1]! - a.motion.mean[1]!];
      const away = Math.hypot(dx, dy);
      if (away >= ROOM || away < 1e-6) continue;
      const [va, vb] = [spreadOf(a.motion), spreadOf(b.motion)];
      const share = va / (va + vb);
      const by = ROOM - away;
      a.motion = shifted(a.motion, (-dx / away) * by * share, (-dy / away) * by * share);
      b.motion = shifted(b.motion, (dx / away) * by * (1 - share), (dy / away) * by * (1 - share));
    }
}

const spreadOf = ({ cov }: Motion): number => cov.get(0, 0) + cov.get(1, 1);
const shifted = ({ mean, cov, ahead }: Motion, dx: number, dy: number): Motion => ({
  ahead,
  mean: [mean[0]! + dx, mean[1]! + dy, ...mean.slice(2)],
  cov: new Matrix(cov),
});

function trackOf(m: Man): Track {
  const smooth = lookBack(m.history);
  return {
    id: m.start.id,
    team: m.start.team,
    places: smooth.map(({ mean, cov }, f) => ({
      x: mean[0]!,
      y: mean[1]!,
      z: mean[2]!,
      error: Math.sqrt(Math.max(0, cov.get(0, 0) + cov.get(1, 1))),
      seen: m.seen[f]! * (m.doubts[f]!.isDoubted ? DOUBTED : 1),
    })),
  };
}
