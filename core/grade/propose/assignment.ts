import { BLOCKS, type BlockId } from '../../vocabulary/index';
import type { Assignment } from '../../model/resolution';
import type { AssignmentMark } from '../../model/grade';
import type { Had } from '../../model/proposal';
import { lostFrames } from '../../film/follow/events';
import type { Track } from '../../film/follow/follow';
import { frameOf, type PlayOnFilm } from '../../film/measures/measure';
import { BUMP } from './had';
import { approaches, type Approach } from './toward';
import { askedWay, offBoth, offTheWay, otherWays, type OtherWay } from './way';

/** Who came this near to his man had him, or missed him at arm's length, feet. */
const ARMS = 4;
/** Who was this near to his man could have touched him, feet. */
const BODIES = 2.6;
/** Who came nearer to his man than this without having him ran through him, feet. */
const THROUGH = 1.5;
/** Who came this much nearer was on his way, feet; who is on somebody for this long stays there, seconds. */
const CAME = 4;
const STAYED = 1;
/** Who went this much nearer to one than to another went to that one, feet. */
const NEARER = 1.5;
/** Who was no farther off his asked way than this most of the time did as asked, feet. */
const ON_THE_WAY = 1.2;
/** Another way is his when it fits so much better, feet, and is no farther off than such a share of his own, nor than `FITS`. */
const CLEARLY = 0.5;
const CLOSER = 0.6;
const FITS = 2.5;
/** A man whom the film has lost for this share of the play is not judged. */
const MOSTLY = 0.6;
/** Who has another man for this long, seconds, was on him and did not only brush him. */
const ON_HIM = 0.5;

export interface Told {
  readonly mark: AssignmentMark | null;
  /** 0 to 1; measured on the demo's film, see `npm run propose`. */
  readonly sure: number;
  readonly why: string;
}
const cannotTell = (why: string): Told => ({ mark: null, sure: 0, why });
const tenth = (n: number): string => n.toFixed(1);

/** Did he take whom he was asked to take? What the film shows, with the sentence that says it; nothing where it shows too little. */
export function tellAssignment(play: PlayOnFilm, asked: Assignment, man: Track, had: readonly Had[]): Told {
  const role = BLOCKS[asked.block as BlockId]?.role;
  if (role === 'leave' || role === 'read') return tellLeft(asked, had);
  const his = [asked.target, asked.next].filter((id): id is string => id !== null);
  const off = offTheWay(play, man);
  const held = had.find((h) => his.includes(h.defender));
  const other = had.find((h) => !his.includes(h.defender) && h.seconds >= ON_HIM);
  const own = approaches(play, man)
    .filter((a) => his.includes(a.defender))
    .sort((a, b) => a.nearest - b.nearest)[0];
  const ranThrough = own !== undefined && !held && own.nearest < THROUGH && own.closed > CAME;
  // His way says whom he meant; a touch is only where he ended. Who ran through his own man is judged by how he came to him.
  const meant = off ? whomHeMeant(play, man, otherWays(play, man, his), ranThrough ? own.at : Infinity) : null;
  if (meant) {
    const sure = Math.min(0.95, 0.6 + (meant.off - meant.instead) / 10);
    const why = `His way was that of a man who goes for ${meant.defender}, ${tenth(meant.off)} ft off his own.`;
    return { mark: 'wrong', sure, why };
  }
  if (off && off.usual <= ON_THE_WAY)
    return {
      mark: 'right',
      sure: held ? 0.95 : 0.85,
      why: held
        ? `He came to ${held.defender} after ${tenth(held.from)} s and had him ${tenth(held.seconds)} s.`
        : `He went where he was asked to, within ${tenth(off.usual)} ft.`,
    };
  if (held && held.seconds >= BUMP && !(other && other.seconds > held.seconds))
    return {
      mark: 'right',
      sure: 0.7 + 0.2 * held.sure,
      why: `He came to ${held.defender} after ${tenth(held.from)} s and had him ${tenth(held.seconds)} s.`,
    };
  if (his.length === 0) return cannotTell('Nobody in particular was asked of him.');
  if (lostShare(play, man) > MOSTLY) return cannotTell('The film has lost him for most of the play.');
  if (!own) return cannotTell(`${his.join(' and ')} cannot be followed.`);
  return other ? tellOther(other, own) : tellWay(approaches(play, man), own, his);
}

/** Whom he went for, and how far he was off his own way and that one's where the two differ. */
interface Meant {
  readonly defender: string;
  readonly off: number;
  readonly instead: number;
}

/** Of the others whose way is clearly his the one to whom it fits best: two that go alike for long are told apart where they turn off. */
function whomHeMeant(play: PlayOnFilm, man: Track, others: readonly OtherWay[], until: number): Meant | null {
  const asked = askedWay(play, man)!;
  const meant = others.flatMap(({ defender, way }): Meant[] => {
    const both = offBoth(play, man, asked, way, until);
    if (!both || both.other > FITS || both.one < both.other + CLEARLY || both.other > CLOSER * both.one) return [];
    return [{ defender, off: both.one, instead: both.other }];
  });
  return meant.sort((a, b) => a.instead - b.instead)[0] ?? null;
}

function tellLeft({ target }: Assignment, had: readonly Had[]): Told {
  const touched = had.find((h) => h.defender === target && h.seconds >= BUMP);
  if (!touched) return { mark: 'right', sure: 0.8, why: `He left ${target ?? 'him'} alone.` };
  return { mark: 'wrong', sure: 0.5 + 0.3 * touched.sure, why: `He was on ${target} for ${tenth(touched.seconds)} s.` };
}

/** He was on somebody else, off his asked way; who ran through his own man on the way has missed him. */
function tellOther(other: Had, own: Approach): Told {
  if (own.nearest < BODIES && (own.closed > CAME || other.seconds < STAYED))
    return {
      mark: 'right',
      sure: 0.55,
      why: `He ran by ${own.defender}, ${tenth(own.nearest)} ft away, and was on ${other.defender} then.`,
    };
  const why = `He was on ${other.defender} for ${tenth(other.seconds)} s; ${own.defender} was never nearer than ${tenth(own.nearest)} ft.`;
  return { mark: 'wrong', sure: 0.6 + 0.25 * other.sure, why };
}

/** He met nobody: whom he went to says whom he meant. */
function tellWay(near: readonly Approach[], own: Approach, his: readonly string[]): Told {
  const other = near.find((a) => !his.includes(a.defender) && a.closed > 0);
  const said = `He met nobody for long; ${own.defender} was ${tenth(own.nearest)} ft away at the nearest`;
  if (own.nearest < ARMS) return { mark: 'right', sure: 0.75, why: `${said}, and he was on his way to him.` };
  if (other && other.nearest < ARMS && other.nearest < own.nearest - NEARER && own.closed < 0)
    return { mark: 'wrong', sure: 0.55, why: `${said}; he went to ${other.defender}, to ${tenth(other.nearest)} ft.` };
  if (own.closed > 0) return { mark: 'right', sure: 0.6, why: `${said}, and he was on his way to him.` };
  return cannotTell(`${said}, and he went to nobody.`);
}

/** Share of the first two seconds on which the film has lost him. */
function lostShare(play: PlayOnFilm, man: Track): number {
  const until = frameOf(play, man, 2);
  const lost = lostFrames(man).slice(0, until + 1);
  return lost.filter(Boolean).length / Math.max(1, lost.length);
}
