import { standsBy } from './conditions/stands';
import { onTheLine } from './conditions/on-the-line';
import { stacked } from './conditions/stacked';
import { walkedUp } from './conditions/walked-up';
import { overGap } from './conditions/over-gap';
import { calledTo } from './conditions/called-to';
import { nthTo } from './conditions/nth-to';
import { worksWith } from './conditions/works-with';
import { boxCount } from './conditions/box-count';
import { linebackersCount } from './conditions/linebacker-count';
import { sideCall } from './conditions/side-call';
import { manInside } from './targets/man-inside';
import { alley } from './targets/alley';
import { conflict } from './targets/conflict';
import { corner } from './targets/corner';
import { safety } from './targets/safety';
import { linebackerBeside } from './targets/linebacker-beside';
import { counted } from './targets/counted';
import { readMan } from './targets/read-man';
import { firstToShow } from './targets/first-to-show';
import { manBeside } from './targets/man-beside';
import { manAt } from './targets/man-at';
import { notHim } from './qualifiers/not-him';
import { scoop } from './blocks/scoop';
import { seal } from './blocks/seal';
import { outsideRelease } from './blocks/outside-release';
import { triple } from './blocks/triple';
import { trap } from './blocks/trap';
import { log } from './blocks/log';
import { crack } from './blocks/crack';
import { cut } from './blocks/cut';
import { stalk } from './blocks/stalk';
import { manBlock } from './blocks/man';
import { slide } from './blocks/slide';
import { dualRead } from './blocks/dual-read';
import { checkRelease } from './blocks/check-release';
import { chip } from './blocks/chip';
import { covered } from './conditions/covered';
import { gapFilled } from './conditions/gap-filled';
import { thereIs } from './conditions/there-is';
import { nobodyElseHas } from './conditions/nobody-else-has';
import { tagOn } from './conditions/tag-on';
import { lookIs } from './conditions/look-is';
import { asksMe } from './conditions/asks-me';
import { leavesHisMan } from './conditions/leaves-his-man';
import { inTheGame } from './conditions/in-the-game';
import { frontIs } from './conditions/front-is';
import { sameMan } from './conditions/same-man';
import { manOn } from './targets/man-on';
import { manInGap } from './targets/man-in-gap';
import { manOutside } from './targets/man-outside';
import { manOfRegion } from './targets/man-of-region';
import { nose } from './targets/nose';
import { endMan } from './targets/end-man';
import { force } from './targets/force';
import { linebackerCount } from './targets/linebacker-count';
import { farLinebacker } from './targets/far-linebacker';
import { nextFreeLinebacker } from './targets/next-free-linebacker';
import { freeLinebackerPlayside } from './targets/free-linebacker-playside';
import { freeOverhang } from './targets/free-overhang';
import { mike } from './targets/mike';
import { him } from './targets/him';
import { unowned } from './qualifiers/unowned';
import { drive } from './blocks/drive';
import { base } from './blocks/base';
import { fan } from './blocks/fan';
import { reach } from './blocks/reach';
import { down } from './blocks/down';
import { back } from './blocks/back';
import { cutoff } from './blocks/cutoff';
import { doubleTeam } from './blocks/double';
import { help } from './blocks/help';
import { climb } from './blocks/climb';
import { insideRelease } from './blocks/inside-release';
import { arc } from './blocks/arc';
import { pullLead } from './blocks/pull-lead';
import { pullKick } from './blocks/pull-kick';
import { skipPull } from './blocks/skip-pull';
import { pullWrap } from './blocks/pull-wrap';
import { kick } from './blocks/kick';
import { lead } from './blocks/lead';
import { hinge } from './blocks/hinge';
import { readHim } from './blocks/read';
import { leaveHim } from './blocks/leave';
import { me } from './men/me';
import { neighbour } from './men/neighbour';
import { post } from './men/post';
import { centre } from './men/centre';
import { lastMan } from './men/last-man';
import { hBack } from './men/h';
import { fullback } from './men/fullback';
import { tailback } from './men/tailback';
import { declaredSeat } from './men/declared-seat';
import { letterGap } from './gaps/letter-gap';
import { myGap } from './gaps/my-gap';
import { myRegion } from './regions/my-region';
import { regionOf } from './regions/region-of';
import { everyLineman } from './groups/every-lineman';
import { leftByDesign } from './groups/left-by-design';
import { oneMan } from './groups/one-man';
import { quarterback } from './groups/quarterback';
import { theFive } from './groups/the-five';
import { crossesFace } from './events/crosses-face';
import { gone } from './events/gone';
import { nobodyShows } from './events/nobody-shows';
import { runsThrough } from './events/runs-through';
import { slantsIn } from './events/slants-in';
import { splitsUs } from './events/splits-us';
import { blockIt } from './reactions/block-it';
import { comeOff } from './reactions/come-off';
import { goUp } from './reactions/climb';
import { nearHip } from './reactions/near-hip';
import { nextLevel } from './reactions/next-level';
import { outsideTakes } from './reactions/outside-takes';
import { passOff } from './reactions/pass-off';
import { stay } from './reactions/stay';
import { handDown } from './conditions/hand-down';
import { middleLinebacker } from './targets/middle-linebacker';
import { declared } from './targets/declared';
import { dangerInReach } from './targets/danger-in-reach';
import { slideReaches } from './conditions/slide-reaches';
import { manBetween } from './targets/man-between';
import { nearestOnLine } from './targets/nearest-on-line';
import { outermostOnLine } from './targets/outermost-on-line';
import { danger } from './targets/danger';
import { nextDanger } from './targets/next-danger';
import { dealt } from './targets/dealt';
import { linebackerLeft } from './targets/linebacker-left';
import { secondManOn } from './targets/second-man-on';
import { menDown } from './conditions/men-down';
import { scan } from './blocks/scan';
import { passDouble } from './blocks/pass-double';
import type {
  BlockWord,
  ConditionWord,
  EventWord,
  GapWord,
  GroupWord,
  ManWord,
  PhraseKind,
  QualifierWord,
  ReactionWord,
  Saying,
  TargetWord,
} from './word';

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
  stands: standsBy,
  'on-the-line': onTheLine,
  stacked: stacked,
  'walked-up': walkedUp,
  'over-gap': overGap,
  'called-to': calledTo,
  'works-with': worksWith,
  'nth-to': nthTo,
  'box-count': boxCount,
  'linebacker-count': linebackersCount,
  'side-call': sideCall,
  'men-down': menDown,
  'hand-down': handDown,
  'slide-reaches': slideReaches,
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
  'man-inside': manInside,
  alley: alley,
  conflict: conflict,
  corner: corner,
  safety: safety,
  'linebacker-beside': linebackerBeside,
  'man-between': manBetween,
  declared: declared,
  'danger-in-reach': dangerInReach,
  'middle-linebacker': middleLinebacker,
  counted: counted,
  'read-man': readMan,
  'first-to-show': firstToShow,
  'man-at': manAt,
  'man-beside': manBeside,
  'nearest-on-line': nearestOnLine,
  'outermost-on-line': outermostOnLine,
  danger: danger,
  'next-danger': nextDanger,
  dealt: dealt,
  'second-man-on': secondManOn,
  'linebacker-left': linebackerLeft,
  him: him,
} as const satisfies Record<string, TargetWord>;

export const QUALIFIERS = {
  unowned: unowned,
  'not-him': notHim,
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
  scoop: scoop,
  seal: seal,
  'outside-release': outsideRelease,
  triple: triple,
  trap: trap,
  log: log,
  crack: crack,
  cut: cut,
  stalk: stalk,
  man: manBlock,
  slide: slide,
  'dual-read': dualRead,
  'check-release': checkRelease,
  chip: chip,
  scan: scan,
  'pass-double': passDouble,
} as const satisfies Record<string, BlockWord>;

export const EVENTS = {
  'crosses-face': crossesFace,
  'slants-in': slantsIn,
  'nobody-shows': nobodyShows,
  gone: gone,
  'runs-through': runsThrough,
  'splits-us': splitsUs,
} as const satisfies Record<string, EventWord>;

export const REACTIONS = {
  stay: stay,
  'pass-off': passOff,
  'block-it': blockIt,
  'next-level': nextLevel,
  'near-hip': nearHip,
  climb: goUp,
  'come-off': comeOff,
  'outside-takes': outsideTakes,
} as const satisfies Record<string, ReactionWord>;

export const GROUPS = {
  'every-lineman': everyLineman,
  'the-five': theFive,
  quarterback: quarterback,
  'left-by-design': leftByDesign,
  'one-man': oneMan,
} as const satisfies Record<string, GroupWord>;

export type BlockId = keyof typeof BLOCKS;
export type ConditionId = keyof typeof CONDITIONS;
export type TargetId = keyof typeof TARGETS;

/** What a man does who takes somebody by himself whom no sentence of his gave him. */
export const LONE_BLOCK = { run: 'base', pass: 'man' } as const satisfies Record<string, BlockId>;
/** What a man does who goes on to the next level and was told no more. */
export const PLAIN_CLIMB = 'climb' satisfies BlockId;

/** Every word of the language by the kind of phrase it makes. */
export const WORDS = {
  condition: CONDITIONS,
  target: TARGETS,
  qualifier: QUALIFIERS,
  man: MEN,
  gap: GAPS,
  region: REGIONS,
  block: BLOCKS,
  event: EVENTS,
  reaction: REACTIONS,
  group: GROUPS,
} as const satisfies Record<PhraseKind, Record<string, Saying>>;
