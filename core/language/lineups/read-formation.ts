import { error, hasErrors, type Diagnostic, type Result, type Span } from '../../diagnostics/diagnostic';
import { nearestWord } from '../../diagnostics/nearest';
import { isOnLine, LINE_SEATS, type BlockerKind, type Formation } from '../../model/formation';
import type { Side } from '../../model/side';
import { placeFormation, type SeatPlan } from './place-formation';
import { clausesOf, wordsOf, type Word } from './words';

const KINDS: Readonly<Record<string, BlockerKind>> = { tight: 'tight', wing: 'wing', wide: 'wide', slot: 'slot' };
const USUAL: Readonly<Record<string, BlockerKind>> = { Y: 'tight', H: 'hback', F: 'fullback', B: 'back' };
const KNOWN = [
  ...LINE_SEATS,
  'Y',
  'X',
  'Z',
  'H',
  'F',
  'B',
  'QB',
  'tight',
  'wing',
  'wide',
  'slot',
  'left',
  'right',
  'split',
  'over',
  'motion',
  'under',
  'gun',
  'pistol',
];
const MAX_MEN = 11;

interface Plan extends SeatPlan {
  motions: (Formation['motions'][number] & { span: Span })[];
}

/**
 * Reads a formation: the line in order, then everyone else, e.g. `LT LG C RG RT Y right Z wing right; split RG 18in`.
 * Places come out in feet, field frame.
 */
export function readFormation(text: string, id = 'inline', name = 'Formation'): Result<Formation> {
  return placeClauses(clausesOf(text), id, name);
}

/** Places the clauses of a formation. `kept`: the text stands in a book already; orders that cannot be obeyed are warnings then. */
export function placeClauses(
  clauses: readonly { text: string; span: Span }[],
  id: string,
  name: string,
  { kept = false }: { kept?: boolean } = {},
): Result<Formation> {
  const diagnostics: Diagnostic[] = [];
  const words = clauses.flatMap((c) => wordsOf(c.text, c.span));
  const plan: Plan = { line: [], off: [], splits: new Map(), split: null, over: [], quarterback: 'gun', motions: [] };
  for (let at = 0; at < words.length;) at = readWord(words, at, plan, diagnostics);
  const where = clauses[0]?.span ?? { line: 1, column: 1, endColumn: 1 };
  checkPlan(plan, where, diagnostics, kept);
  if (hasErrors(diagnostics)) return { ok: false, diagnostics };
  const men = placeFormation(plan);
  for (let i = 0; i < men.length; i++) {
    const twin = men.slice(0, i).find((m) => Math.hypot(m.x - men[i]!.x, m.y - men[i]!.y) < 0.5);
    if (twin) diagnostics.push(error('formation.same-spot', where, { first: twin.id, second: men[i]!.id }));
  }
  if (hasErrors(diagnostics)) return { ok: false, diagnostics };
  return {
    ok: true,
    value: {
      id,
      name,
      men,
      quarterback: plan.quarterback,
      motions: plan.motions.map(({ man, side }) => ({ man, side })),
    },
    diagnostics,
  };
}

/** Reads the word at a place and everything that belongs to it; returns the next place. */
function readWord(words: readonly Word[], at: number, plan: Plan, diagnostics: Diagnostic[]): number {
  const word = words[at]!;
  const next = words[at + 1];
  if (word.text === 'split') return readSplit(words, at, plan, diagnostics);
  if (word.text === 'QB') {
    if (next && ['under', 'gun', 'pistol'].includes(next.text))
      plan.quarterback = next.text as Formation['quarterback'];
    else
      diagnostics.push(
        error('text.expected', (next ?? word).span, {
          expected: 'under, gun or pistol',
          found: next ? `"${next.text}"` : 'the end',
        }),
      );
    return at + 2;
  }
  if (word.text === 'over' || word.text === 'motion') {
    const side = words[at + 2];
    if (!next || !isSide(side?.text)) {
      diagnostics.push(
        error('text.expected', (side ?? next ?? word).span, {
          expected: `${word.text} MAN left or right`,
          found: `"${word.text} ${next?.text ?? ''} ${side?.text ?? ''}"`,
        }),
      );
      return at + 3;
    }
    if (word.text === 'over') readOver(next, side, plan, diagnostics);
    else plan.motions.push({ man: next.text, side: side.text as Side, span: next.span });
    return at + 3;
  }
  if ((LINE_SEATS as readonly string[]).includes(word.text)) {
    plan.line.push({ id: word.text, kind: 'line', side: null, span: word.span });
    return at + 1;
  }
  return readSkill(words, at, plan, diagnostics);
}

/** "over T left" moves the left tackle outside the right one; "over LT right" says the same by his name and where he goes. */
function readOver(who: Word, side: Word, plan: Plan, diagnostics: Diagnostic[]): void {
  const where = side.text as Side;
  if (who.text === 'T' || who.text === 'G') {
    const to: Side = where === 'left' ? 'right' : 'left';
    plan.over.push({ id: `${where === 'left' ? 'L' : 'R'}${who.text}`, to, span: who.span });
  } else if (/^[LR][TG]$/.test(who.text)) plan.over.push({ id: who.text, to: where, span: who.span });
  else {
    const found = `"${who.text}"`;
    diagnostics.push(error('text.expected', who.span, { expected: 'T, G, LT, LG, RG or RT', found }));
  }
}

const isSide = (text: string | undefined): text is Side => text === 'left' || text === 'right';

function readSkill(words: readonly Word[], at: number, plan: Plan, diagnostics: Diagnostic[]): number {
  const word = words[at]!;
  if (!/^[A-Z][A-Z0-9]{0,2}$/.test(word.text)) {
    const near = nearestWord(word.text, KNOWN);
    diagnostics.push(
      near
        ? error('formation.unknown-near', word.span, { found: `"${word.text}"`, near })
        : error('formation.unknown', word.span, { found: `"${word.text}"` }),
    );
    return at + 1;
  }
  const free = words[at + 1];
  if (free?.text.startsWith('(')) {
    readFreePlace(word, free, plan, diagnostics);
    return at + 2;
  }
  let end = at + 1;
  const said = KINDS[words[end]?.text ?? ''];
  if (said) end++;
  const side = words[end]?.text;
  const kind = said ?? usualKind(word.text);
  if (isSide(side)) end++;
  if (!kind)
    diagnostics.push(
      error('formation.unknown', word.span, { found: `"${word.text}" (say tight, wing, slot or wide)` }),
    );
  else if (!isSide(side) && !['back', 'fullback'].includes(kind))
    diagnostics.push(error('formation.side', word.span, { id: word.text }));
  else {
    const seat = { id: word.text, kind, side: isSide(side) ? side : null, span: word.span };
    if (isOnLine(seat)) plan.line.push(seat);
    else plan.off.push(seat);
  }
  return end;
}

/** What a letter usually is; B2 and B3 are backs too. */
const usualKind = (id: string): BlockerKind | undefined => USUAL[id] ?? (/^B\d$/.test(id) ? 'back' : undefined);

/** Somebody off the line anywhere, in feet: `F (2, -9)`. */
function readFreePlace(who: Word, place: Word, plan: Plan, diagnostics: Diagnostic[]): void {
  const match = /^\(\s*(-?\d+(?:\.\d+)?)\s*,\s*(-?\d+(?:\.\d+)?)\s*\)$/.exec(place.text);
  const at = { x: Number(match?.[1] ?? NaN), y: Number(match?.[2] ?? NaN) };
  if (!(Math.abs(at.x) <= 80 && at.y >= -40 && at.y <= 0)) {
    diagnostics.push(error('formation.place', place.span, { id: who.text, found: `"${place.text}"` }));
    return;
  }
  const usual = usualKind(who.text);
  const kind = usual && usual !== 'tight' ? usual : kindAt(at);
  plan.off.push({ id: who.text, kind, side: at.x < 0 ? 'left' : 'right', at, span: who.span });
}

/** Farther out than this a man off the line is a receiver, and deeper than that one is a back; feet. */
const WIDE_FROM = 24;
const BACK_FROM = -8;

const kindAt = ({ x, y }: { x: number; y: number }): BlockerKind =>
  y < BACK_FROM ? 'back' : Math.abs(x) >= WIDE_FROM ? 'wide' : y > -2 ? 'slot' : 'wing';

function readSplit(words: readonly Word[], at: number, plan: Plan, diagnostics: Diagnostic[]): number {
  const who = words[at + 1];
  const named = who && /^[A-Z]/.test(who.text);
  const size = words[at + (named ? 2 : 1)];
  const inches = /^(\d+(?:\.\d+)?)in$/.exec(size?.text ?? '');
  const value = inches ? Number(inches[1]) : NaN;
  if (!(value >= 0 && value <= 72)) {
    diagnostics.push(error('formation.split', (size ?? who ?? words[at]!).span, { found: `"${size?.text ?? ''}"` }));
  } else if (named) plan.splits.set(who.text, { feet: value / 12, span: who.span });
  else plan.split = value / 12;
  return at + (named ? 3 : 2);
}

function checkPlan(plan: Plan, where: Span, diagnostics: Diagnostic[], kept: boolean): void {
  const all = [...plan.line, ...plan.off];
  const missing = LINE_SEATS.filter((seat) => !all.some((m) => m.id === seat));
  if (missing.length) diagnostics.push(error('formation.line', where, { missing: missing.join(', ') }));
  for (const [i, man] of all.entries()) {
    if (all.findIndex((m) => m.id === man.id) < i) diagnostics.push(error('formation.twice', man.span, { id: man.id }));
  }
  const orders: Diagnostic[] = [];
  checkOrders(plan, all, orders);
  // A text that was kept before such orders were checked stands as it did, and is told about.
  diagnostics.push(...(kept ? orders.map((d) => ({ ...d, severity: 'warning' as const })) : orders));
  if (all.length > MAX_MEN) diagnostics.push(error('formation.too-many', where, { count: all.length }));
}

/** A clause about a man who is not there, or who cannot do it, is an error in its place. */
function checkOrders(plan: Plan, all: readonly { id: string; kind: BlockerKind }[], diagnostics: Diagnostic[]): void {
  const isHere = (id: string): boolean => all.some((m) => m.id === id);
  for (const { man, span } of plan.motions)
    if (!isHere(man)) diagnostics.push(error('formation.nobody', span, { clause: 'motion', id: man }));
  for (const [id, { span }] of plan.splits) {
    if (!isHere(id)) diagnostics.push(error('formation.nobody', span, { clause: 'split', id }));
    else if (id === 'C' || !plan.line.some((m) => m.id === id))
      diagnostics.push(error('formation.no-split', span, { id }));
  }
  const order = plan.line.map((m) => m.id);
  for (const { id, to, span } of plan.over) {
    const side: Side = order.indexOf(id) < order.indexOf('C') ? 'left' : 'right';
    if (isHere(id) && side === to) diagnostics.push(error('formation.over', span, { id, side: to }));
  }
}
