import { error, warning, type Diagnostic } from '../diagnostics/diagnostic';
import { formationFromClauses, frontFromClauses } from './lineups/check-lineup';
import { CONDITIONS, TARGETS } from '../vocabulary/index';
import type { ConditionWord, TargetWord } from '../vocabulary/word';
import { sayHead } from './print';
import { readTree } from './read';
import type { Condition, Phrase, SchemeTree, Sentence, SlotValue } from './tree';

/** Everything wrong or doubtful in a `.chalk` text: what cannot be read, then what reads well and cannot be meant. */
export function checkText(text: string): Diagnostic[] {
  const { tree, diagnostics } = readTree(text);
  if (!tree) return [...diagnostics];
  if (tree.kind === 'scheme') return [...diagnostics, ...checkScheme(tree)];
  return [...diagnostics, ...(tree.kind === 'front' ? frontFromClauses(tree) : formationFromClauses(tree))];
}

const REQUIRED = ['family', 'track', 'cover'] as const;
/** A run crosses the line somewhere and some time; a pass is thrown after some time. */
const REQUIRED_TOO = { run: ['entry', 'tempo'], pass: ['throw'] } as const;

/** Checks a scheme that could be read. */
export function checkScheme(tree: SchemeTree): Diagnostic[] {
  const top = { line: 1, column: 1, endColumn: 1 };
  const says = (key: string, value?: string): boolean =>
    tree.head.some((h) => h.key === key && (value === undefined || h.value === value));
  const kind = says('throw') || (says('track', 'pass') && !says('entry') && !says('tempo')) ? 'pass' : 'run';
  const missing = [...REQUIRED, ...REQUIRED_TOO[kind]]
    .filter((key) => !tree.head.some((h) => h.key === key))
    .map((what) => error('scheme.head-missing', top, { what }));
  if (tree.sheets.every((s) => s.sentences.length === 0)) missing.push(error('scheme.no-rules', top));
  return [...missing, ...checkSheets(tree), ...checkDeclared(tree)];
}

const NO_OTHERWISE_NEEDED = new Set(['quarterback', 'left-by-design', 'every-lineman']);

function checkSheets(tree: SchemeTree): Diagnostic[] {
  const found: Diagnostic[] = [];
  const everybody = tree.sheets.some(
    (s) => s.heads.some((h) => h.word === 'every-lineman') && s.sentences.some((x) => x.when === null),
  );
  for (const sheet of tree.sheets) {
    const always = sheet.sentences.findIndex((s) => s.when === null);
    if (always >= 0) {
      for (const late of sheet.sentences.slice(always + 1)) {
        if (!canFail(sheet.sentences[always]!))
          found.push(warning('scheme.unreachable', late.span, { line: sheet.sentences[always]!.span.line }));
      }
    }
    const asked = new Map<string, number>();
    for (const sentence of sheet.sentences) {
      const when = sentence.when && strip(sentence.when);
      const twin = when ? asked.get(when) : undefined;
      if (twin !== undefined) found.push(warning('scheme.unreachable', sentence.span, { line: twin }));
      if (when && !canFail(sentence) && twin === undefined) asked.set(when, sentence.span.line);
      if (!himIsNamed(sentence)) found.push(error('scheme.him', sentence.span));
    }
    const heads = sheet.heads.filter((h) => !NO_OTHERWISE_NEEDED.has(h.word) && isLineman(h));
    if (always < 0 && heads.length && !everybody)
      found.push(warning('scheme.no-otherwise', sheet.span, { man: heads.map(sayHead).join(', ') }));
  }
  return [...found, ...checkPartners(tree)];
}

/** A sentence whose target may not be there falls through to the next one. */
const canFail = (s: Sentence): boolean =>
  s.actions.every((a) => a.block.slots.partner !== undefined || isFixed(a.block.slots.whom));
const targetWord = (whom: Phrase): TargetWord => (TARGETS as Record<string, TargetWord>)[whom.word]!;
const isUpFront = (whom: SlotValue | undefined): whom is Phrase => isPhrase(whom) && !targetWord(whom).offTheLine;
const isFixed = (whom: SlotValue | undefined): boolean => isUpFront(whom) && !targetWord(whom).pointsBack;
const isPhrase = (value: SlotValue | undefined): value is Phrase => typeof value === 'object' && 'word' in value;
const isLineman = (head: Phrase): boolean => {
  const who = head.slots.who;
  return (
    isPhrase(who) &&
    (who.word === 'centre' || (who.word === 'post' && (who.slots.post === 'tackle' || who.slots.post === 'guard')))
  );
};

const strip = (value: unknown): string =>
  JSON.stringify(value, (key, v: unknown) =>
    key === 'span' || key === 'comments' || key === 'trailing' ? undefined : v,
  );
const same = (a: unknown, b: unknown): boolean => strip(a) === strip(b);

/** Partners who never agree: the man asked has no rules at all, or none that could put him on anybody's man. */
function checkPartners(tree: SchemeTree): Diagnostic[] {
  const found: Diagnostic[] = [];
  const everybody = tree.sheets.some((s) => s.heads.some((h) => h.word === 'every-lineman'));
  for (const sheet of tree.sheets) {
    for (const sentence of sheet.sentences) {
      for (const partner of sentence.actions.map((a) => a.block.slots.partner).filter(isPhrase)) {
        if (everybody || partner.word === 'neighbour' || partner.word === 'me') continue;
        const man = sayHead(partner);
        const his = tree.sheets.filter((s) => s.heads.some((h) => isPhrase(h.slots.who) && same(h.slots.who, partner)));
        if (his.length === 0) found.push(warning('scheme.partner-none', partner.span, { man }));
        else if (!his.some((s) => s.sentences.some(blocksSomebodyUpFront))) {
          found.push(
            warning('scheme.partner-never', partner.span, { man, asker: sheet.heads.map(sayHead).join(', ') }),
          );
        }
      }
    }
  }
  return found;
}

const blocksSomebodyUpFront = (s: Sentence): boolean => s.actions.some((a) => isUpFront(a.block.slots.whom));

/** Does any part of a rule point back at "him"? */
function saysHim(part: unknown): boolean {
  if (typeof part !== 'object' || part === null) return false;
  if (Array.isArray(part)) return part.some(saysHim);
  const { kind, word } = part as Partial<Phrase>;
  if (kind === 'target' && (TARGETS as Record<string, TargetWord>)[word!]?.pointsBack) return true;
  return Object.values(part).some(saysHim);
}

/** Is "him" somebody wherever a sentence says him: in its condition after the part that names him, in its actions once it holds? */
function himIsNamed({ when, actions }: Sentence): boolean {
  const names = when === null ? false : namesAfter(when, false);
  return names !== 'unnamed' && (names || !saysHim(actions));
}

/**
 * Whether a defender is named once a condition holds; "unnamed" when it says him before anybody is. `named` tells whether somebody is named
 * before it.
 */
function namesAfter(condition: Condition, named: boolean): boolean | 'unnamed' {
  switch (condition.op) {
    case 'is':
      if (!named && saysHim(condition.phrase)) return 'unnamed';
      return named || 'finds' in (CONDITIONS as Record<string, ConditionWord>)[condition.phrase.word]!;
    case 'not':
      return namesAfter(condition.part, named) === 'unnamed' ? 'unnamed' : named;
    case 'and': {
      let so: boolean | 'unnamed' = named;
      for (const part of condition.parts) if (so !== 'unnamed') so = namesAfter(part, so);
      return so;
    }
    case 'or': {
      const parts = condition.parts.map((part) => namesAfter(part, named));
      return parts.includes('unnamed') ? 'unnamed' : parts.every(Boolean);
    }
  }
}

/** Tags, seats and looks that are declared and change nothing. */
function checkDeclared(tree: SchemeTree): Diagnostic[] {
  const text = strip([tree.sheets, tree.looks, tree.boxes, tree.changes, tree.deals, tree.seats]);
  const used = (slot: string, name: string): boolean => text.includes(`"${slot}":${JSON.stringify(name)}`);
  return [
    ...tree.tags.filter((t) => !used('tag', t.name)).map((t) => warning('scheme.tag-unused', t.span, { tag: t.name })),
    ...tree.seats
      .filter((s) => !used('seat', s.name))
      .map((s) => warning('scheme.seat-unused', s.span, { seat: s.name })),
    ...(text.includes('"word":"dealt"')
      ? []
      : tree.deals.map((d) => warning('scheme.deal-unused', d.span, { deal: d.name }))),
    ...tree.looks
      .filter((l) => !used('look', l.name))
      .map((l) => warning('scheme.look-unused', l.span, { look: l.name })),
  ];
}
