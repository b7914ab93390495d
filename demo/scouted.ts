import { FIRST_SNAP } from '#core/film/log/series';
import type { Angle } from '#core/model/angle';
import type { Side } from '#core/model/side';
import type { ClipBody, Situation } from '#core/model/snap';
import { demoCall, type DemoFormation, type DemoFront } from './calls';
import film from './film/scouted.json';
import type { DemoSnap } from './scenario';

/** A game of the next opponent's, filmed to see what they do: the Millers have the ball, the Terns stand against it. */
export const SCOUTED_GAME = { opponent: 'Quillport Terns', theirs: 'Graymoor Millers', week: 5 } as const;

const snap = (
  scheme: string,
  side: Side,
  formation: DemoFormation,
  front: DemoFront,
  [quarter, down, distance, hash, gain, toGoal]: [number, number, number, Situation['hash'], number, number],
): DemoSnap => ({
  call: demoCall(scheme, side, formation, front),
  situation: {
    ...{ ...FIRST_SNAP, quarter, down, distance, hash, gain, toGoal },
    result: scheme.startsWith('pro-') ? 'incomplete' : 'went on',
  },
  faults: [],
});

/** What the Millers ran is named by the play of ours that is most like it. */
export const SCOUTED_SNAPS: readonly DemoSnap[] = [
  snap('inside-zone-z1', 'right', 'H right', 'Over', [1, 1, 10, 'left', 3, 70]),
  snap('power', 'right', 'H right', 'Over, tackle slants in', [1, 2, 7, 'middle', 1, 67]),
  snap('pro-five-back', 'right', 'One back behind', 'Over, end loops', [1, 3, 6, 'middle', 0, 66]),
  snap('duo', 'right', 'Tight end right', 'Under', [1, 1, 10, 'right', 5, 48]),
  snap('inside-zone-z1', 'left', 'Five-man', 'Over, tackle slants in', [1, 2, 5, 'right', 2, 43]),
  snap('power', 'right', 'Tight end and H right', 'Over, walked up', [1, 3, 3, 'left', 2, 41]),
];

export const scoutedClipFile = (number: number, angle: Angle): string =>
  `scouted-${String(number).padStart(2, '0')}-${angle.replace(' ', '-')}.webm`;

/** Frames of a clip as the cameras wrote them down. */
export function scoutedClip(number: number): ClipBody {
  const clip = (film as ClipBody[])[number - 1];
  if (!clip) throw new Error(`the scouted film has no snap ${number}; remake it with "npm run film demo/film scouted"`);
  return clip;
}
