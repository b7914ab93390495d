import { WORDS } from '../vocabulary/index';
import type { Saying } from '../vocabulary/word';
import { isPhraseKind, LEAVES, TEMPLATES, type Piece } from './templates';
import type { Action, Condition, DealLine, Phrase, Remarks, SchemeTree, Sentence, SlotValue, Tree } from './tree';

/** A phrase in words. `subject` says it as one ("I", "he"); `bare` drops its article. */
export function sayPhrase(
  phrase: Phrase,
  manner: { subject?: boolean; bare?: boolean; denied?: boolean } = {},
): string {
  const saying: Saying = (WORDS[phrase.kind] as Record<string, Saying>)[phrase.word]!;
  if (manner.subject && saying.subject) return saying.subject;
  const template =
    TEMPLATES[phrase.kind].find(
      (t) => t.word === phrase.word && t.form === phrase.form && t.denies === (manner.denied ?? false),
    ) ?? TEMPLATES[phrase.kind].find((t) => t.word === phrase.word && t.denies === (manner.denied ?? false))!;
  const words = template.pieces.flatMap((piece, i) =>
    manner.bare && i === 0 && piece.is === 'word' && piece.article ? [] : [sayPiece(piece, phrase)],
  );
  return [...words, ...phrase.qualifiers.map((q) => sayPhrase(q))].filter(Boolean).join(' ');
}

function sayPiece(piece: Piece, phrase: Phrase): string {
  if (piece.is === 'word') return piece.text;
  if (piece.is === 'be') return Object.values(phrase.slots).some((v) => isPhrase(v) && v.word === 'me') ? 'am' : 'is';
  const value = phrase.slots[piece.name];
  if (value === undefined) return '';
  if (isPhrase(value)) return sayPhrase(value, { subject: piece.subject, bare: piece.bare });
  const leaf = isPhraseKind(piece.kind) ? null : LEAVES[piece.kind].values;
  const say = (v: string): string => leaf?.[v] ?? v;
  return typeof value === 'string' ? say(value) : value.map(say).join(' or ');
}

const isPhrase = (value: SlotValue): value is Phrase => typeof value === 'object' && 'word' in value;

/** A condition in words, with brackets only where they are needed. */
export function sayCondition(condition: Condition, inside: 'top' | 'and' | 'not' = 'top'): string {
  switch (condition.op) {
    case 'is':
      return sayPhrase(condition.phrase);
    case 'not': {
      const { part } = condition;
      if (part.op !== 'is') return `not ${sayCondition(part, 'not')}`;
      const denies = (WORDS.condition as Record<string, Saying>)[part.phrase.word]!.denies;
      return denies ? sayDenied(part.phrase) : `not ${sayPhrase(part.phrase)}`;
    }
    case 'and':
      return bracket(condition.parts.map((p) => sayCondition(p, 'and')).join(' and '), inside === 'not');
    case 'or':
      return bracket(condition.parts.map((p) => sayCondition(p)).join(' or '), inside !== 'top');
  }
}

/** The denying form that has room for every filled slot. */
function sayDenied(phrase: Phrase): string {
  const filled = Object.keys(phrase.slots);
  const forms = TEMPLATES.condition.filter((t) => t.denies && t.word === phrase.word);
  const fitting =
    forms.find((t) => t.form === phrase.form && hasRoom(t.pieces, filled)) ??
    forms.find((t) => hasRoom(t.pieces, filled));
  return sayPhrase({ ...phrase, form: fitting?.form ?? phrase.form }, { denied: true });
}

const hasRoom = (pieces: readonly Piece[], filled: readonly string[]): boolean =>
  filled.every((name) => pieces.some((p) => p.is === 'slot' && p.name === name));

const bracket = (text: string, needed: boolean): string => (needed ? `(${text})` : text);

const sayAction = (action: Action): string =>
  sayPhrase(action.block) + (action.then ? `, then ${sayPhrase(action.then)}` : '');

/** A whole sentence as a coach would dictate it. `first` says an unconditional one as "always". */
export function saySentence(sentence: Sentence, first = false): string {
  const lead = sentence.when ? `when ${sayCondition(sentence.when)}` : first ? 'always' : 'otherwise';
  const follow = sentence.followUps.map((f) => `; if ${sayPhrase(f.event)}: ${sayPhrase(f.reaction)}`).join('');
  return `${lead}: ${sentence.actions.map(sayAction).join(', else ')}${follow}`;
}

/** A deal line as it is written. */
export const sayDeal = (deal: DealLine): string =>
  `deal ${deal.name} to ${deal.to.map((h) => sayPhrase(h.word === 'one-man' ? (h.slots.who as Phrase) : h)).join(', ')}${deal.inOrder ? ' in order' : ''}` +
  `${deal.when ? ` when ${sayCondition(deal.when)}` : ''}: ${deal.targets.map((t) => sayPhrase(t)).join(', ')}`;

/** A heading: "playside tackle", without its article. */
export const sayHead = (head: Phrase): string =>
  sayPhrase(head.word === 'one-man' ? (head.slots.who as Phrase) : head, { bare: true });

const noted = (line: string, remarks: Remarks, indent = ''): string[] => [
  ...remarks.comments.map((c) => `${indent}#${c ? ` ${c}` : ''}`),
  `${indent}${line}${remarks.trailing === null ? '' : ` #${remarks.trailing ? ` ${remarks.trailing}` : ''}`}`,
];

/** Prints a tree in its canonical form; comments stay with their lines. */
export function printTree(tree: Tree): string {
  const lines = noted(`${tree.kind} ${tree.id} "${tree.name}"`, tree);
  if (tree.kind === 'scheme') lines.push(...printScheme(tree));
  else for (const clause of tree.clauses) lines.push(...noted(clause.text.replace(/\s+/g, ' '), clause));
  lines.push(...tree.closing.map((c) => `#${c ? ` ${c}` : ''}`));
  return `${lines.join('\n')}\n`;
}

function printScheme(tree: SchemeTree): string[] {
  const lines = tree.head.flatMap((h) => noted(`${h.key} ${h.value}`, h));
  const declared = [
    ...tree.tags.flatMap((t) => noted(`tag ${t.name}${t.on ? ' on' : ''} "${t.says}"`, t)),
    ...tree.seats.flatMap((s) =>
      noted(`seat ${s.name} = ${s.choices.map((c) => sayPhrase(c, { bare: true })).join(' or ')}`, s),
    ),
    ...tree.looks.flatMap((l) => noted(`look ${l.name}: ${sayCondition(l.when)}`, l)),
    ...tree.changes.flatMap((c) => noted(`change to ${c.to} when ${sayCondition(c.when)}`, c)),
    ...tree.boxes.flatMap((b) => noted(`box one more when ${sayCondition(b.when)}`, b)),
    ...tree.deals.flatMap((d) => noted(sayDeal(d), d)),
  ];
  if (declared.length) lines.push('', ...declared);
  for (const sheet of tree.sheets) {
    lines.push('', ...noted(sheet.heads.map(sayHead).join(', '), sheet));
    sheet.sentences.forEach((s, i) => lines.push(...noted(saySentence(s, i === 0), s, '  ')));
  }
  return lines;
}
