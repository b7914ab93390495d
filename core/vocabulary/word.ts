import type { SchemeHead } from '../model/scheme';
import type { Change, Lineup, Scene } from './scene';

/** Kinds of phrase a sentence is made of. Everything else a slot can hold is a plain word (see `LeafKind`). */
export const PHRASE_KINDS = [
  'condition',
  'target',
  'qualifier',
  'man',
  'gap',
  'region',
  'block',
  'event',
  'reaction',
  'group',
] as const;
export type PhraseKind = (typeof PHRASE_KINDS)[number];

export type LeafKind =
  | 'dir'
  | 'wing'
  | 'shades'
  | 'ordinal'
  | 'count'
  | 'letter'
  | 'tag'
  | 'look'
  | 'seat'
  | 'family'
  | 'post'
  | 'number'
  | 'place'
  | 'load'
  | 'job'
  | 'techniques';

/**
 * How a word is said. A template is plain English with slots: `{name:kind}`; `[...]` may be left out; `be` is said am or is;
 * `{name:man!}` is said as a subject (I); `{name:target-}` is said without its article; `{name:target=}` takes no
 * qualifiers of its own. Articles may always be left out when reading.
 * The first form is the canonical one, but a text keeps the form its writer chose.
 */
export interface Saying {
  readonly says: readonly string[];
  /** Said as a subject: "I" for me. */
  readonly subject?: string;
  /** Forms that mean the opposite. */
  readonly denies?: readonly string[];
  /** One sentence of help, shown in the editor and in the reference. */
  readonly help: string;
  /** Its answer hangs on what other men have chosen so far; everything else is settled by where people stand. */
  readonly asksOthers?: boolean;
  /** It speaks of the place of the man whose sentence it stands in. */
  readonly aboutMe?: boolean;
}

/** The slots of one use of a word, ready for its geometry. */
export interface Slots {
  /** Which of the word's forms was used. */
  readonly form: number;
  has(name: string): boolean;
  man(name: string): ManFinder;
  /** Everybody of whom a man word speaks. */
  among(name: string): (lineup: Lineup, man: number) => boolean;
  target(name: string): TargetFinder;
  gap(name: string): GapFinder;
  region(name: string): ManFinder;
  text(name: string): string;
  list(name: string): readonly string[];
  /** That nobody or nothing of the kind is there, with the words it was asked for in: "there is no nose". */
  absent(name: string): string;
}

/** Finds a blocker: his index in the scene, or -1. */
export type ManFinder = (lineup: Lineup, me: number) => number;
/** The two noses of a gap in feet, or `null` where the line has no such gap. */
export type GapFinder = (lineup: Lineup, me: number) => { lo: number; hi: number } | null;
/** `him` is the defender the sentence has named so far; -1 before it has named one. */
export type Accept = (scene: Scene, me: number, him: number, defender: number) => boolean;

/** Looks through candidates in the word's own order and returns the first one accepted, or -1. */
export type Seek = (scene: Scene, me: number, him: number, accept: Accept) => number;

/**
 * When a target is handed out: at once (`null`: first level and by place), or after the first level is settled, together with everybody
 * else who is: whoever is named outright, the next free one in an order that the words give, or whoever fits best (matched). Last come the
 * men who scan for what is left.
 */
export type Claim = 'named' | 'free' | 'matched' | 'last';

export interface TargetFinder {
  readonly claim: Claim | null;
  readonly seek: Seek;
  /** Everybody whom `seek` would find, in its order, for a word that is nothing but such a list. */
  readonly list?: ((scene: Scene, me: number, him: number) => readonly number[]) | null;
  /** True for "every man ...". */
  readonly every: boolean;
  /** A number higher than there are men means the last of them. */
  readonly orLast?: true;
  /** In a deal: whoever is left takes somebody he can reach, once the others are dealt. */
  readonly inReach?: true;
  /** A qualifier rules somebody out: nobody is offered whom the words do not name. */
  readonly picky?: true;
  /** In a deal: whoever it finds is the one with whom the count begins, and the line is told so. */
  readonly declares?: true;
}

/** Tests the picture, and names nobody. */
export type Test = (scene: Scene, me: number, him: number) => boolean;
/** The defender a condition is about, who is "him" from there on unless the sentence has named one; -1 when the condition does not hold. */
export type Finds = (scene: Scene, me: number, him: number) => number;

interface Asking extends Saying {
  /** Whose choices it looks at, where it `asksOthers` and not just anybody. */
  readonly asksOf?: (slots: Slots) => (lineup: Lineup, me: number) => readonly number[];
  /** Why it does not hold, in a coach's words; `holds` is true when its opposite was asked. */
  readonly why: (slots: Slots) => (scene: Scene, me: number, him: number, holds: boolean) => string;
}

/** A condition that names a defender whenever it holds. */
export interface NamingCondition extends Asking {
  readonly finds: (slots: Slots) => Finds;
  /** From here on he is "him", whoever was before. */
  readonly rebinds?: true;
}

/** A condition that names nobody. */
export interface PlainCondition extends Asking {
  readonly test: (slots: Slots) => Test;
  /** For what the call alone decides (formation, side and tags): the same test, which needs no front. */
  readonly byCall?: (slots: Slots) => (lineup: Lineup, me: number) => boolean;
}

export type ConditionWord = NamingCondition | PlainCondition;

export interface TargetWord extends Saying {
  /** It may name a man off the line. */
  readonly offTheLine?: true;
  /** It points back at a defender named before. */
  readonly pointsBack?: true;
  readonly find: (slots: Slots) => TargetFinder;
}

export interface QualifierWord extends Saying {
  /** Whoever is left or read under it gives way to a man whose sentence names him once that man finds nobody else. */
  readonly givesWay?: boolean;
  readonly keep: (slots: Slots) => Accept;
}

export interface ManWord extends Saying {
  readonly find: (slots: Slots) => ManFinder;
  /** Whom a heading with this word is about, where that is more than the one man found. */
  readonly includes?: (slots: Slots) => (lineup: Lineup, man: number) => boolean;
}

export interface GapWord extends Saying {
  readonly find: (slots: Slots) => GapFinder;
}

/** Who a heading is about. */
export interface GroupWord extends Saying {
  readonly includes: (slots: Slots) => (lineup: Lineup, man: number) => boolean;
}

export const STEPS = [
  'lead',
  'lateral',
  'bucket',
  'drop',
  'open',
  'skip',
  'short pull',
  'in place',
  'post',
  'kick',
  'slide',
  'none',
] as const;
export type Step = (typeof STEPS)[number];

/** How a block is done. Places on a body are said from where the man stands; sides are worked out on the board. */
export interface TechniqueParts {
  readonly step: Step;
  readonly length: 'none' | 'short' | 'long';
  /** Which foot: nearest the target, play side, or away from the ball first. */
  readonly foot: 'near' | 'far' | 'playside' | 'backside' | 'inside';
  /** Where the second step lands. */
  readonly landmark: string;
  readonly aim: string;
  readonly eyes: string;
  /** Where the hat goes; what coaches see differently is a school of the program. */
  readonly head: 'inside' | 'outside' | 'playside' | 'near' | 'across' | 'square' | 'by school';
  /** The hand that presses. */
  readonly hand: 'inside' | 'outside' | 'near' | 'far' | 'both' | 'none';
  readonly pad: string;
}

/** What a block is done by, beyond the block: who he is in a pair, where his man stands, where the ball ends. */
export interface Place {
  /** Of a pair the man nearer the ball and the man farther from it; the one in the middle of three. */
  readonly role: 'alone' | 'inner' | 'outer' | 'third';
  readonly shade: 'inside' | 'head-up' | 'outside';
  /** Farther to the side than shoulders touch. */
  readonly wide: boolean;
  /** On which side of the man blocked the ball crosses the line. */
  readonly ball: 'inside' | 'outside';
  /** He is a tight end or a wing. */
  readonly end: boolean;
  readonly track: SchemeHead['track'];
}

/** A block’s technique, and what is different at some places; of several that fit the later one holds. */
export interface BlockTechnique extends TechniqueParts {
  readonly byPlace?: readonly { readonly when: Partial<Place>; readonly then: Partial<TechniqueParts> }[];
}

export interface BlockWord extends Saying {
  /** What a coach calls it, as the column heading says it. */
  readonly name: string;
  readonly pulls: boolean;
  /** A pair needs its partner; whoever is only touched in passing still needs somebody who has him; `read` and `leave` block nobody on purpose. */
  readonly role: 'block' | 'pair' | 'touch' | 'read' | 'leave';
  /** How the path runs on the board. */
  readonly course: 'straight' | 'flat-then-up' | 'behind-the-line' | 'climb' | 'none' | 'retreat';
  /** He comes from elsewhere and runs to his man: a lead, kick or crack; a pull does so anyway. */
  readonly runsToHim?: true;
  /** He looks at more than one man, in order, and takes whoever comes. */
  readonly scans?: true;
  /** He sets to a gap: whoever comes into it is his. */
  readonly slides?: true;
  /** Of two on one man it is he who goes on. */
  readonly comesOffFirst?: true;
  /** What is dangerous about it: below the waist, or from where the man hit may not see it coming. */
  readonly care?: 'low' | 'blind';
  readonly technique: BlockTechnique;
  /** What he calls to his partner or neighbour, as a meaning; the program's vocabulary has the word. */
  readonly call: string | null;
}

/** Something a defender does after the snap. */
export interface EventWord extends Saying {
  /** The defender of the picture after the snap who does it to this man, -1 when it happens and it is nobody, `null` when it does not happen. */
  readonly happens: (slots: Slots) => (change: Change, me: number) => number | null;
}

/** What he does then: stays with the man his rule gave him, leaves him and climbs, or takes the man who came. */
export interface ReactionWord extends Saying {
  readonly does: 'stay' | 'climb' | 'take' | 'outside-stays';
}
