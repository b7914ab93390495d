import type { Facts } from '../identify/identify';
import type { Blocker } from '../model/formation';
import type { Defender } from '../model/front';
import type { Side } from '../model/side';

/**
 * The offence of a call, turned so that the play side is right (+x), in feet; the same for every front. Men on the line come first, from
 * the back side to the play side.
 */
export interface Lineup {
  readonly men: readonly SceneMan[];
  /** How many of `men` stand on the line. */
  readonly lineCount: number;
  /** Where in `men` the five stand, as the play sees them. */
  readonly posts: Readonly<Record<Post, number>>;
  /** Which side of the field the play goes to. */
  readonly side: Side;
  readonly tags: ReadonlySet<string>;
  /** How the scheme itself explains its tags and looks, by name; what it does not explain is said by its name. */
  readonly spoken: ReadonlyMap<string, string>;
  /** Man index of every declared seat; -1 when nobody in this formation fits. */
  readonly seats: ReadonlyMap<string, number>;
}

/** What a word of the rule language can see: the line-up and, turned in the same way, the front. Defenders stand in lateral order, back side first. */
export interface Scene extends Lineup {
  readonly defenders: readonly SceneDefender[];
  /** Indices of first-level defenders, back side first. */
  readonly first: readonly number[];
  /** Indices of the box linebackers from the play side: L1, L2, ... */
  readonly linebackers: readonly number[];
  readonly mike: number;
  readonly edge: Readonly<Record<'playside' | 'backside', Edge>>;
  /** What the front shows, each item worked out when a word asks for it. */
  readonly facts: Facts;
  /** For each man on the line, the first-level defenders head-up or shaded on him, nearest first. */
  readonly on: readonly (readonly number[])[];
  /** Does this front show the look of that name, to that man? Asked after the snap it is what it was before. */
  readonly shows: (look: string, me: number) => boolean;
  readonly cover: CoverMap;
  /** The men of the box by number. */
  readonly count: Count;
  /** Who can rush, the most dangerous first. */
  readonly threats: readonly number[];
  /** For each man the defender that the scheme's "deal" lines give him; -1 for nobody. */
  readonly dealt: readonly number[];
  /** What every man has proposed so far in this settling. */
  readonly proposals: readonly Proposal[];
  /** How many of those proposals name each defender. */
  readonly owners: readonly number[];
  /** What has been asked of this picture already and hangs on nobody's choice; `UNASKED` where it has not. */
  readonly answers: number[];
}

/** Who is who at one end of the front; -1 for nobody. */
export interface Edge {
  readonly endMan: number;
  readonly force: number;
  readonly corner: number;
  readonly alley: number;
  readonly overhangs: readonly number[];
}

/** The box in lateral order from the play side, and which of them has the number zero when counted from the ball. */
export interface Count {
  readonly order: readonly number[];
  readonly zero: number;
}

/** The picture after the snap beside the one before it. */
export interface Change {
  readonly before: Scene;
  readonly after: Scene;
  /** Where each defender of `before` stands in the list of `after`. */
  readonly nowAt: readonly number[];
  /** Whom each man was to block first before the snap, as an index of `before`; -1 for nobody. */
  readonly had: readonly number[];
}

export const POSTS = ['BT', 'BG', 'C', 'PG', 'PT'] as const;
export type Post = (typeof POSTS)[number];

export interface SceneMan {
  readonly index: number;
  readonly id: string;
  /** Seat as the play sees it, for the five; `null` for everyone else. */
  readonly post: Post | null;
  readonly kind: Blocker['kind'] | 'quarterback-read' | 'design';
  readonly x: number;
  readonly y: number;
  /** Place in `men` of the neighbours on the line; -1 for none. */
  readonly playside: number;
  readonly backside: number;
}

export interface SceneDefender {
  readonly index: number;
  readonly id: string;
  readonly x: number;
  readonly y: number;
  readonly level: 1 | 2 | 3;
  readonly stance: Defender['stance'];
  readonly position: Defender['position'];
  readonly mark: Defender['mark'];
}

/** A part of the line in feet: `from` belongs to it, `to` does not. */
export interface Stretch {
  readonly from: number;
  readonly to: number;
}

/** Whose man each first-level defender is, by the scheme's definition of covered. */
export interface CoverMap {
  /** For each man on the line, his defenders, his own man first. */
  readonly men: readonly (readonly number[])[];
  /** For each man on the line the part of it that is his, in feet: from there on, and up to there. */
  readonly regions: readonly Stretch[];
}

/** What one man would do, as far as it is settled before linebackers are handed out. Never changed in place: a new one takes its place. */
export interface Proposal {
  /** Index into his own list of sentences; -1 when none can stand. */
  readonly sentence: number;
  /** Index of the action in the sentence's else-chain. */
  readonly action: number;
  /** First-level (or by-name) target; -1 when his first target is still to be claimed, or nobody. */
  readonly target: number;
  /** Everyone the sentence names, for "leave every man ...". */
  readonly all: readonly number[];
  readonly partner: number;
  /** The third man of a triple; -1 for none. */
  readonly other: number;
  /** The block chosen, by id; empty while there is none. */
  readonly job: string;
  readonly pulls: boolean;
  /** The defender the sentence has named, "him"; -1 when it names nobody. */
  readonly him: number;
  /** Whether he wants a pair that needs its partner's consent. */
  readonly pairs: boolean;
  /** True when a helper is too far away and goes to the next level at once. */
  readonly tooFar: boolean;
  /**
   * He does something else than his own sentence says: over to a man no rule reaches, or on because his man has a blocker; after the
   * snap, by his follow-up: stays with his man, leaves him and climbs, or takes the man who came.
   */
  readonly instead: 'over' | 'on' | 'stay' | 'climb' | 'take' | null;
}

/** A tag or look as a coach says it. */
export const spokenOf = ({ spoken }: Pick<Lineup, 'spoken'>, name: string): string =>
  spoken.get(name) ?? name.replaceAll('-', ' ');

export const NOBODY = -1;
export const UNASKED = -3;
