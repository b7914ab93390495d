import { SchemeHeadSchema, type SchemeHead } from '../model/scheme';
import { BLOCKS, CONDITIONS, GAPS, GROUPS, MEN, QUALIFIERS, REGIONS, TARGETS, WORDS, type BlockId } from '../vocabulary/index';
import { NOBODY, type Scene } from '../vocabulary/scene';
import type { BlockWord, ConditionWord, GapFinder, GapWord, GroupWord, ManFinder, ManWord, QualifierWord, Saying, Slots, TargetFinder, TargetWord } from '../vocabulary/word';
import type { Action, Condition, Phrase, SchemeTree, Sentence } from '../language/tree';

type Test = (scene: Scene, me: number) => boolean;

export interface CompiledAction {
  readonly id: BlockId;
  readonly block: BlockWord;
  readonly target: TargetFinder | null;
  readonly partner: ManFinder | null;
  /** The third man of a triple. */
  readonly other: ManFinder | null;
  /** Where he goes next: a climb with or without a named linebacker. */
  readonly then: { readonly id: BlockId; readonly target: TargetFinder } | null;
}

export interface CompiledSentence {
  readonly sentence: Sentence;
  /** First of its sheet: said as "always". */
  readonly first: boolean;
  readonly line: number;
  readonly when: Test | null;
  readonly actions: readonly CompiledAction[];
  /** Whether it fits, and on whom, hangs on what other men have chosen. */
  readonly asksOthers: boolean;
}

export interface CompiledDeal {
  readonly name: string;
  readonly includes: (scene: Scene, man: number) => boolean;
  readonly inOrder: boolean;
  readonly when: Test | null;
  readonly targets: readonly TargetFinder[];
}

export interface CompiledSheet {
  readonly includes: (scene: Scene, man: number) => boolean;
  readonly sentences: readonly CompiledSentence[];
}

/** A scheme ready to be worked out against any number of fronts. Holds no state. */
export interface CompiledScheme {
  readonly tree: SchemeTree;
  readonly head: SchemeHead;
  readonly tags: readonly { name: string; on: boolean; says: string }[];
  readonly seats: readonly { name: string; choices: readonly ManFinder[] }[];
  readonly looks: ReadonlyMap<string, Test>;
  /** When the next defender outside on the play side counts into the box. */
  readonly boxOneMore: Test | null;
  /** Plays to change to, and when. */
  readonly changes: readonly { to: string; when: Test }[];
  readonly deals: readonly CompiledDeal[];
  readonly sheets: readonly CompiledSheet[];
  /** Line of "bump over to a free man"; 0 where nobody bumps. */
  readonly bumpLine: number;
}

const UNSAID: SchemeHead = {
  family: 'run', school: null, entry: 'playside A gap', track: 'gap', tempo: 'power', throw: null, cover: 'shoulders', bump: 'nobody', from: null, note: null,
};

/** The head of a scheme; what a text leaves out (a checker's error) falls back so that a draft can still be drawn. */
export function headOf(tree: SchemeTree): SchemeHead {
  const said = Object.fromEntries(tree.head.map((h) => [h.key, h.value]));
  return SchemeHeadSchema.parse({ ...UNSAID, ...said });
}

export function compileScheme(tree: SchemeTree): CompiledScheme {
  const head = headOf(tree);
  const asking = new Set(tree.looks.filter((l) => asksOthers(l.when, NO_LOOKS)).map((l) => l.name));
  return {
    tree, head,
    bumpLine: head.bump === 'nobody' ? 0 : tree.head.find((h) => h.key === 'bump')?.span.line ?? 0,
    tags: tree.tags.map(({ name, on, says }) => ({ name, on, says })),
    seats: tree.seats.map((s) => ({ name: s.name, choices: s.choices.map(compileMan) })),
    looks: new Map(tree.looks.map((l) => [l.name, compileCondition(l.when)])),
    changes: tree.changes.map((c) => ({ to: c.to, when: compileCondition(c.when) })),
    boxOneMore: tree.boxes.length ? anyHolds(tree.boxes.map((b) => compileCondition(b.when))) : null,
    deals: tree.deals.map((d) => ({
      name: d.name, includes: whose(d.to), inOrder: d.inOrder, when: d.when && compileCondition(d.when), targets: d.targets.map(compileTarget),
    })),
    sheets: tree.sheets.map((sheet) => ({
      includes: whose(sheet.heads),
      sentences: sheet.sentences.map((sentence, i) => compileSentence(sentence, i === 0, asking)),
    })),
  };
}

/** The men a list of headings is about. */
const whose = (heads: readonly Phrase[]): CompiledSheet['includes'] => anyOf(heads.map((h) => (GROUPS as Record<string, GroupWord>)[h.word]!.includes(slotsOf(h))));

const anyOf = (tests: ((scene: Scene, man: number) => boolean)[]) => (scene: Scene, man: number): boolean => tests.some((t) => t(scene, man));

const NO_LOOKS: ReadonlySet<string> = new Set();

/** Does anything in a part of a sentence ask what other men have chosen? `looks` are the looks that do. */
function asksOthers(part: unknown, looks: ReadonlySet<string>): boolean {
  if (typeof part !== 'object' || part === null) return false;
  if (Array.isArray(part)) return part.some((p) => asksOthers(p, looks));
  const { kind, word, slots } = part as Partial<Phrase>;
  if (kind && word) {
    if ((WORDS[kind] as Record<string, Saying>)[word]?.asksOthers) return true;
    if (word === 'look-is' && looks.has(slots?.look as string)) return true;
  }
  return Object.values(part).some((p) => asksOthers(p, looks));
}

const compileSentence = (sentence: Sentence, first: boolean, looks: ReadonlySet<string>): CompiledSentence => ({
  sentence, first, line: sentence.span.line,
  when: sentence.when && compileCondition(sentence.when),
  actions: sentence.actions.map(compileAction),
  asksOthers: asksOthers([sentence.when, sentence.actions], looks),
});

/** A climb that names nobody: matched with the other climbers. */
const MATCHED: TargetFinder = { claim: 'matched', every: false, seek: () => NOBODY };

function compileAction(action: Action): CompiledAction {
  const { block } = action;
  const word: BlockWord = BLOCKS[block.word as BlockId];
  const bare = word.course === 'climb' ? MATCHED : null;
  const whom = block.slots.whom as Phrase | undefined;
  const partner = block.slots.partner as Phrase | undefined;
  return {
    id: block.word as BlockId,
    block: word,
    target: whom ? compileTarget(whom) : bare,
    partner: partner ? compileMan(partner) : null,
    other: block.slots.other ? compileMan(block.slots.other as Phrase) : null,
    then: action.then && { id: action.then.word as BlockId, target: action.then.slots.whom ? compileTarget(action.then.slots.whom as Phrase) : MATCHED },
  };
}

/** A test that leaves `scene.him` on the first defender a true condition named. */
export function compileCondition(condition: Condition): Test {
  switch (condition.op) {
    case 'is': return (CONDITIONS as Record<string, ConditionWord>)[condition.phrase.word]!.test(slotsOf(condition.phrase));
    case 'not': {
      const inner = compileCondition(condition.part);
      return (scene, me) => {
        const him = scene.him;
        const holds = inner(scene, me);
        scene.him = him;
        return !holds;
      };
    }
    case 'and': return allHold(condition.parts.map(compileCondition));
    case 'or': return anyHolds(condition.parts.map(compileCondition));
  }
}

const allHold = (parts: readonly Test[]): Test => (scene, me) => {
  for (const part of parts) if (!part(scene, me)) return false;
  return true;
};

const anyHolds = (parts: readonly Test[]): Test => (scene, me) => {
  const him = scene.him;
  for (const part of parts) {
    if (part(scene, me)) return true;
    scene.him = him;
  }
  return false;
};

/** Why a condition did not hold: the first part that failed, in a coach's words. */
export function whyNot(condition: Condition, scene: Scene, me: number): string {
  switch (condition.op) {
    case 'is': return wordOf(condition.phrase).why(slotsOf(condition.phrase))(scene, me, false);
    case 'not': return condition.part.op === 'is'
      ? wordOf(condition.part.phrase).why(slotsOf(condition.part.phrase))(scene, me, true) : 'what it rules out is so';
    case 'or': return condition.parts.map((p) => whyNot(p, scene, me)).join('; ');
    case 'and': {
      for (const part of condition.parts) if (!compileCondition(part)(scene, me)) return whyNot(part, scene, me);
      return 'nobody is there to take';
    }
  }
}

const wordOf = (phrase: Phrase): ConditionWord => (CONDITIONS as Record<string, ConditionWord>)[phrase.word]!;

const compileMan = (phrase: Phrase): ManFinder => (MEN as Record<string, ManWord>)[phrase.word]!.find(slotsOf(phrase));

function compileTarget(phrase: Phrase): TargetFinder {
  const finder = (TARGETS as Record<string, TargetWord>)[phrase.word]!.find(slotsOf(phrase));
  const keeps = phrase.qualifiers.map((q) => (QUALIFIERS as Record<string, QualifierWord>)[q.word]!.keep(slotsOf(q)));
  if (keeps.length === 0) return finder;
  return {
    ...finder,
    seek: (scene, me, accept) => finder.seek(scene, me, (d) => keeps.every((keep) => keep(scene, me, d)) && accept(d)),
  };
}

/** Gives a word its slots, compiled. A slot that a word needs and a phrase lacks is a fault of the reader. */
export function slotsOf(phrase: Phrase): Slots {
  const of = (name: string): Phrase => {
    const value = phrase.slots[name];
    if (typeof value !== 'object' || !('word' in value)) throw new Error(`${phrase.word} has no phrase in slot ${name}`);
    return value;
  };
  return {
    form: phrase.form,
    has: (name) => phrase.slots[name] !== undefined,
    man: (name) => compileMan(of(name)),
    target: (name) => compileTarget(of(name)),
    gap: (name): GapFinder => { const p = of(name); return (GAPS as Record<string, GapWord>)[p.word]!.find(slotsOf(p)); },
    region: (name) => { const p = of(name); return (REGIONS as Record<string, ManWord>)[p.word]!.find(slotsOf(p)); },
    text: (name) => { const v = phrase.slots[name]; return typeof v === 'string' ? v : ''; },
    list: (name) => { const v = phrase.slots[name]; return Array.isArray(v) ? v as string[] : []; },
  };
}

