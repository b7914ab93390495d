import type { Formation } from '../../model/formation';
import type { Side } from '../../model/side';
import { sayHead } from '../../language/print';
import type { Condition, DealLine, LookLine, Phrase, SchemeTree, Sentence } from '../../language/tree';
import { COVERS, type LineCover } from '../../vocabulary/covers/index';
import { GROUPS, type ConditionId, type TargetId } from '../../vocabulary/index';
import { NOBODY, type Lineup, type Post, type Proposal } from '../../vocabulary/scene';
import type { GroupWord, TargetFinder } from '../../vocabulary/word';
import type { CompiledScheme } from './compile';
import { lineUp } from './line-up';
import { KeptQuestions } from './kept';
import { compileTarget, slotsOf, testOf, type Place, type Question } from './phrase';
import { NO_PROPOSAL } from './proposals';
import { saysAny } from './says-any';
import { compileSentence, type CompiledSentence } from './sentence';
import { watchersOf } from './watched';

export interface CompiledDeal {
  readonly name: string;
  /** Who shares in it, from the back side. */
  readonly men: readonly number[];
  readonly inOrder: boolean;
  readonly when: Question | null;
  readonly targets: readonly TargetFinder[];
}

export interface CompiledLook {
  readonly index: number;
  readonly when: Question;
  /** It speaks of nobody's own place and of nobody's choice: it is seen once, from the centre. */
  readonly once: boolean;
}

/** A scheme called to a side from a formation: whose sentences are whose, ready for any number of fronts. */
export interface SeatedCall {
  readonly scheme: CompiledScheme;
  readonly lineup: Lineup;
  readonly cover: LineCover;
  readonly shoulders: LineCover;
  readonly looks: ReadonlyMap<string, CompiledLook>;
  /** When the next defender outside on the play side counts into the box. */
  readonly boxOneMore: Question | null;
  /** Plays to change to, and when. */
  readonly changes: readonly { to: string; when: Question }[];
  readonly deals: readonly CompiledDeal[];
  /** The end whose rules hang on whether somebody stands head-up on his tackle: that one has to tell him. `null` where none does. */
  readonly tells: { readonly tackle: number; readonly end: number } | null;
  /** The line counts from the linebacker whom its protection declares, not from the one on the strength. */
  readonly declares: boolean;
  /** Each man's sentences, in the order he tries them. */
  readonly sheets: readonly (readonly CompiledSentence[])[];
  /** For each man the places of those that can fit as the play is called. */
  readonly called: readonly (readonly number[])[];
  /** Who speaks when: play side to back side along the line, then whoever else has something to say as the play is called. */
  readonly order: readonly number[];
  /** The same men from the play side to the back side, wherever they stand. */
  readonly across: readonly number[];
  /** Men with rules who block: not those who stand for a read or for who is left. */
  readonly blockers: readonly number[];
  /** Men with rules who stand for a read or for who is left. */
  readonly standIns: readonly number[];
  /** Those of them who only ever name a man nobody else has. */
  readonly givingWay: readonly number[];
  /** For each man the others whose sentences look at his choice, a bit for each. */
  readonly watchers: readonly number[];
  /** Somebody's words send him to whoever is left when everybody else has his man. */
  readonly scans: boolean;
  /** For each man how many of his first sentences ask nothing of other men: once one of them stands, it stands for good. One more than he has when none does. */
  readonly steady: readonly number[];
  /** Tight ends, wings, H and fullbacks of whom no sentence speaks, the runner left out. */
  readonly jobless: readonly number[];
  /** Trades the scheme has rules for and nobody stands there to do: "backside tackle" of an unbalanced line. */
  readonly undone: readonly string[];
  /** Tags in force that only men who are not in this formation could do. */
  readonly idleTags: readonly string[];
  /** How settling begins: nobody has proposed anything, nobody was refused, nobody has a next man. */
  readonly silence: readonly Proposal[];
  readonly noRefusals: readonly ReadonlyMap<number, number>[];
  readonly noNext: readonly number[];
  /** Nothing has been asked of the picture yet. */
  readonly unasked: readonly number[];
}

const known = new WeakMap<CompiledScheme, WeakMap<Formation, Map<string, SeatedCall>>>();

/** Seats a call; the same scheme, formation, side and tags are seated once. */
export function seatCall(
  scheme: CompiledScheme,
  formation: Formation,
  side: Side,
  tags: ReadonlySet<string>,
): SeatedCall {
  let ofScheme = known.get(scheme);
  if (!ofScheme) known.set(scheme, (ofScheme = new WeakMap()));
  let calls = ofScheme.get(formation);
  if (!calls) ofScheme.set(formation, (calls = new Map()));
  const key = [side, ...[...tags].sort()].join(' ');
  let found = calls.get(key);
  if (!found) calls.set(key, (found = seat(scheme, formation, side, tags)));
  return found;
}

function seat(scheme: CompiledScheme, formation: Formation, side: Side, tags: ReadonlySet<string>): SeatedCall {
  const { tree, head } = scheme;
  const wanted = tree.seats.filter(({ name }) => isWanted(tree, name, tags));
  const lineup = lineUp(formation, side, tags, wanted, scheme.spoken);
  const { men, lineCount, posts } = lineup;
  const line = men.slice(0, lineCount);
  const everybody = men.map((m) => m.index);
  const [atBall, anywhere] = [
    { lineup, me: posts.C },
    { lineup, me: NOBODY },
  ];
  const looksThat = (is: (look: LookLine) => boolean): Set<string> => new Set(tree.looks.filter(is).map((l) => l.name));
  const askingLooks = looksThat((l) => scheme.asking.has(l));
  const kept = new KeptQuestions({
    asking: askingLooks,
    aboutMe: looksThat((l) => saysAny(l.when, 'aboutMe')),
  });
  const placeOf = (man: number): Place => ({ lineup, me: man, kept });
  const sheets = everybody.map((man) => sheetOf(scheme, placeOf(man)));
  const withRules = (man: number): boolean => sheets[man]!.length > 0;
  const order = [...everybody.slice(0, lineCount).reverse(), ...everybody.slice(lineCount)].filter((man) =>
    man < lineCount ? withRules(man) : sheets[man]!.some((s) => s.called),
  );
  const standIns = order.filter((man) => isStandIn(men[man]!));
  const deals = dealsOf(tree.deals, lineup);
  const boxes = tree.boxes.map((b) => testOf(b.when, anywhere));
  return {
    scheme,
    lineup,
    cover: COVERS[head.cover](line),
    shoulders: COVERS.shoulders(line),
    looks: new Map(
      tree.looks.map((l, index) => [
        l.name,
        { index, when: testOf(l.when, null), once: !scheme.asking.has(l) && !saysAny(l.when, 'aboutMe') },
      ]),
    ),
    boxOneMore: boxes.length === 0 ? null : (scene, me) => boxes.some((holds) => holds(scene, me)),
    changes: tree.changes.map((c) => ({ to: c.to, when: testOf(c.when, atBall) })),
    deals,
    tells: tellsOf(lineup, sheets),
    declares: deals.some((d) => d.targets.some((t) => t.declares)),
    sheets,
    called: sheets.map((own) => [...own.keys()].filter((s) => own[s]!.called)),
    order,
    blockers: everybody.filter((man) => withRules(man) && !isStandIn(men[man]!)),
    standIns,
    givingWay: standIns.filter((man) => sheets[man]!.every((s) => !s.called || s.actions.every((a) => a.givesWay))),
    watchers: watchersOf(sheets, placeOf, askingLooks),
    scans: sheets.some((own) => own.some((s) => s.actions.some(looksLast))),
    steady: sheets.map((own, man) => {
      const asks = own.findIndex((s) => s.called && s.asksOthers);
      // What is left by design is read off all of its sentences, so all of them have to be steady.
      return asks < 0 ? own.length + 1 : men[man]!.kind === 'design' ? 0 : asks;
    }),
    jobless: joblessOf(men, withRules),
    undone: undoneOf(
      tree.sheets.flatMap((s) => s.heads),
      posts,
    ),
    idleTags: [...tags].filter(
      (tag) =>
        scheme.tags.some((t) => t.name === tag) &&
        tree.sheets.some((sheet) => sheet.sentences.some((s) => asksFor(s.when, tag))) &&
        !sheets.some((own) => own.some((s) => s.called && asksFor(s.sentence.when, tag))),
    ),
    silence: everybody.map(() => NO_PROPOSAL),
    noRefusals: everybody.map(() => NO_REFUSALS),
    noNext: everybody.map(() => NOBODY),
    unasked: kept.unasked(),
    across: [...order].sort((a, b) => men[b]!.x - men[a]!.x || a - b),
  };
}

function dealsOf(lines: readonly DealLine[], lineup: Lineup): CompiledDeal[] {
  const { men, posts } = lineup;
  const atBall = { lineup, me: posts.C };
  return lines.map((d) => ({
    name: d.name,
    inOrder: d.inOrder,
    when: d.when && testOf(d.when, atBall),
    targets: d.targets.map((t) => compileTarget(t, atBall)),
    men: men
      .map((m) => m.index)
      .filter((man) => isAmong(d.to, lineup, man))
      .sort((a, b) => men[a]!.x - men[b]!.x || a - b),
  }));
}

function tellsOf({ men, posts }: Lineup, sheets: readonly (readonly CompiledSentence[])[]): SeatedCall['tells'] {
  const tackle = posts.PT;
  const end = tackle === NOBODY ? NOBODY : men[tackle]!.playside;
  if (end === NOBODY || men[end]!.kind !== 'tight') return null;
  return sheets[end]!.some((s) => s.called && asksHeadUp(s.sentence.when)) ? { tackle, end } : null;
}

/** Does a part of a rule ask for a man head-up on the playside tackle? */
function asksHeadUp(part: unknown): boolean {
  if (typeof part !== 'object' || part === null) return false;
  const { word, slots } = part as Partial<Phrase>;
  const who = slots?.who;
  const isTackle =
    typeof who === 'object' && 'word' in who && who.slots.post === 'tackle' && who.slots.side === 'playside';
  if (word === ON_A_MAN && isTackle && Array.isArray(slots?.how) && slots.how.includes('head-up')) return true;
  return Object.values(part).some(asksHeadUp);
}
const ON_A_MAN: TargetId = 'man-on';

/** Has a job something to do as the play is called? A man who would do it only under a tag that is off is free for another job. */
function isWanted({ sheets }: SchemeTree, seat: string, tags: ReadonlySet<string>): boolean {
  const own = sheets.filter((sheet) => sheet.heads.some((head) => seatOf(head) === seat));
  const isCalled = ({ when }: Sentence): boolean => !tagsAskedFor(when).some((tag) => !tags.has(tag));
  return own.length === 0 || own.some((sheet) => sheet.sentences.some(isCalled));
}

/** Whose job a heading is about, when it is about a seat the scheme declares. */
function seatOf({ slots }: Phrase): string | null {
  const { who } = slots;
  return typeof who === 'object' && 'word' in who && typeof who.slots.seat === 'string' ? who.slots.seat : null;
}

/** The tags without which a condition cannot hold. */
function tagsAskedFor(when: Condition | null): string[] {
  if (when?.op === 'and') return when.parts.flatMap(tagsAskedFor);
  if (when?.op !== 'is') return [];
  const { word, form, slots } = when.phrase;
  return word === CALLS_FOR_TAG && form === 0 ? [slots.tag as string] : [];
}

/** Does a condition hold only while a tag is on? */
function asksFor(when: Condition | null, tag: string): boolean {
  if (when === null || when.op === 'not') return false;
  if (when.op !== 'is') return when.parts.some((part) => asksFor(part, tag));
  return when.phrase.word === CALLS_FOR_TAG && when.phrase.form === 0 && when.phrase.slots.tag === tag;
}
const CALLS_FOR_TAG: ConditionId = 'tag-on';

const TRADES = {
  'playside tackle': 'PT',
  'playside guard': 'PG',
  'backside guard': 'BG',
  'backside tackle': 'BT',
} as const satisfies Record<string, Post>;

function undoneOf(heads: readonly Phrase[], posts: Lineup['posts']): string[] {
  const said = heads.map(sayHead);
  return (Object.keys(TRADES) as (keyof typeof TRADES)[]).filter(
    (trade) => posts[TRADES[trade]] === NOBODY && said.includes(trade),
  );
}

function joblessOf(men: Lineup['men'], withRules: (man: number) => boolean): number[] {
  const runner = men.find((m) => m.kind === 'back') ?? men.find((m) => m.kind === 'fullback');
  const ends = men.filter((m) => ['tight', 'wing', 'hback', 'fullback'].includes(m.kind) && m !== runner);
  return ends.filter((m) => !withRules(m.index)).map((m) => m.index);
}

const looksLast = ({ target, then }: CompiledSentence['actions'][number]): boolean =>
  target?.claim === 'last' || then?.target.claim === 'last';

const isStandIn = ({ kind }: Lineup['men'][number]): boolean => kind === 'quarterback-read' || kind === 'design';

const NO_REFUSALS: ReadonlyMap<number, number> = new Map();

/** Is a man one of those a list of headings is about? */
const isAmong = (heads: readonly Phrase[], lineup: Lineup, man: number): boolean =>
  heads.some((h) => (GROUPS as Record<string, GroupWord>)[h.word]!.includes(slotsOf(h, null))(lineup, man));

/** A man's own sentences: those of every sheet he is named on, in the order of the text. */
function sheetOf({ tree, asking }: CompiledScheme, place: Place): CompiledSentence[] {
  const { lineup, me: man } = place;
  const own = tree.sheets
    .filter((sheet) => isAmong(sheet.heads, lineup, man))
    .flatMap((sheet) => sheet.sentences.map((sentence, i) => ({ sentence, first: i === 0 })));
  return own.map(({ sentence, first }, index) => compileSentence(sentence, index, first, asking.has(sentence), place));
}
