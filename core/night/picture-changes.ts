import { levelOf } from '../identify/line';
import { mirrorText, sayFront } from '../language/lineups/print-lineup';
import type { Formation } from '../model/formation';
import { lineOf } from '../model/formation';
import type { Defender, Front } from '../model/front';
import { SIDES, signOf, type Side } from '../model/side';
import type { PlannedLook } from '../model/week-plan';

/** What they change in a picture from one snap to the next. Places in feet, field frame. */
interface PictureChange {
  /** As it is said on a sideline. */
  readonly name: string;
  /** The picture in inline notation; `null` when it is no other, or two men would stand on one spot. */
  readonly of: (front: Front, formation: Formation) => string | null;
}

/** A gap over, for a linebacker. */
const A_GAP_OVER = 3;
/** From head-up to a shade. */
const A_SHADE_OVER = 1.5;
/** How much wider an end goes when he goes wide. */
const WIDER = 3;
/** How much deeper linebackers go when they back off: two yards. */
const BACKED_OFF = 6;
const DEEPEST_BACKER = 24;
/** How deep a walked-up linebacker stands. */
const WALKED = 3;
/** Where a safety stands who has come down: outside the last man of the line, at a linebacker's depth. */
const COME_DOWN = { outside: 4, y: 13.5 };
/** Most characters of a front's name in a call. */
const MOST_NAME = 80;
/** Nearer than this two men would stand on one spot. */
const ON_ONE_SPOT = 1.5;

const byPlace = (a: Defender, b: Defender): number => a.x - b.x;
const firstOf = (front: Front): Defender[] => front.defenders.filter((d) => levelOf(d) === 1).sort(byPlace);
const backersOf = (front: Front): Defender[] =>
  front.defenders.filter((d) => levelOf(d) === 2 && d.position !== 'db').sort(byPlace);
const by = (men: readonly Defender[], dx: number): Defender[] => men.map((d) => ({ ...d, x: d.x + dx }));

/** Each linebacker straight behind a man of the line, the nearest to the ball first, and on his own side of it while there is one. */
function stacked(front: Front): Defender[] {
  const free = firstOf(front);
  return [...backersOf(front)]
    .sort((a, b) => Math.abs(a.x) - Math.abs(b.x))
    .flatMap((d) => {
      const beside = free.filter((m) => m.x * d.x >= 0);
      // Between two as near the one outside.
      const [nearest] = (beside.length > 0 ? beside : [...free]).sort(
        (a, b) => Math.abs(a.x - d.x) - Math.abs(b.x - d.x) || Math.abs(b.x) - Math.abs(a.x),
      );
      if (!nearest) return [];
      free.splice(free.indexOf(nearest), 1);
      return [{ ...d, x: nearest.x }];
    });
}

/** The two linebackers nearest to the ball, in the gaps beside the centre. */
function inTheAGaps(front: Front, formation: Formation): Defender[] {
  const line = lineOf(formation);
  const centre = line.findIndex((m) => m.id === 'C');
  const gaps = [line[centre - 1], line[centre + 1]].map((beside) => (beside ? (beside.x + line[centre]!.x) / 2 : null));
  const two = [...backersOf(front)]
    .sort((a, b) => Math.abs(a.x) - Math.abs(b.x))
    .slice(0, 2)
    .sort(byPlace);
  return two.length < 2 || gaps.includes(null)
    ? []
    : two.map((d, i): Defender => ({ ...d, x: gaps[i]!, y: WALKED, stance: 'up' }));
}

/** The deep man nearest to a side, beside the line. */
function comeDown(front: Front, formation: Formation, side: Side): Defender[] {
  const sign = signOf(side);
  const edge = Math.max(...lineOf(formation).map((m) => m.x * sign));
  const [him] = front.defenders
    .filter((d) => levelOf(d) === 3 && d.mark !== 'corner')
    .sort((a, b) => (b.x - a.x) * sign);
  return him ? [{ ...him, x: sign * (edge + COME_DOWN.outside), y: COME_DOWN.y }] : [];
}

function endsWider(front: Front): Defender[] {
  const first = firstOf(front);
  const [left, right] = [first[0], first.at(-1)];
  return left && right && left !== right ? [...by([left], -WIDER), ...by([right], WIDER)] : [];
}

const moving =
  (move: (front: Front, formation: Formation) => readonly Defender[]): PictureChange['of'] =>
  (front, formation) => {
    const moved = new Map(move(front, formation).map((d) => [d.id, d]));
    const defenders = front.defenders.map((d) => moved.get(d.id) ?? d);
    const isOther = defenders.some((d, i) => d.x !== front.defenders[i]!.x || d.y !== front.defenders[i]!.y);
    const apart = (men: readonly Defender[], i: number, j: number): number =>
      Math.hypot(men[i]!.x - men[j]!.x, men[i]!.y - men[j]!.y);
    // Who stood so near before may stand there still.
    const onOneSpot = defenders.some((_, i) =>
      defenders.some((__, j) => {
        const now = apart(defenders, i, j);
        return j > i && now < ON_ONE_SPOT && now < apart(front.defenders, i, j);
      }),
    );
    return isOther && !onOneSpot ? sayFront({ ...front, defenders }, formation) : null;
  };

/** The same by its names on the other side, with what it does after the snap. */
function turnedAround(front: Front, formation: Formation): string | null {
  const text = sayFront(front, formation);
  const around = mirrorText(text);
  return around === text ? null : around;
}

/** Everything a coach can say of a picture that is not the one he planned for, in the order in which it comes to mind. */
const PICTURE_CHANGES: readonly PictureChange[] = [
  { name: 'linebackers stacked', of: moving(stacked) },
  ...SIDES.map((side) => ({
    name: `linebackers over to the ${side}`,
    of: moving((front) => by(backersOf(front), signOf(side) * A_GAP_OVER)),
  })),
  { name: 'both A gaps walked up', of: moving(inTheAGaps) },
  {
    name: 'linebackers backed off',
    of: moving((front) => backersOf(front).map((d) => ({ ...d, y: Math.min(DEEPEST_BACKER, d.y + BACKED_OFF) }))),
  },
  ...SIDES.map((side) => ({
    name: `the men inside over to the ${side}`,
    of: moving((front) => by(firstOf(front).slice(1, -1), signOf(side) * A_SHADE_OVER)),
  })),
  { name: 'ends wider', of: moving(endsWider) },
  ...SIDES.map((side) => ({
    name: `safety down on the ${side}`,
    of: moving((front, formation) => comeDown(front, formation, side)),
  })),
  { name: 'turned around', of: turnedAround },
];

/** A picture they may show next, and what it is called. */
export interface NextPicture extends Pick<PlannedLook, 'front' | 'frontName'> {
  readonly says: string;
}

/** What they may make of a front: every change that makes another one of it. */
export const nextPictures = (front: Front, frontName: string, formation: Formation): NextPicture[] =>
  PICTURE_CHANGES.flatMap(({ name, of }) => {
    const text = of(front, formation);
    return text === null ? [] : [{ says: name, front: text, frontName: `${frontName}, ${name}`.slice(0, MOST_NAME) }];
  });
