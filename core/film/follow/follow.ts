import { Matrix } from 'ml-matrix';
import type { FilmCamera, Pixel } from '../../model/calibration';
import type { Team } from '../../model/measured';
import { project, scaleAt, type Size } from '../calibrate/camera';
import { coveredBy, shareOf, sightOf, trunkBox, TRUNK_HEIGHT, UPRIGHT_HEIGHT, type Standing } from './bodies';
import type { AskedPlaces } from './asked';
import { doubtAfter, isAstray, NO_DOUBT, type Doubt } from './doubt';
import type { Eyes, Part } from './eyes';
import { flowsOf } from './flows';
import { atRest, lookBack, predict, takeIn, type Belief, type Motion } from './filter';

/** A man to be followed: where his feet are at the first frame, feet on the field, and how he stands. */
export interface Start {
  readonly id: string;
  readonly team: Team;
  readonly x: number;
  readonly y: number;
  readonly stance: 'down' | 'up';
}

/** Film of one angle: frame `first` is the one the men start on; `camera` may change from frame to frame. */
export interface Watched {
  readonly size: Size;
  readonly first: number;
  readonly camera: (frame: number) => FilmCamera;
  readonly eyes: Eyes;
  /** Of a camera that moves: finds how it stands on a frame that has just been looked at, given what men cover on the frame before. */
  readonly carry?: (frame: number, covered: (p: Pixel) => boolean) => void;
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
/** What of a man must be free to see before he is looked for, learnt, or learnt anew; and how surely he is where he is taken to be, feet. */
const SEES = { find: 0.2, learn: 0.35, again: 0.75, surely: 0.35 };
/** A likeness below this is somebody else. */
const ALIKE = 0.6;
/** How far around where he should be a man is looked for: standard deviations and pixels. */
const REACH = { deviations: 2.5, least: 7, most: 18 };
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

/**
 * Follows men through a play in all angles together, frame by frame: each is where the rays of both meet, height free, by a filter that knows
 * how men move; who stands before whom is worked out, and nobody is looked for where he is hidden.
 */
export class Following {
  private readonly men: Man[];
  private done = 1;

  /** Looks at the first frame of every angle. */
  constructor(
    starts: readonly Start[],
    private readonly watched: readonly Watched[],
    private readonly options: FollowOptions,
  ) {
    this.men = starts.map((start) => ({
      start,
      motion: atRest([start.x, start.y, TRUNK_HEIGHT[start.stance]], [KNOWN.place, KNOWN.place, KNOWN.height]),
      history: [],
      seen: [],
      doubts: [],
    }));
    for (const w of watched) meet(this.men, w);
    const isThere: Found = { seen: 1, surprises: [] };
    keep(
      this.men,
      this.men.map(() => isThere),
      options.framesPerSecond,
    );
  }

  /** Looks at the next frame of every angle; gives how many frames are done. */
  step(): number {
    const { men, watched, options } = this;
    const seconds = 1 / options.framesPerSecond;
    const before = men.map((m) => standing(m.motion));
    for (const m of men)
      m.motion = predict(m.motion, seconds, UPRIGHT_HEIGHT[m.start.stance], believed(m, this.done * seconds, options));
    const found = men.map((): Found => ({ seen: 0, surprises: [] }));
    for (const w of watched) lookAt(men, before, w, this.done, seconds, found);
    keepApart(men);
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
  const following = new Following(starts, watched, options);
  for (let f = 1; f < frames; f++) {
    const done = following.step();
    if (progress && !progress(done)) break;
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

/** The first frame: everybody who can be seen is learnt. */
function meet(men: readonly Man[], { eyes, camera, size, first }: Watched): void {
  eyes.look(first);
  const places = men.map((m) => standing(m.motion));
  const sights = sightOf(camera(first), places, size);
  men.forEach((m, i) => {
    const box = trunkBox(camera(first), places[i]!, size);
    const { part } = sights[i]!;
    if (!box || !part || shareOf(part) < SEES.learn) return;
    eyes.learn(`${m.start.team} ${m.start.id} first`, box, part);
    eyes.learn(`${m.start.team} ${m.start.id} last`, box, part);
  });
}

/** One frame of one angle: picture motion and likeness of everybody who is not hidden, taken into his motion. */
function lookAt(
  men: readonly Man[],
  before: readonly Standing[],
  w: Watched,
  f: number,
  seconds: number,
  finds: readonly Found[],
): void {
  const { eyes, size } = w;
  const frame = w.first + f;
  const cameraBefore = w.camera(frame - 1);
  eyes.look(frame);
  w.carry?.(frame, coveredBy(cameraBefore, before, size));
  const camera = w.camera(frame);
  const flows = flowsOf(before, cameraBefore, w);
  const places = men.map((m) => standing(m.motion));
  const sights = sightOf(camera, places, size);
  men.forEach((m, i) => {
    const by =
      (through: FilmCamera) =>
      (place: readonly number[]): readonly [number, number] | null => {
        const p = project(through, { x: place[0]!, y: place[1]!, z: place[2]! }, size);
        return p && [p.x, p.y];
      };
    const expected = by(camera);
    const name = `${m.start.team} ${m.start.id}`;
    const at = project(camera, places[i]!, size);
    const { part } = sights[i]!;
    if (!at || !part || shareOf(part) < SEES.find) return;
    const share = shareOf(part);
    const pixels = Math.sqrt(m.motion.cov.get(0, 0) + m.motion.cov.get(1, 1)) * scaleAt(camera, places[i]!, size);
    const reach = Math.min(REACH.most, Math.max(REACH.least, pixels * REACH.deviations));
    const hidden = 1 / Math.sqrt(share);
    const flow = flows[i];
    const was = flow && project(cameraBefore, before[i]!, size);
    const around = was ? { x: was.x + flow.x, y: was.y + flow.y } : at;
    const last = eyes.find(`${name} last`, around, reach, part);
    const first = eyes.find(`${name} first`, around, reach, part);
    if (!last) meetLater(m, w, name, places[i]!, camera, part);
    const found = [last, first].filter(
      (l) => l !== null && l.score >= ALIKE && !isMate(men, i, l.at, places, camera, w, part),
    );
    if (flow) {
      const steps = (mean: readonly number[]): readonly [number, number] | null => {
        const now = expected(mean);
        // A camera that is held by hand has moved too.
        const then = by(cameraBefore)([mean[0]! - mean[3]! * seconds, mean[1]! - mean[4]! * seconds, mean[2]!]);
        return now && then && [now[0] - then[0], now[1] - then[1]];
      };
      // Motion where nobody was recognised may be somebody else's.
      const error = ERROR.flow * hidden * (found.length ? 1 : ERROR.stranger);
      m.motion = takeIn(m.motion, steps, [flow.x, flow.y], [error, error * ERROR.upAndDown])?.motion ?? m.motion;
    }
    const { surprises } = finds[i]!;
    const here: number[] = [];
    surprises.push(here);
    for (const look of found) {
      const error = (ERROR.find + ERROR.poor * (1 - look!.score)) * hidden;
      const taken = takeIn(m.motion, expected, [look!.at.x, look!.at.y], [error, error]);
      if (!taken) continue;
      m.motion = taken.motion;
      here.push(taken.surprise);
      const trust = isAstray(taken.surprise) ? DOUBTED : 1;
      finds[i]!.seen = Math.max(finds[i]!.seen, look!.score * share * trust);
    }
    if (last && found.includes(last) && share >= SEES.again) {
      const box = trunkBox(camera, standing(m.motion), size);
      if (box) eyes.learn(`${name} last`, { ...box, x: last.at.x, y: last.at.y }, part);
    }
  });
}

/** So little counts how well somebody was seen of whom it is doubted that it is he. */
const DOUBTED = 0.4;
/** Team mates whose trunks are nearer than this on the picture can be taken for each other, in half widths of a trunk. */
const NEAR = 1.6;
/** By so much a team mate must be more like what was found to be it. */
const MORE_ALIKE = 0.03;

/** Whether what was found at a place is rather a team mate who is about there. */
function isMate(
  men: readonly Man[],
  i: number,
  at: Pixel,
  places: readonly Standing[],
  camera: FilmCamera,
  { eyes, size }: Watched,
  part: Part,
): boolean {
  const { team, id } = men[i]!.start;
  const rivals = men.filter((o, k) => {
    if (k === i || o.start.team !== team) return false;
    const box = trunkBox(camera, places[k]!, size);
    return box !== null && Math.hypot(box.x - at.x, box.y - at.y) < NEAR * box.halfWidth;
  });
  if (rivals.length === 0) return false;
  const likeness = (name: string): number => eyes.find(`${team} ${name} first`, at, 3, part)?.score ?? 0;
  const own = likeness(id);
  return rivals.some((r) => likeness(r.start.id) > own + MORE_ALIKE);
}

/** Learns a man whom this angle has not seen before, once he stands free and it is known where. */
function meetLater(
  m: Man,
  { eyes, size }: Watched,
  name: string,
  place: Standing,
  camera: FilmCamera,
  part: Part,
): void {
  if (shareOf(part) < SEES.again || spreadOf(m.motion) > SEES.surely ** 2) return;
  const box = trunkBox(camera, place, size);
  if (!box) return;
  eyes.learn(`${name} first`, box, part);
  eyes.learn(`${name} last`, box, part);
}

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
