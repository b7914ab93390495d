import { covered } from './conditions/covered.ts';
import { gapFilled } from './conditions/gap-filled.ts';
import { thereIs } from './conditions/there-is.ts';
import { nobodyElseHas } from './conditions/nobody-else-has.ts';
import { tagOn } from './conditions/tag-on.ts';
import { lookIs } from './conditions/look-is.ts';
import { asksMe } from './conditions/asks-me.ts';
import { leavesHisMan } from './conditions/leaves-his-man.ts';
import { inTheGame } from './conditions/in-the-game.ts';
import { frontIs } from './conditions/front-is.ts';
import { sameMan } from './conditions/same-man.ts';
import { manOn } from './targets/man-on.ts';
import { manInGap } from './targets/man-in-gap.ts';
import { manOutside } from './targets/man-outside.ts';
import { manOfRegion } from './targets/man-of-region.ts';
import { nose } from './targets/nose.ts';
import { endMan } from './targets/end-man.ts';
import { force } from './targets/force.ts';
import { linebackerCount } from './targets/linebacker-count.ts';
import { farLinebacker } from './targets/far-linebacker.ts';
import { nextFreeLinebacker } from './targets/next-free-linebacker.ts';
import { freeLinebackerPlayside } from './targets/free-linebacker-playside.ts';
import { freeOverhang } from './targets/free-overhang.ts';
import { mike } from './targets/mike.ts';
import { him } from './targets/him.ts';
import { unowned } from './qualifiers/unowned.ts';
import { drive } from './blocks/drive.ts';
import { base } from './blocks/base.ts';
import { fan } from './blocks/fan.ts';
import { reach } from './blocks/reach.ts';
import { down } from './blocks/down.ts';
import { back } from './blocks/back.ts';
import { cutoff } from './blocks/cutoff.ts';
import { doubleTeam } from './blocks/double.ts';
import { help } from './blocks/help.ts';
import { climb } from './blocks/climb.ts';
import { insideRelease } from './blocks/inside-release.ts';
import { arc } from './blocks/arc.ts';
import { pullLead } from './blocks/pull-lead.ts';
import { pullKick } from './blocks/pull-kick.ts';
import { skipPull } from './blocks/skip-pull.ts';
import { pullWrap } from './blocks/pull-wrap.ts';
import { kick } from './blocks/kick.ts';
import { lead } from './blocks/lead.ts';
import { hinge } from './blocks/hinge.ts';
import { readHim } from './blocks/read.ts';
import { leaveHim } from './blocks/leave.ts';
import { me } from './men/me.ts';
import { neighbour } from './men/neighbour.ts';
import { centre, declaredSeat, fullback, hBack, lastMan, post, tailback } from './men/post.ts';
import { letterGap, myGap } from './gaps/named-gap.ts';
import { myRegion, regionOf } from './regions/region-of.ts';
import { everyLineman, leftByDesign, oneMan, quarterback } from './groups/groups.ts';
import { crossesFace, nobodyShows, slantsIn } from './follow-ups/events.ts';
import { blockIt, nextLevel, passOff, stay } from './follow-ups/reactions.ts';
import type { BlockWord, ConditionWord, FollowWord, GapWord, GroupWord, ManWord, PhraseKind, QualifierWord, Saying, TargetWord } from './word.ts';

// One line a word; a text's phrases are tried in this order, and the longest fit wins.

export const CONDITIONS = {
  covered: covered,
  'gap-filled': gapFilled,
  'there-is': thereIs,
  'nobody-else-has': nobodyElseHas,
  'tag-on': tagOn,
  'look-is': lookIs,
  'asks-me': asksMe,
  'leaves-his-man': leavesHisMan,
  'in-the-game': inTheGame,
  'front-is': frontIs,
  'same-man': sameMan,
} as const satisfies Record<string, ConditionWord>;

export const TARGETS = {
  'man-on': manOn,
  'man-in-gap': manInGap,
  'man-outside': manOutside,
  'man-of-region': manOfRegion,
  nose: nose,
  'end-man': endMan,
  force: force,
  'linebacker-count': linebackerCount,
  'far-linebacker': farLinebacker,
  'next-free-linebacker': nextFreeLinebacker,
  'free-linebacker-playside': freeLinebackerPlayside,
  'free-overhang': freeOverhang,
  mike: mike,
  him: him,
} as const satisfies Record<string, TargetWord>;

export const QUALIFIERS = {
  unowned: unowned,
} as const satisfies Record<string, QualifierWord>;

export const MEN = {
  me: me,
  neighbour: neighbour,
  post: post,
  centre: centre,
  'last-man': lastMan,
  h: hBack,
  fullback: fullback,
  tailback: tailback,
  'declared-seat': declaredSeat,
} as const satisfies Record<string, ManWord>;

export const GAPS = {
  'my-gap': myGap,
  'letter-gap': letterGap,
} as const satisfies Record<string, GapWord>;

export const REGIONS = {
  'my-region': myRegion,
  'region-of': regionOf,
} as const satisfies Record<string, ManWord>;

export const BLOCKS = {
  drive: drive,
  base: base,
  fan: fan,
  reach: reach,
  down: down,
  back: back,
  cutoff: cutoff,
  double: doubleTeam,
  help: help,
  climb: climb,
  'inside-release': insideRelease,
  arc: arc,
  'pull-lead': pullLead,
  'pull-kick': pullKick,
  'skip-pull': skipPull,
  'pull-wrap': pullWrap,
  kick: kick,
  lead: lead,
  hinge: hinge,
  read: readHim,
  leave: leaveHim,
} as const satisfies Record<string, BlockWord>;

export const EVENTS = {
  'crosses-face': crossesFace,
  'slants-in': slantsIn,
  'nobody-shows': nobodyShows,
} as const satisfies Record<string, FollowWord>;

export const REACTIONS = {
  stay: stay,
  'pass-off': passOff,
  'block-it': blockIt,
  'next-level': nextLevel,
} as const satisfies Record<string, FollowWord>;

export const GROUPS = {
  'every-lineman': everyLineman,
  quarterback: quarterback,
  'left-by-design': leftByDesign,
  'one-man': oneMan,
} as const satisfies Record<string, GroupWord>;

export type BlockId = keyof typeof BLOCKS;

/** Every word of the language by the kind of phrase it makes. */
export const WORDS = {
  condition: CONDITIONS, target: TARGETS, qualifier: QUALIFIERS, man: MEN, gap: GAPS, region: REGIONS, block: BLOCKS,
  event: EVENTS, reaction: REACTIONS, group: GROUPS,
} as const satisfies Record<PhraseKind, Record<string, Saying>>;
