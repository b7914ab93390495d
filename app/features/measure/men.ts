import type { WorkedCall } from '#core/calls/resolve-call';
import { project, scaleAt, type Size } from '#core/film/calibrate/camera';
import { spotOf } from '#core/film/calibrate/ball';
import { takesSnapAt } from '#core/kinematics/passing';
import { SHIPPED_SETTINGS, type Settings } from '#core/model/settings';
import type { MeasuredMan } from '#core/film/alignment/places';
import type { Calibration, Pixel } from '#core/model/calibration';
import type { Team } from '#core/model/measured';

/** A man whose feet can be clicked: where the call has him, feet from the ball. */
export interface Named {
  readonly id: string;
  readonly team: Team;
  readonly x: number;
  readonly y: number;
}

/** Everybody of a call in the order in which feet are clicked: the line from the left, the others, then the defence from the left. */
export function menOf(
  { formation, front }: Pick<WorkedCall, 'formation' | 'front'>,
  depths: Pick<Settings, 'gunDepth' | 'pistolDepth'> = SHIPPED_SETTINGS,
): Named[] {
  const line = (kind: string): boolean => kind === 'line' || kind === 'tight';
  const offence = [...formation.men].sort((a, b) => Number(line(b.kind)) - Number(line(a.kind)) || a.x - b.x);
  // The quarterback is no blocker: where he stands is said by how he takes the snap.
  const quarterback: Named = { id: 'QB', team: 'offence', x: 0, y: -takesSnapAt(formation.quarterback, depths) };
  const defence = [...front.defenders].sort((a, b) => a.x - b.x);
  return [
    ...offence.map(({ id, x, y }): Named => ({ id, team: 'offence', x, y })),
    ...(formation.men.some((m) => m.id === 'QB') ? [] : [quarterback]),
    ...defence.map(({ id, x, y }): Named => ({ id, team: 'defence', x, y })),
  ];
}

/** A click this near to where the call has a man is his, feet. */
const HIS = 3;

/** Where a camera sees a place counted from the ball. */
export function seenFromBall(calibration: Calibration, at: { x: number; y: number }, size: Size): Pixel | null {
  const spot = spotOf(calibration.camera, calibration.ball, size);
  return spot && project(calibration.camera, { x: spot.x + at.x, y: spot.y + at.y, z: 0 }, size);
}

/** Pixels a foot takes up near the ball. */
export const footAt = (calibration: Calibration): number =>
  scaleAt(calibration.camera, { ...calibration.spot, z: 0 }, calibration);

/**
 * Whose feet a click is on: the man nearest to it by what is known of him, the other angle before the call; `null` when nobody is near, or
 * when nothing tells.
 */
export function whoseFeet(
  pixel: Pixel,
  men: readonly Named[],
  calibration: Calibration,
  measured: readonly MeasuredMan[],
): Named | null {
  const known = men.flatMap((man) => {
    const at = measured.find((m) => m.id === man.id && m.team === man.team) ?? man;
    const seen = seenFromBall(calibration, at, calibration);
    return seen ? [{ man, away: Math.hypot(seen.x - pixel.x, seen.y - pixel.y) }] : [];
  });
  const nearest = known.sort((a, b) => a.away - b.away)[0];
  return nearest && nearest.away < HIS * footAt(calibration) ? nearest.man : null;
}

/** The man so many places on in a list, round and round. */
export function manOn(men: readonly Named[], of: Pick<Named, 'id' | 'team'> | null, by: number): Named | null {
  const at = men.findIndex((m) => m.id === of?.id && m.team === of.team);
  return men[(at + by + men.length) % men.length] ?? null;
}
