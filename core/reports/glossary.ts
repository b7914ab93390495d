import { CALL_MEANINGS, CALL_SAYS, type CallWords } from '../model/call-words';
import { FACTS } from '../model/facts';
import { FAULTS, type OwnFault } from '../model/faults';
import { BLOCKS, WORDS } from '../vocabulary/index';
import { PHRASE_KINDS, type Saying } from '../vocabulary/word';
import { PHRASE_TITLES, showTemplate } from './language-reference';

/** A word and what it means. */
export interface GlossaryEntry {
  readonly term: string;
  readonly says: string;
}
export interface GlossaryGroup {
  readonly name: string;
  readonly entries: readonly GlossaryEntry[];
}

const byTerm = (a: GlossaryEntry, b: GlossaryEntry): number => a.term.localeCompare(b.term, 'en');

/** Every word this product says, with what it means: blocks, this program's own words and faults, and the phrases rules are written in. */
export function glossary({ words, faults }: { words: CallWords; faults: readonly OwnFault[] }): GlossaryGroup[] {
  const blocks = Object.values(BLOCKS).map(({ name, help }) => ({ term: name, says: help }));
  const meaning = (text: string): string => text.replaceAll('{id}', 'M');
  const calls = CALL_MEANINGS.map((m) => ({ term: meaning(words[m]), says: meaning(CALL_SAYS[m]) }));
  const shipped = Object.values(FAULTS).map(({ name, part }) => ({ term: name, says: `a fault of the ${part}` }));
  const own = faults.map(({ name, part }) => ({ term: name, says: `a fault of the ${part}; your own` }));
  const facts = Object.values(FACTS).map(({ name, tells }) => ({ term: name, says: tells }));
  const phrases = PHRASE_KINDS.filter((kind) => kind !== 'block').map((kind) => ({
    name: `In rules: ${PHRASE_TITLES[kind].toLowerCase()}`,
    entries: Object.values<Saying>(WORDS[kind]).map((w) => ({
      term: showTemplate(w.says[0]!).replaceAll('*', ''),
      says: w.help,
    })),
  }));
  return [
    { name: 'Words at the line', entries: calls },
    { name: 'Blocks', entries: blocks.sort(byTerm) },
    { name: 'Faults', entries: [...shipped, ...own].sort(byTerm) },
    { name: 'Facts of a snap', entries: facts },
    ...phrases,
  ];
}

/** What of a glossary has a text in it, in its words or in what they mean. */
export function findIn(groups: readonly GlossaryGroup[], text: string): GlossaryGroup[] {
  const wanted = text.trim().toLowerCase();
  const fits = ({ term, says }: GlossaryEntry): boolean => `${term} ${says}`.toLowerCase().includes(wanted);
  return groups.map((g) => ({ ...g, entries: g.entries.filter(fits) })).filter((g) => g.entries.length > 0);
}
