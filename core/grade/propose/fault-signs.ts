import { BLOCKS, type BlockId } from '../../vocabulary/index';
import type { FaultId } from '../../model/faults';
import type { Assignment } from '../../model/resolution';
import type { Had } from '../../model/proposal';
import type { Track } from '../../film/follow/follow';
import { displacementMeasure } from '../../film/measures/contact';
import { firstStepMeasure } from '../../film/measures/first-step';
import { getOffMeasure } from '../../film/measures/get-off';
import { isTelling, type PlayOnFilm, type Reading } from '../../film/measures/measure';
import { padLevelMeasure } from '../../film/measures/pad-level';
import { pullDepthMeasure } from '../../film/measures/pull-depth';
import { approaches } from './toward';
import { askedToLeave, offTheWay } from './way';

/** What a sign is read from: one man's block on film. */
export interface Seen {
  readonly play: PlayOnFilm;
  readonly man: Track;
  readonly asked: Assignment;
  readonly had: readonly Had[];
}
export interface Sign {
  readonly sure: number;
  readonly why: string;
}

/** How a fault shows itself in what is measured; `null` where it does not. A measure within its error shows nothing. */
export interface FaultSign {
  readonly fault: FaultId;
  readonly of: (seen: Seen) => Sign | null;
}

/** A step back shorter than this is wavering, feet; farther than so many of its errors it is told. */
const LOST_GROUND = 0.3;
const TELLS = 1.5;
/** A pull deeper than asked by this is too deep, feet. */
const TOO_DEEP = 1.5;
/** Who is later than the line by this, seconds, was late. */
const LATE = 0.3;
/** Who leaves a man sooner or later than asked by this, seconds, left early or late. */
const EARLY = 0.45;
const LATER = 0.6;
/** Who comes this near and has him not has missed him, feet. */
const MISSED = 5;
/** Who is off his asked way by this most of the time, or by that once, did not go it, feet. */
const OFF_THE_WAY = 1.6;
const FAR_OFF = 4;
/** Pads this much above those of his man are too high, feet. */
const TOO_HIGH = 0.35;
/** Who gives this much ground was beaten, feet. */
const GAVE = -1;

const FORWARD = new Set(['straight', 'climb']);
const isForward = ({ block }: Assignment): boolean => FORWARD.has(BLOCKS[block as BlockId]?.course ?? '');
const deepestAsked = ({ path }: Assignment): number => path[0]!.y - Math.min(...path.map((p) => p.y));
const tenth = (n: number): string => n.toFixed(1);

/** How many errors a reading is beyond a limit, as a share of certainty. */
const beyond = ({ error }: Reading, by: number): number => Math.min(0.95, 0.5 + by / (8 * error));

/** When a man who was to go on from his first man left him, and when he was to; `null` where there was no such thing. */
function leaving({ play, asked, had }: Seen): { left: number; wanted: number } | null {
  if (!asked.target || !asked.next || asked.partners.length === 0) return null;
  const own = had.find((h) => h.defender === asked.target);
  const wanted = askedToLeave(play, asked.blocker, asked.target);
  return own && wanted !== null ? { left: own.from + own.seconds, wanted } : null;
}

/** Every fault the film can show, once. */
export const FAULT_SIGNS: readonly FaultSign[] = [
  {
    fault: 'false-step',
    of: ({ play, man, asked }) => {
      const step = isForward(asked) ? firstStepMeasure.of(play, man) : null;
      if (!step || step.value > -LOST_GROUND || -step.value < TELLS * step.error) return null;
      return { sure: beyond(step, -step.value - LOST_GROUND), why: `First step ${step.says}.` };
    },
  },
  {
    fault: 'late-off',
    of: ({ play, man }) => {
      const off = getOffMeasure.of(play, man);
      if (!off || off.value < LATE || !isTelling(off)) return null;
      return { sure: beyond(off, off.value - LATE), why: `Off the ball: ${off.says}.` };
    },
  },
  {
    fault: 'too-deep',
    of: ({ play, man, asked }) => {
      const depth = pullDepthMeasure.of(play, man);
      const by = depth ? depth.value - deepestAsked(asked) : 0;
      if (!depth || by < TOO_DEEP || by < 2 * depth.error) return null;
      return {
        sure: beyond(depth, by - TOO_DEEP),
        why: `Pulled ${depth.says} deep, ${tenth(by)} ft deeper than asked.`,
      };
    },
  },
  {
    fault: 'missed',
    of: ({ play, man, asked, had }) => {
      const his = [asked.target, asked.next].filter((id) => id !== null);
      if (!asked.target || asked.help === 'hand' || had.some((h) => his.includes(h.defender))) return null;
      const own = approaches(play, man).find((a) => a.defender === asked.target);
      const off = offTheWay(play, man);
      const strayed = off !== null && (off.usual >= OFF_THE_WAY || off.most >= FAR_OFF);
      if (!own || !strayed || own.nearest > MISSED) return null;
      return { sure: 0.6, why: `He came to within ${tenth(own.nearest)} ft of ${asked.target} and never had him.` };
    },
  },
  {
    fault: 'wrong-track',
    of: ({ play, man, asked, had }) => {
      const { course } = BLOCKS[asked.block as BlockId];
      const off = course === 'climb' ? offTheWay(play, man) : null;
      if (!off || off.usual < OFF_THE_WAY || had.some((h) => h.defender === asked.target)) return null;
      return { sure: 0.5, why: `He was ${tenth(off.usual)} ft off the track that was asked.` };
    },
  },
  {
    fault: 'left-early',
    of: (seen) => {
      const at = leaving(seen);
      if (!at || at.wanted - at.left < EARLY) return null;
      return { sure: 0.5, why: `He left ${seen.asked.target} ${tenth(at.wanted - at.left)} s sooner than asked.` };
    },
  },
  {
    fault: 'left-late',
    of: (seen) => {
      const at = leaving(seen);
      if (!at || at.left - at.wanted < LATER) return null;
      return { sure: 0.5, why: `He stayed on ${seen.asked.target} ${tenth(at.left - at.wanted)} s longer than asked.` };
    },
  },
  {
    fault: 'high-pads',
    of: ({ play, man }) => {
      const pads = padLevelMeasure.of(play, man);
      if (!pads || pads.value < TOO_HIGH || !isTelling(pads)) return null;
      return { sure: beyond(pads, pads.value - TOO_HIGH), why: `His pads were ${pads.says}.` };
    },
  },
  {
    fault: 'no-movement',
    of: ({ play, man, asked }) => {
      const moved = asked.block === 'drive' || asked.block === 'double' ? displacementMeasure.of(play, man) : null;
      if (!moved || moved.value > GAVE || !isTelling(moved)) return null;
      return { sure: beyond(moved, GAVE - moved.value), why: `He ${moved.says}.` };
    },
  },
];
