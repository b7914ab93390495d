import { project } from '#core/film/calibrate/camera';
import { spotOf } from '#core/film/calibrate/ball';
import type { AskedPlaces } from '#core/film/follow/asked';
import { cameraDuring } from '#core/film/follow/carried';
import { lostFrames } from '#core/film/follow/events';
import type { Track } from '#core/film/follow/follow';
import type { MeasuredMan } from '#core/film/alignment/places';
import { ellipseOf } from '#core/film/calibrate/uncertainty';
import type { Calibration, FieldMark, Pixel } from '#core/model/calibration';
import type { Feet, FollowedPlay, StanceClicks, Team } from '#core/model/measured';
import { seenFromBall, type Named } from './men';

/** A man on a picture, pixels. A `guess` is where he should be; `next` is whose feet are clicked next. */
export interface ManOnPicture {
  readonly key: string;
  readonly id: string;
  readonly team: Team;
  readonly at: Pixel;
  readonly state: 'clicked' | 'guess' | 'next' | 'seen' | 'lost';
  /** The border of his error, drawn at twice its size; nothing when it is smaller than the dot. */
  readonly ellipse: string | null;
}

/** A man's ways on a picture: what was done until now, what was asked, and where the plan or a replay has him now. */
export interface WayOnPicture {
  readonly key: string;
  readonly team: Team;
  readonly done: string | null;
  readonly asked: string | null;
  readonly planned: Pixel | null;
  /** From where he is to where a replay has him. */
  readonly apart: string | null;
  readonly lost: boolean;
  readonly inHand: boolean;
}

/** What is drawn over one picture. */
export interface Drawn {
  readonly calibration: Calibration | null;
  /** The field as the camera has it. */
  readonly lines: boolean;
  readonly marks: readonly FieldMark[];
  readonly expected: readonly { readonly pixel: Pixel }[];
  readonly ball: Pixel | null;
  readonly men: readonly ManOnPicture[];
  readonly ways: readonly WayOnPicture[];
  /** Lines from one foot of a man to the other, and a foot whose other one is clicked next. */
  readonly stances: readonly string[];
  readonly foot: Pixel | null;
}
export const NOTHING_DRAWN: Drawn = {
  calibration: null,
  lines: false,
  marks: [],
  expected: [],
  ball: null,
  men: [],
  ways: [],
  stances: [],
  foot: null,
};

const same = (a: { id: string; team: Team }, b: { id: string; team: Team }): boolean =>
  a.id === b.id && a.team === b.team;
const pathOf = (points: readonly (Pixel | null)[]): string =>
  points
    .filter((p) => p !== null)
    .map((p, i) => `${i ? 'L' : 'M'}${p.x.toFixed(1)} ${p.y.toFixed(1)}`)
    .join('');

/** Everybody's feet at the snap on one picture: where they were clicked, else where the other angle or the call has them. */
export function feetOnPicture(
  men: readonly Named[],
  feet: readonly Feet[],
  measured: readonly MeasuredMan[],
  angle: string,
  calibration: Calibration | null,
  next: Named | null,
): ManOnPicture[] {
  return men.flatMap((man): ManOnPicture[] => {
    const own = feet.find((f) => same(f, man) && f.angle === angle);
    const known = measured.find((m) => same(m, man));
    const guess = calibration && seenFromBall(calibration, known ?? man, calibration);
    const at = own?.pixel ?? guess;
    if (!at) return [];
    const isNext = next !== null && same(next, man);
    return [
      {
        key: `${man.team} ${man.id}`,
        id: man.id,
        team: man.team,
        at,
        state: isNext ? 'next' : own ? 'clicked' : 'guess',
        ellipse: own && known && calibration ? errorOn(known, calibration) : null,
      },
    ];
  });
}

/** Lines from one foot to the other on one picture. */
export const stancesOnPicture = (stances: readonly StanceClicks[], angle: string): string[] =>
  stances.filter((s) => s.angle === angle).map((s) => pathOf(s.pixels));

/** The ellipse of a man's error on the field, twice its size, as it is seen. */
function errorOn(man: MeasuredMan, calibration: Calibration): string | null {
  const { major, minor, turn } = ellipseOf(man.spread);
  const points = Array.from({ length: 25 }, (_, i) => {
    const a = (i / 24) * 2 * Math.PI;
    const [u, v] = [2 * major * Math.cos(a), 2 * minor * Math.sin(a)];
    const [c, s] = [Math.cos(turn), Math.sin(turn)];
    return seenFromBall(calibration, { x: man.x + u * c - v * s, y: man.y + u * s + v * c }, calibration);
  });
  return pathOf(points);
}

/** Seconds of what was asked that are drawn, and the step of it. */
const ASKED = { seconds: 2.6, step: 0.1 };

/** Everybody's ways on one picture at a time from the snap; `replay`: men who go another way in a play that is run again. */
export function waysOnPicture(
  tracks: readonly Track[],
  play: FollowedPlay,
  asked: AskedPlaces | null,
  calibration: Calibration,
  angle: string,
  seconds: number,
  inHand: Pick<Named, 'id' | 'team'> | null,
  replay: readonly Track[] = [],
): { men: ManOnPicture[]; ways: WayOnPicture[] } {
  const spot = spotOf(calibration.camera, calibration.ball, calibration)!;
  const camera = cameraDuring(calibration, angle, play, seconds);
  const see = (at: { x: number; y: number }): Pixel | null =>
    project(camera, { x: spot.x + at.x, y: spot.y + at.y, z: 0 }, calibration);
  const men: ManOnPicture[] = [];
  const ways: WayOnPicture[] = [];
  for (const track of tracks) {
    const key = `${track.team} ${track.id}`;
    const now = Math.max(
      0,
      Math.min(track.places.length - 1, Math.round((seconds - play.start) * play.framesPerSecond)),
    );
    const again = replay.find((t) => same(t, track))?.places[now];
    const lost = lostFrames(track)[now] ?? false;
    const at = see(track.places[now]!);
    const hand = inHand !== null && same(inHand, track);
    if (at)
      men.push({
        key,
        id: track.id,
        team: track.team,
        at,
        state: hand ? 'next' : lost ? 'lost' : 'seen',
        ellipse: null,
      });
    ways.push({
      key,
      team: track.team,
      done: pathOf(track.places.slice(0, now + 1).map(see)),
      asked: hand || !inHand ? askedPath(asked, track, see) : null,
      planned: again ? see(again) : hand ? placeAsked(asked, track, seconds, see) : null,
      apart: again ? pathOf([at, see(again)]) : null,
      lost,
      inHand: hand,
    });
  }
  return { men, ways };
}

function askedPath(asked: AskedPlaces | null, { id, team }: Track, see: (p: Pixel) => Pixel | null): string | null {
  if (!asked || team === 'defence') return null;
  const steps = Array.from({ length: ASKED.seconds / ASKED.step + 1 }, (_, i) => asked(id, team, i * ASKED.step));
  return steps.some((p) => p === null) ? null : pathOf(steps.map((p) => see(p!)));
}

function placeAsked(
  asked: AskedPlaces | null,
  { id, team }: Track,
  seconds: number,
  see: (p: Pixel) => Pixel | null,
): Pixel | null {
  const at = asked?.(id, team, Math.max(0, seconds));
  return at ? see(at) : null;
}
