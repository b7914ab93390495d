import type { Condition, Phrase } from '../../language/tree';
import { CONDITIONS, GAPS, MEN, QUALIFIERS, REGIONS, TARGETS, WORDS } from '../../vocabulary/index';
import { always } from '../../vocabulary/finding';
import type { Lineup, Scene } from '../../vocabulary/scene';
import type {
  Accept,
  ConditionWord,
  GapFinder,
  GapWord,
  ManFinder,
  ManWord,
  QualifierWord,
  Saying,
  Slots,
  TargetFinder,
  TargetWord,
  Test,
} from '../../vocabulary/word';

/**
 * Whose sentence a phrase stands in. Men, gaps, regions and whatever the call alone decides are then looked up once, when the phrase is
 * made ready, instead of on every front.
 */
export interface Place {
  readonly lineup: Lineup;
  readonly me: number;
}

/** A test that leaves `scene.him` on the defender its last "there is" named, else on the first one a condition named; plain true or false where the call alone decides it. */
export function compileCondition(condition: Condition, place: Place | null): Test | boolean {
  switch (condition.op) {
    case 'is': {
      const word = wordOf(condition.phrase);
      const slots = slotsOf(condition.phrase, place);
      return place && word.byCall ? word.byCall(slots)(place.lineup, place.me) : word.test(slots);
    }
    case 'not': {
      const inner = compileCondition(condition.part, place);
      return typeof inner === 'boolean'
        ? !inner
        : (scene, me) => {
            const { him } = scene;
            const holds = inner(scene, me);
            scene.him = him;
            return !holds;
          };
    }
    case 'and': {
      const parts = condition.parts.map((p) => compileCondition(p, place));
      return parts.includes(false) ? false : allHold(parts.filter(isTest));
    }
    case 'or': {
      const parts = condition.parts.map((p) => compileCondition(p, place)).filter((p) => p !== false);
      return parts[0] === true ? true : anyHolds(parts.map((p) => (p === true ? () => true : p)));
    }
  }
}

/** The same where a test is wanted in any case. */
export function testOf(condition: Condition, place: Place | null): Test {
  const test = compileCondition(condition, place);
  return typeof test === 'boolean' ? () => test : test;
}

const isTest = (part: Test | boolean): part is Test => typeof part !== 'boolean';

function allHold(parts: readonly Test[]): Test | true {
  const [one, two] = parts;
  if (!one) return true;
  if (!two) return one;
  const rest = parts.length === 2 ? two : (allHold(parts.slice(1)) as Test);
  return (scene, me) => one(scene, me) && rest(scene, me);
}

function anyHolds(parts: readonly Test[]): Test | boolean {
  const [one, two] = parts;
  if (!one) return false;
  if (!two) return one;
  return (scene, me) => {
    const { him } = scene;
    for (const part of parts) {
      if (part(scene, me)) return true;
      scene.him = him;
    }
    return false;
  };
}

/** Why a condition did not hold: the first part that failed, in a coach's words. */
export function whyNot(condition: Condition, scene: Scene, me: number): string {
  switch (condition.op) {
    case 'is':
      return wordOf(condition.phrase).why(slotsOf(condition.phrase, null))(scene, me, false);
    case 'not':
      return condition.part.op === 'is'
        ? wordOf(condition.part.phrase).why(slotsOf(condition.part.phrase, null))(scene, me, true)
        : 'what it rules out is so';
    case 'or':
      return condition.parts.map((p) => whyNot(p, scene, me)).join('; ');
    case 'and': {
      for (const part of condition.parts) if (!testOf(part, null)(scene, me)) return whyNot(part, scene, me);
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
  const keep: Accept = keeps.length === 1 ? first! : (scene, me, d) => keeps.every((k) => k(scene, me, d));
  const { claim, every, seek } = finder;
  return {
    claim,
    every,
    seek: (scene, me, accept) =>
      seek(scene, me, accept === always ? keep : (s, m, d) => keep(s, m, d) && accept(s, m, d)),
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
    target: (name) => compileTarget(of(name), place),
    gap: (name) => compileGap(of(name), place),
    region: (name) => compileRegion(of(name), place),
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

const NO_LOOKS: ReadonlySet<string> = new Set();

/** Does any word in a part of a rule have this property, or name one of these looks, which have it? */
export function saysAny(
  part: unknown,
  property: keyof Saying & ('asksOthers' | 'aboutMe'),
  looks: ReadonlySet<string> = NO_LOOKS,
): boolean {
  if (typeof part !== 'object' || part === null) return false;
  if (Array.isArray(part)) return part.some((p) => saysAny(p, property, looks));
  const { kind, word, slots } = part as Partial<Phrase>;
  if (kind && word) {
    if ((WORDS[kind] as Record<string, Saying>)[word]?.[property]) return true;
    if (word === 'look-is' && looks.has(slots?.look as string)) return true;
  }
  return Object.values(part).some((p) => saysAny(p, property, looks));
}
