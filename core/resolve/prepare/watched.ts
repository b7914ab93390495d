import { bitOf, has } from '../../geometry/bits';
import type { Phrase } from '../../language/tree';
import { CONDITIONS, WORDS } from '../../vocabulary/index';
import { NOBODY } from '../../vocabulary/scene';
import type { ConditionWord, Saying } from '../../vocabulary/word';
import { slotsOf, type Place } from './phrase';
import type { CompiledSentence } from './sentence';

/** A bit for every man. */
const EVERYBODY = -1;

/** For each man the others whose sentences look at his choice, a bit for each: when he changes his mind they are asked again. */
export function watchersOf(
  sheets: readonly (readonly CompiledSentence[])[],
  placeOf: (man: number) => Place,
  askingLooks: ReadonlySet<string>,
): number[] {
  const watched = sheets.map((own, man) =>
    own
      .filter((s) => s.called && s.asksOthers)
      .reduce((all, { sentence }) => all | askedBy([sentence.when, sentence.actions], placeOf(man), askingLooks), 0),
  );
  return sheets.map((_, him) => watched.reduce((all, of, man) => (has(of, him) ? all | bitOf(man) : all), 0));
}

/** Whose choices a part of a rule looks at. */
function askedBy(part: unknown, place: Place, askingLooks: ReadonlySet<string>): number {
  if (typeof part !== 'object' || part === null) return 0;
  const { kind, word, slots } = part as Partial<Phrase>;
  if (kind && word) {
    if (askingLooks.has(slots?.look as string)) return EVERYBODY;
    if ((WORDS[kind] as Record<string, Saying>)[word]?.asksOthers) {
      const asksOf = kind === 'condition' ? (CONDITIONS as Record<string, ConditionWord>)[word]!.asksOf : undefined;
      if (!asksOf) return EVERYBODY;
      const men = asksOf(slotsOf(part as Phrase, place))(place.lineup, place.me).filter((man) => man !== NOBODY);
      return men.reduce((all, man) => all | bitOf(man), within(part, place, askingLooks));
    }
  }
  return within(part, place, askingLooks);
}

const within = (part: object, place: Place, askingLooks: ReadonlySet<string>): number =>
  Object.values(part).reduce<number>((all, inner) => all | askedBy(inner, place, askingLooks), 0);
