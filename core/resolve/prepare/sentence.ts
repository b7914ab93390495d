import type { Action, Phrase, Sentence } from '../../language/tree';
import { BLOCKS, QUALIFIERS, TARGETS, type BlockId } from '../../vocabulary/index';
import { NOBODY, type Proposal } from '../../vocabulary/scene';
import type { BlockWord, ManFinder, QualifierWord, TargetFinder, TargetWord } from '../../vocabulary/word';
import { compileCondition, compileMan, compileTarget, FAILS, type CompiledTest, type Place } from './phrase';
import { openProposal } from './proposals';

/** Somebody to be handed out when the second level is shared: whom, and by which action of the sentence. */
export interface Wish {
  readonly finder: TargetFinder;
  readonly action: number;
}

export interface CompiledAction {
  readonly id: BlockId;
  readonly block: BlockWord;
  readonly target: TargetFinder | null;
  readonly partner: ManFinder | null;
  /** The third man of a triple. */
  readonly other: ManFinder | null;
  /** Where he goes next: a climb with or without a named linebacker. */
  readonly then: { readonly id: BlockId; readonly target: TargetFinder; readonly wishes: readonly Wish[] } | null;
  /** A later action names somebody by his place on the line. */
  readonly hasElse: boolean;
  /** Whom he may be handed by this action and those after it. */
  readonly wishes: readonly Wish[];
  /** Said of a man nobody else has: whoever is left or read by it is another's who finds nobody else. */
  readonly givesWay: boolean;
  /** What he proposes before anybody is found for it. */
  readonly open: Proposal;
}

/** A sentence of one man's sheet, ready for any front. */
export interface CompiledSentence {
  readonly sentence: Sentence;
  /** First of its sheet: said as "always". */
  readonly first: boolean;
  readonly line: number;
  /** `null`: always fits. */
  readonly when: CompiledTest | null;
  /** Can it fit at all as the play is called, on some front? */
  readonly called: boolean;
  readonly actions: readonly CompiledAction[];
  /** Whether it fits, and on whom, hangs on what other men have chosen. */
  readonly asksOthers: boolean;
}

/** `index` is the sentence's place in the man's own list, `first` whether it opens its sheet. */
export function compileSentence(
  sentence: Sentence,
  index: number,
  first: boolean,
  asksOthers: boolean,
  place: Place,
): CompiledSentence {
  const when = sentence.when ? compileCondition(sentence.when, place) : true;
  return {
    sentence,
    first,
    line: sentence.span.line,
    when: when === true ? null : when === false ? () => FAILS : when,
    called: when !== false,
    actions: withWishes(sentence.actions.map((action, a) => compileAction(action, index, a, place))),
    asksOthers,
  };
}

/** Of two men of one trade on one side the partner is the one next to him. */
function nearestOfTrade(find: ManFinder, { lineup, me }: Place): ManFinder {
  const { men } = lineup;
  const found = find(lineup, me);
  const post = found === NOBODY ? null : men[found]!.post;
  const away = (m: number): number => Math.abs(men[m]!.x - men[me]!.x);
  let best = found;
  if (post !== null)
    for (const m of men) if (m.post === post && m.index !== me && away(m.index) < away(best)) best = m.index;
  return () => best;
}

/** Whom an action is about. A climb to somebody who may be off the line is handed out with the others, whoever else may say the same. */
function aimedAt(whom: Phrase, { course }: BlockWord, place: Place): TargetFinder {
  const finder = compileTarget(whom, place);
  const word: TargetWord = (TARGETS as Record<string, TargetWord>)[whom.word]!;
  return course === 'climb' && word.offTheLine && finder.claim === null ? { ...finder, claim: 'named' } : finder;
}

/** A climb that names nobody: matched with the other climbers. */
const MATCHED: TargetFinder = { claim: 'matched', every: false, seek: () => NOBODY };

const thenOf = (id: BlockId, target: TargetFinder, action: number): CompiledAction['then'] => ({
  id,
  target,
  wishes: isHandedOut(target) ? [{ finder: target, action }] : [],
});

/** Scanning men look when everybody else has been given his man. */
const isHandedOut = ({ claim }: TargetFinder): boolean => claim !== null && claim !== 'last';

/** Each action with what it and the later ones of its sentence wish for. */
function withWishes(actions: readonly Omit<CompiledAction, 'wishes' | 'hasElse'>[]): CompiledAction[] {
  const wishes = actions.flatMap(({ target }, action) =>
    target && isHandedOut(target) ? [{ finder: target, action }] : [],
  );
  return actions.map((action, a) => ({
    ...action,
    wishes: wishes.filter((w) => w.action >= a),
    hasElse: actions.slice(a + 1).some((later) => later.target?.claim === null),
  }));
}

function compileAction(
  { block, then }: Action,
  sentence: number,
  action: number,
  place: Place,
): Omit<CompiledAction, 'wishes' | 'hasElse'> {
  const id = block.word as BlockId;
  const word: BlockWord = BLOCKS[id];
  const slot = (of: Phrase, name: string): Phrase | undefined => of.slots[name] as Phrase | undefined;
  const [whom, partner, other, next] = [
    slot(block, 'whom'),
    slot(block, 'partner'),
    slot(block, 'other'),
    then && slot(then, 'whom'),
  ];
  return {
    id,
    block: word,
    target: whom ? aimedAt(whom, word, place) : word.course === 'climb' ? MATCHED : null,
    partner: partner ? nearestOfTrade(compileMan(partner, place), place) : null,
    other: other ? compileMan(other, place) : null,
    then: then && thenOf(then.word as BlockId, next ? compileTarget(next, place) : MATCHED, action),
    givesWay: whom?.qualifiers.some((q) => (QUALIFIERS as Record<string, QualifierWord>)[q.word]!.givesWay) ?? false,
    open: openProposal(sentence, action, id, word.pulls),
  };
}
