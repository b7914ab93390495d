import { lostFrames, meetingsOf, type Meeting } from '#core/film/follow/events';
import { carriedCamera } from '#core/film/follow/carried';
import { follow, type Track } from '#core/film/follow/follow';
import type { Watched } from '#core/film/follow/look';
import { startsOf } from '#core/film/follow/starts';
import { holeOf, type Hole } from '#core/film/measures/hole';
import { askedOnFilm } from '#core/film/measures/measure';
import { askedPlaces } from '#core/film/follow/asked';
import { nameMovement } from '#core/film/alignment/movement';
import { ballOf, placesOf } from '#core/film/alignment/places';
import { looksAt } from '#core/film/follow/looks';
import type { WorkedCall } from '#core/calls/resolve-call';
import type { CalibrationInput } from '#core/model/calibration';
import type { Feet } from '#core/model/measured';
import { ANGLES, type Angle } from '#core/model/angle';
import { OpenCvEyes, type Cv } from '#eyes/opencv-eyes';
import { demoClipFile } from '#demo/scenario';
import { framesOf } from './film';
import { SURE, sayAll } from './movements';
import { calibrated, clickedCameras } from './places';
import { share, type Tally } from './tally';
import { feetClicked, handOf, SIZE, trulyAt, type Truth } from './truth';

/** How long men are followed, seconds: longer than what is compared, as leaving somebody is told by what comes after; and the spans reported. */
const SECONDS = 3;
const COMPARED = 2;
const SPANS = [
  [0, 0.5],
  [0.5, 1],
  [1, 1.5],
  [1.5, 2],
] as const;
/** An error that has to be confessed, feet; and how near an event has to be, frames. */
const FAR_OFF = 2;
const EVENT_FRAMES = 2;

/** One filmed snap with what was asked on it. */
export interface Filmed {
  readonly truth: Truth;
  readonly folder: string;
  readonly number: number;
  readonly call: WorkedCall;
  /** It was filmed by hand: the cameras are carried along. */
  readonly moves: boolean;
}

/** Follows everybody through so many frames of a filmed snap, from the frame before the ball moves. */
export function followFilmed(
  cv: Cv,
  { truth, folder, number, call, moves }: Filmed,
  inputs: Readonly<Record<Angle, CalibrationInput>>,
  feet: readonly Feet[],
  frames: number,
): { tracks: Track[]; ball: { x: number; y: number } } {
  const calibrations = calibrated(inputs);
  const first = truth.snapFrame - 1;
  const eyes = ANGLES.map((angle) => {
    const pictures = framesOf(`${folder}/${demoClipFile(number, angle)}`);
    return new OpenCvEyes(cv, (f) => pictures[f]!);
  });
  const watched = ANGLES.map((angle, i): Watched => {
    const calibration = calibrations[angle]!;
    const still = { size: SIZE, first, camera: () => calibration.camera, eyes: eyes[i]! };
    return moves ? { ...still, ...carriedCamera(calibration, first, SIZE, eyes[i]!) } : still;
  });
  const ball = ballOf(calibrations)!;
  const places = placesOf({ seconds: 0, feet: [...feet] }, calibrations);
  const tracks = follow(startsOf(places, call, ball), watched, {
    framesPerSecond: truth.framesPerSecond,
    frames: Math.min(frames, truth.frames - first),
    asked: askedPlaces(call, ball, -1 / truth.framesPerSecond),
  });
  for (const e of eyes) e.close();
  return { tracks, ball };
}

/** Follows everybody through one filmed snap from clicks of one pixel and adds how far off that is to the tally. */
export function measureFollowing(cv: Cv, filmed: Filmed, tally: Tally): void {
  const { truth, number } = filmed;
  const seed = 100 * number;
  const first = truth.snapFrame - 1;
  const started = performance.now();
  const frames = SECONDS * truth.framesPerSecond + 2;
  const feet = feetClicked(truth, first, handOf(seed + 5)).feet;
  const { tracks, ball } = followFilmed(cv, filmed, clickedCameras(truth, seed), feet, frames);
  tally.add('seconds to decode and follow a snap', [(performance.now() - started) / 1000]);
  for (const track of tracks) compareTrack(truth, first, track, ball, tally);
  compareEvents(truth, first, tracks, tally);
  compareHole(filmed, tracks, ball, tally);
  compareMovement(filmed, tracks, tally);
}

/** The movement as it is named of the men who were followed. */
function compareMovement(
  { truth: { framesPerSecond }, call, number }: Filmed,
  tracks: readonly Track[],
  tally: Tally,
): void {
  const { atSnap, looks } = looksAt(tracks, { start: -1 / framesPerSecond, framesPerSecond });
  const [best] = nameMovement(call, atSnap, looks);
  const [named, was] = [best!.movements, call.front.movements];
  const isRight = JSON.stringify(named) === JSON.stringify(was);
  tally.count('what the front did named right of men who were followed', isRight);
  if (best!.share >= SURE) tally.count('the same where the reading was sure', isRight);
  if (!isRight) tally.note(`snap ${number}, followed: ${sayAll(was)}: ${sayAll(named)} (${share(best!.share)})`);
}

/** The hole as it was followed beside the hole as it was, on a run whose ball crosses the line while everybody is followed. */
function compareHole(
  { truth, call }: Filmed,
  tracks: readonly Track[],
  ball: { readonly x: number; readonly y: number },
  tally: Tally,
): void {
  const [first, frames] = [truth.snapFrame - 1, tracks[0]!.places.length];
  const followed = tracks.map((t) => ({
    ...t,
    places: t.places.map((p) => ({ ...p, x: p.x - ball.x, y: p.y - ball.y })),
  }));
  const really = truth.men.map(({ id, team }, man): Track => ({
    id,
    team,
    places: Array.from({ length: frames }, (_, f) => ({ ...trulyAt(truth, man, first + f), z: 0, error: 0, seen: 1 })),
  }));
  const [seen, was] = [followed, really].map((men) => holeIn(men, truth, call));
  if (!was) return;
  tally.count('hole found where there was one', seen !== null);
  if (!seen) return;
  tally.count('between the same two men', seen.left?.name === was.left?.name && seen.right?.name === was.right?.name);
  if (!seen.left || !seen.right || !was.left || !was.right) return;
  const off = Math.abs(seen.width - was.width);
  tally.add('hole width, ft', [off]);
  tally.count('hole width within twice its error', off <= 2 * seen.error);
}
function holeIn(tracks: Track[], { framesPerSecond }: Truth, { formation, resolution }: WorkedCall): Hole | null {
  const asked = askedOnFilm(formation, resolution);
  const carrier = tracks.find((t) => t.team === 'offence' && t.id === asked.carrier);
  if (asked.pass) return null;
  const play = { tracks, framesPerSecond, start: -1 / framesPerSecond, meetings: meetingsOf(tracks, framesPerSecond) };
  return carrier ? holeOf(play, carrier) : null;
}

function compareTrack(truth: Truth, first: number, track: Track, ball: { x: number; y: number }, tally: Tally): void {
  const man = truth.men.findIndex((m) => m.id === track.id && m.team === track.team);
  const lost = lostFrames(track);
  track.places.forEach((p, f) => {
    const seconds = (f - 1) / truth.framesPerSecond;
    const span = SPANS.find(([from, to]) => seconds >= from && seconds < to);
    if (!span) return;
    const really = trulyAt(truth, man, first + f);
    const [dx, dy] = [p.x - ball.x - really.x, p.y - ball.y - really.y];
    const off = Math.hypot(dx, dy);
    const when = `${span[0]} to ${span[1]} s`;
    tally.add(`followed across, ${when}, ft`, [Math.abs(dx)]);
    tally.add(`followed downfield, ${when}, ft`, [Math.abs(dy)]);
    tally.add(`followed place, ${when}, ft`, [off]);
    if (!lost[f]) tally.add(`followed place of men not called lost, ${when}, ft`, [off]);
    tally.count(off > FAR_OFF ? 'called lost where off by more than 2 ft' : 'called lost where not', lost[f]!);
  });
}

/** The meeting of two men that is nearest to a frame. */
function nearest(meetings: readonly Meeting[], frame: (m: Meeting) => number): Meeting | undefined {
  return [...meetings].sort((a, b) => Math.abs(frame(a)) - Math.abs(frame(b)))[0];
}

function compareEvents(truth: Truth, first: number, tracks: readonly Track[], tally: Tally): void {
  const meetings = meetingsOf(tracks, truth.framesPerSecond);
  const last = first + COMPARED * truth.framesPerSecond;
  for (const { kind, man, on, frame } of truth.happened) {
    if (frame > last) continue;
    if (kind === 'contact') {
      const own = meetings.filter((m) => m.blocker === man && m.defender === on);
      const best = nearest(own, (m) => m.from + first - frame);
      const right = best !== undefined && Math.abs(best.from + first - frame) <= EVENT_FRAMES;
      tally.count('contact within 2 frames', right);
      if (best && best.sure > 0.5) tally.count('contact within 2 frames, where the meeting is sure', right);
    } else {
      const own = meetings.filter((m) => m.blocker === man && m.defender !== on && m.to !== null);
      const best = nearest(own, (m) => m.to! + first - frame);
      tally.count('come-off within 2 frames', best !== undefined && Math.abs(best.to! + first - frame) <= EVENT_FRAMES);
    }
  }
}
