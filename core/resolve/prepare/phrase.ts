import { sayPhrase } from '../../language/print';
import type { Condition, Phrase } from '../../language/tree';
import { CONDITIONS, GAPS, MEN, QUALIFIERS, REGIONS, TARGETS } from '../../vocabulary/index';
import { always } from '../../vocabulary/finding';
import { NOBODY, UNASKED, type Lineup, type Scene } from '../../vocabulary/scene';
import type {
  Accept,
  ConditionWord,
  GapFinder,
  GapWord,
  ManFinder,
  ManWord,
  QualifierWord,
  Slots,
  TargetFinder,
  TargetWord,
} from '../../vocabulary/word';
import { NOT_KEPT, type KeptQuestions } from './kept';

/**
 * Whose sentence a phrase stands in. Men, gaps, regions and whatever the call alone decides are then looked up once, when the phrase is
 * made ready, instead of on every front.
 */
export interface Place {
  readonly lineup: Lineup;
  readonly me: number;
  /** Answers that hang on nobody's choice are kept by these; left out where every question is asked anew. */
  readonly kept?: KeptQuestions;
}

/** A condition made ready: who is "him" once it holds (-1 for nobody yet), `FAILS` when it does not. */
export type CompiledTest = (scene: Scene, me: number, him: number) => number;
export const FAILS = -2;

/**
 * Makes a condition ready. "Him" is the defender its last "there is" names, else the first one a condition names; what is ruled out, and an
 * alternative that does not hold, name nobody. Plain true or false where the call alone decides it.
 */
export function compileCondition(condition: Condition, place: Place | null): CompiledTest | boolean {
  const test = compileParts(condition, place);
  const at = typeof test === 'boolean' ? NOT_KEPT : (place?.kept?.placeOf(condition, place.me) ?? NOT_KEPT);
  return typeof test === 'boolean' || at === NOT_KEPT ? test : keep(test, at);
}

/** Asks once a scene what hangs on nobody's choice, as long as nobody has been named yet. */
const keep =
  (test: CompiledTest, at: number): CompiledTest =>
  (scene, me, him) => {
    if (him !== NOBODY) return test(scene, me, him);
    const known = scene.answers[at]!;
    return known === UNASKED ? (scene.answers[at] = test(scene, me, him)) : known;
  };

function compileParts(condition: Condition, place: Place | null): CompiledTest | boolean {
  switch (condition.op) {
    case 'is':
      return compileOne(condition.phrase, place);
    case 'not': {
      const inner = compileCondition(condition.part, place);
      return typeof inner === 'boolean' ? !inner : (scene, me, him) => (inner(scene, me, him) === FAILS ? him : FAILS);
    }
    case 'and': {
      const parts = condition.parts.map((p) => compileCondition(p, place));
      return parts.includes(false) ? false : allHold(parts.filter(isTest));
    }
    case 'or': {
      const parts = condition.parts.map((p) => compileCondition(p, place)).filter((p) => p !== false);
      return parts[0] === true ? true : anyHolds(parts.map((p) => (p === true ? HOLDS : p)));
    }
  }
}

function compileOne(phrase: Phrase, place: Place | null): CompiledTest | boolean {
  const word = wordOf(phrase);
  const slots = slotsOf(phrase, place);
  if ('finds' in word) {
    const finds = word.finds(slots);
    const rebinds = word.rebinds ?? false;
    return (scene, me, him) => {
      const found = finds(scene, me, him);
      return found === NOBODY ? FAILS : rebinds || him === NOBODY ? found : him;
    };
  }
  if (place && word.byCall) return word.byCall(slots)(place.lineup, place.me);
  const test = word.test(slots);
  return (scene, me, him) => (test(scene, me, him) ? him : FAILS);
}

const HOLDS: CompiledTest = (_scene, _me, him) => him;

/** A question about the picture as one man sees it. */
export type Question = (scene: Scene, me: number) => boolean;

/** A condition where only its answer is wanted, before anybody is named. */
export function testOf(condition: Condition, place: Place | null): Question {
  const test = compileCondition(condition, place);
  return typeof test === 'boolean' ? () => test : (scene, me) => test(scene, me, NOBODY) !== FAILS;
}

const isTest = (part: CompiledTest | boolean): part is CompiledTest => typeof part !== 'boolean';

function allHold(parts: readonly CompiledTest[]): CompiledTest | true {
  const [one, two] = parts;
  if (!one) return true;
  if (!two) return one;
  const rest = parts.length === 2 ? two : (allHold(parts.slice(1)) as CompiledTest);
  return (scene, me, him) => {
    const named = one(scene, me, him);
    return named === FAILS ? FAILS : rest(scene, me, named);
  };
}

function anyHolds(parts: readonly CompiledTest[]): CompiledTest | boolean {
  const [one, two] = parts;
  if (!one) return false;
  if (!two) return one;
  return (scene, me, him) => {
    for (const part of parts) {
      const named = part(scene, me, him);
      if (named !== FAILS) return named;
    }
    return FAILS;
  };
}

/** Why a condition did not hold: the first part that failed, in a coach's words. `him` is whoever is named before it. */
export function whyNot(condition: Condition, scene: Scene, me: number, him = NOBODY): string {
  switch (condition.op) {
    case 'is':
      return wordOf(condition.phrase).why(slotsOf(condition.phrase, null))(scene, me, him, false);
    case 'not':
      return condition.part.op === 'is'
        ? wordOf(condition.part.phrase).why(slotsOf(condition.part.phrase, null))(scene, me, him, true)
        : 'what it rules out is so';
    case 'or':
      return condition.parts.map((p) => whyNot(p, scene, me, him)).join('; ');
    case 'and': {
      let named = him;
      for (const part of condition.parts) {
        const test = compileCondition(part, null) as CompiledTest;
        const next = test(scene, me, named);
        if (next === FAILS) return whyNot(part, scene, me, named);
        named = next;
      }
      return 'nobody is there to take';
    }
  }
}

const wordOf = (phrase: Phrase): ConditionWord => (CONDITIONS as Record<string, ConditionWord>)[phrase.word]!;

/** A finder of one kind for a phrase; with a place it looks once and keeps what it found. */
const compileFor =
  <T>(registry: Record<string, { find: (slots: Slots) => (lineup: Lineup, me: number) => T }>) =>
  (phrase: Phrase, place: Place | null): ((lineup: Lineup, me: number) => T) => {
    const find = registry[phrase.word]!.find(slotsOf(phrase, place));
    if (!place) return find;
    const found = find(place.lineup, place.me);
    return () => found;
  };

export const compileMan: (phrase: Phrase, place: Place | null) => ManFinder = compileFor(
  MEN as Record<string, ManWord>,
);
function compileAmong(phrase: Phrase, place: Place | null): (lineup: Lineup, man: number) => boolean {
  const { find, includes } = (MEN as Record<string, ManWord>)[phrase.word]!;
  const slots = slotsOf(phrase, place);
  if (includes) return includes(slots);
  const who = find(slots);
  return (lineup, man) => who(lineup, man) === man;
}
const compileRegion: (phrase: Phrase, place: Place | null) => ManFinder = compileFor(
  REGIONS as Record<string, ManWord>,
);
const compileGap: (phrase: Phrase, place: Place | null) => GapFinder = compileFor(GAPS as Record<string, GapWord>);

export function compileTarget(phrase: Phrase, place: Place | null): TargetFinder {
  const finder = (TARGETS as Record<string, TargetWord>)[phrase.word]!.find(slotsOf(phrase, place));
  const keeps = phrase.qualifiers.map((q) =>
    (QUALIFIERS as Record<string, QualifierWord>)[q.word]!.keep(slotsOf(q, place)),
  );
  if (keeps.length === 0) return finder;
  const [first] = keeps;
  const keep: Accept = keeps.length === 1 ? first! : (scene, me, him, d) => keeps.every((k) => k(scene, me, him, d));
  const { seek } = finder;
  return {
    ...finder,
    picky: true,
    list: null,
    seek: (scene, me, him, accept) =>
      seek(scene, me, him, accept === always ? keep : (s, m, h, d) => keep(s, m, h, d) && accept(s, m, h, d)),
  };
}

/** Gives a word its slots, compiled. A slot that a word needs and a phrase lacks is a fault of the reader. */
export function slotsOf(phrase: Phrase, place: Place | null): Slots {
  const of = (name: string): Phrase => {
    const value = phrase.slots[name];
    if (typeof value !== 'object' || !('word' in value))
      throw new Error(`${phrase.word} has no phrase in slot ${name}`);
    return value;
  };
  return {
    form: phrase.form,
    has: (name) => phrase.slots[name] !== undefined,
    man: (name) => compileMan(of(name), place),
    among: (name) => compileAmong(of(name), place),
    target: (name) => compileTarget(of(name), place),
    gap: (name) => compileGap(of(name), place),
    region: (name) => compileRegion(of(name), place),
    absent: (name) => sayAbsent(of(name)),
    text: (name) => {
      const v = phrase.slots[name];
      return typeof v === 'string' ? v : '';
    },
    list: (name) => {
      const v = phrase.slots[name];
      return Array.isArray(v) ? (v as string[]) : [];
    },
  };
}

const ABSENT: Partial<Record<Phrase['kind'], string>> = { man: 'this formation has no', gap: 'this line has no' };

function sayAbsent(phrase: Phrase): string {
  if (phrase.kind === 'target' && (TARGETS as Record<string, TargetWord>)[phrase.word]!.pointsBack)
    return 'nobody has been named';
  return `${ABSENT[phrase.kind] ?? 'there is no'} ${sayPhrase(phrase, { bare: true })}`;
}
