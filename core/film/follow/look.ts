import type { FilmCamera, Pixel } from '../../model/calibration';
import type { Team } from '../../model/measured';
import { project, scaleAt, type Size } from '../calibrate/camera';
import { coveredBy, shareOf, sightOf, trunkBox, type Standing } from './bodies';
import type { Box, Eyes, Found, Part } from './eyes';
import { flowsOf } from './flows';

/** Film of one angle: frame `first` is the one the men start on; `camera` may change from frame to frame. */
export interface Watched {
  readonly size: Size;
  readonly first: number;
  readonly camera: (frame: number) => FilmCamera;
  readonly eyes: Eyes;
  /** Of a camera that moves: finds how it stands on a frame that has just been looked at, given what men cover on the frame before. */
  readonly carry?: (frame: number, covered: (p: Pixel) => boolean) => void;
}

/** A man as he is expected on a frame: where, and how surely: the standard deviation of the place, feet. */
export interface Expected extends Standing {
  readonly id: string;
  readonly team: Team;
  readonly spread: number;
}

/** How a man looked: when he was first seen free, and when he was last. */
export const LOOKS = ['last', 'first'] as const;
export type LookOf = (typeof LOOKS)[number];

/** Looks of a man that are to be remembered, from the frame that was looked at last. */
export interface Lesson {
  readonly man: number;
  readonly as: readonly LookOf[];
  readonly box: Box;
  readonly part: Part;
}

/** What an angle is to look for on a frame, counted from the first: plain data, as it may be asked of another worker. */
export interface Ask {
  readonly frame: number;
  readonly lessons: readonly Lesson[];
  /** Where everybody was on the frame before; empty on the first. */
  readonly before: readonly Standing[];
  readonly men: readonly Expected[];
}

/** One look of a man that was found again. */
export interface Find extends Found {
  readonly as: LookOf;
}

/** What an angle saw of a man. */
export interface Sighting {
  /** What of his trunk is free to see; `null` when too little is for him to be looked for. */
  readonly part: Part | null;
  /** How far picture motion has taken him since the frame before, pixels; `null` where it cannot tell. */
  readonly flow: Pixel | null;
  /** Where he was recognised. */
  readonly finds: readonly Find[];
  /** Whether the angle has a look of him to go by. */
  readonly isKnown: boolean;
}

/** What an angle saw on a frame, everybody in the order in which he was asked for, and how its camera stands there. */
export interface Seen {
  readonly camera: FilmCamera;
  readonly men: readonly Sighting[];
}

/** Less of a man free to see than this share of his trunk, and he is not looked for. */
const LEAST_FREE = 0.2;
/** A likeness below this is somebody else. */
const ALIKE = 0.6;
/** How far around where he should be a man is looked for: standard deviations and pixels. */
const REACH = { deviations: 2.5, least: 7, most: 18 };
/** Team mates whose trunks are nearer than this on the picture can be taken for each other, in half widths of a trunk. */
const NEAR = 1.6;
/** By so much a team mate must be more like what was found to be it. */
const MORE_ALIKE = 0.03;
/** How far from where one was found a team mate is looked for, pixels. */
const RIGHT_THERE = 3;

const UNSEEN: Sighting = { part: null, flow: null, finds: [], isKnown: false };

/** Looks at one frame of one angle: remembers what it is told to of the last, then picture motion and likeness of everybody who is not hidden. */
export function lookAt(watched: Watched, { frame, lessons, before, men }: Ask): Seen {
  const { eyes, size } = watched;
  for (const { man, as, box, part } of lessons) for (const look of as) eyes.learn(nameOf(men[man]!, look), box, part);
  const at = watched.first + frame;
  const cameraBefore = watched.camera(at - 1);
  eyes.look(at);
  if (frame > 0) watched.carry?.(at, coveredBy(cameraBefore, before, size));
  const camera = watched.camera(at);
  const flows = flowsOf(before, cameraBefore, watched);
  const sights = sightOf(camera, men, size);
  const around = men.map((m, i): Pixel | null => {
    const flow = flows[i];
    const was = flow && project(cameraBefore, before[i]!, size);
    return was ? { x: was.x + flow.x, y: was.y + flow.y } : project(camera, m, size);
  });
  const seen = men.map((_, i): Sighting => {
    const { part } = sights[i]!;
    if (!around[i] || !part || shareOf(part) < LEAST_FREE) return UNSEEN;
    const flow = flows[i] ?? null;
    return { part, flow, ...recognised(watched, camera, men, i, around[i], part) };
  });
  return { camera, men: seen };
}

const nameOf = ({ team, id }: Pick<Expected, 'team' | 'id'>, look: LookOf): string => `${team} ${id} ${look}`;

/** Where one of the men is found by how he looked, and whether there is a look to go by. */
function recognised(
  { eyes, size }: Watched,
  camera: FilmCamera,
  men: readonly Expected[],
  i: number,
  around: Pixel,
  part: Part,
): Pick<Sighting, 'finds' | 'isKnown'> {
  const man = men[i]!;
  const pixels = man.spread * scaleAt(camera, man, size);
  const reach = Math.min(REACH.most, Math.max(REACH.least, pixels * REACH.deviations));
  const looks = LOOKS.map((as) => ({ as, found: eyes.find(nameOf(man, as), around, reach, part) }));
  const rivals = matesAbout(camera, men, i, size);
  const finds = looks.flatMap(({ as, found }): Find[] => {
    if (!found || found.score < ALIKE || isMate(eyes, man, rivals(found.at), found.at, part)) return [];
    return [{ ...found, as }];
  });
  return { finds, isKnown: looks.some(({ as, found }) => as === 'last' && found !== null) };
}

/** The team mates of a man who are expected about a place on the picture. */
function matesAbout(camera: FilmCamera, men: readonly Expected[], i: number, size: Size): (at: Pixel) => Expected[] {
  const mates = men.filter((m, k) => k !== i && m.team === men[i]!.team);
  const boxes = mates.map((m) => trunkBox(camera, m, size));
  return (at) =>
    mates.filter((_, k) => {
      const box = boxes[k];
      return box && Math.hypot(box.x - at.x, box.y - at.y) < NEAR * box.halfWidth;
    });
}

/** Whether what was found at a place is rather one of the team mates who are about there. */
function isMate(eyes: Eyes, man: Expected, rivals: readonly Expected[], at: Pixel, part: Part): boolean {
  if (rivals.length === 0) return false;
  const likeness = (of: Expected): number => eyes.find(nameOf(of, 'first'), at, RIGHT_THERE, part)?.score ?? 0;
  const own = likeness(man);
  return rivals.some((r) => likeness(r) > own + MORE_ALIKE);
}
