import { error, hasErrors, type Diagnostic, type Result, type Span } from '../../diagnostics/diagnostic';
import { nearestWord } from '../../diagnostics/nearest';
import { lessThan } from '../../geometry/compare';
import { FIRST_LEVEL_DEPTH } from '../../geometry/tolerances';
import { YARD } from '../../geometry/units';
import {
  linebackerPlace,
  placesOf,
  readTechnique,
  techniquePlace,
  TECHNIQUE_WORDS,
  type SidePlaces,
} from '../../identify/techniques';
import type { Formation } from '../../model/formation';
import { MarkSchema, MAX_DEFENDERS, type Defender, type Front, type Mark, type Position } from '../../model/front';
import { SHIPPED_SETTINGS, type Settings } from '../../model/settings';
import { signOf, type Side } from '../../model/side';
import { readMovement, whoMoves } from './read-movement';
import { clausesOf, wordsOf, type Word } from './words';

const LINE_DEPTH = 2;
const LINEBACKER_DEPTH = 4.5 * YARD;
const CENTRED = new Set(['0', '00']);

/**
 * Reads a front against a formation: one defender a clause, parted by `;` or line ends, e.g. `LE 5 left; M 10 right @4.5 up`.
 * Depths after `@` are in yards; a place in brackets is in feet, field frame.
 */
export function readFront(
  text: string,
  formation: Formation,
  id = 'inline',
  name = 'Front',
  settings = SHIPPED_SETTINGS,
): Result<Front> {
  return placeFrontClauses(clausesOf(text), formation, id, name, settings);
}

export function placeFrontClauses(
  clauses: readonly { text: string; span: Span }[],
  formation: Formation,
  id: string,
  name: string,
  settings: Settings = SHIPPED_SETTINGS,
): Result<Front> {
  const diagnostics: Diagnostic[] = [];
  const places = {
    left: placesOf(formation, 'left'),
    right: placesOf(formation, 'right'),
    tackles: { left: tackleOf(formation, 'left'), right: tackleOf(formation, 'right') },
  };
  const defenders: { defender: Defender; span: Span }[] = [];
  const movements: Front['movements'] = [];
  for (const clause of clauses) {
    const words = wordsOf(clause.text, clause.span);
    const movement = readMovement(words);
    if (movement) {
      movements.push(movement);
      continue;
    }
    const defender = readDefender(words, places, settings, diagnostics);
    if (defender) defenders.push({ defender, span: clause.span });
  }
  checkFront(defenders, movements, clauses[0]?.span, diagnostics);
  if (hasErrors(diagnostics)) return { ok: false, diagnostics };
  return { ok: true, value: { id, name, defenders: defenders.map((d) => d.defender), movements }, diagnostics };
}

/** Where words stand on each side, and how far out its last tackle is. */
interface Places extends Readonly<Record<Side, SidePlaces>> {
  readonly tackles: Readonly<Record<Side, number>>;
}

/** How far from the ball the last lineman of a side stands, feet. */
const tackleOf = (formation: Formation, side: Side): number =>
  Math.max(...formation.men.filter((m) => m.kind === 'line').map((m) => m.x * signOf(side)));

interface Extras {
  depth: number | null;
  up: boolean;
  mark: Mark | null;
  role: Position | null;
}

function readDefender(
  words: readonly Word[],
  places: Places,
  settings: Settings,
  diagnostics: Diagnostic[],
): Defender | null {
  const [id, place] = words;
  if (!id || !place || !/^[A-Za-z][A-Za-z0-9]{0,2}$/.test(id.text)) {
    diagnostics.push(
      error('front.clause', id?.span ?? { line: 1, column: 1, endColumn: 1 }, {
        found: `"${words.map((w) => w.text).join(' ')}"`,
      }),
    );
    return null;
  }
  if (place.text.startsWith('(')) return inFeet(id.text, place, words.slice(2), places, diagnostics);
  // "wide 5", "wide 9" and "ghost 9" are two words for one place.
  const double = (place.text === 'wide' || place.text === 'ghost') && /^[5-9]i?$/.test(words[2]?.text ?? '');
  const said = double ? (place.text === 'wide' ? `wide${words[2]!.text}` : words[2]!.text) : place.text;
  const technique = readTechnique(said, settings);
  let rest = words.slice(double ? 3 : 2);
  const side = rest[0]?.text === 'left' || rest[0]?.text === 'right' ? (rest[0].text as Side) : null;
  if (side) rest = rest.slice(1);
  if (!TECHNIQUE_WORDS.includes(technique)) {
    const near = nearestWord(
      technique,
      TECHNIQUE_WORDS.filter((w) => w.length > 1),
    );
    diagnostics.push(
      near
        ? error('front.technique-near', place.span, { found: `"${said}"`, near })
        : error('front.technique', place.span, { found: `"${said}"` }),
    );
    return null;
  }
  if (!side && !CENTRED.has(technique)) {
    diagnostics.push(error('front.side', place.span, { id: id.text, technique }));
    return null;
  }
  const extras = readExtras(rest, diagnostics);
  if (!extras) return null;
  const over = linebackerPlace(technique);
  const out = techniquePlace(over ?? technique, places[side ?? 'right'])!;
  const y = extras.depth ?? (over ? LINEBACKER_DEPTH : LINE_DEPTH);
  return finish(id.text, out * signOf(side ?? 'right'), y, over !== null, extras, places.tackles);
}

function inFeet(
  id: string,
  place: Word,
  rest: readonly Word[],
  { tackles }: Places,
  diagnostics: Diagnostic[],
): Defender | null {
  const match = /^\(\s*(-?\d+(?:\.\d+)?)\s*,\s*(-?\d+(?:\.\d+)?)\s*\)$/.exec(place.text);
  const x = Number(match?.[1] ?? NaN);
  const y = Number(match?.[2] ?? NaN);
  if (!(Math.abs(x) <= 80 && y >= 0 && y <= 120)) {
    diagnostics.push(error('front.place', place.span, { found: `"${place.text}"` }));
    return null;
  }
  const extras = readExtras(rest, diagnostics);
  return extras && finish(id, x === 0 ? 0 : x, extras.depth ?? y, y > FIRST_LEVEL_DEPTH, extras, tackles);
}

function readExtras(words: readonly Word[], diagnostics: Diagnostic[]): Extras | null {
  const extras: Extras = { depth: null, up: false, mark: null, role: null };
  for (const word of words) {
    const mark = MarkSchema.safeParse(word.text);
    if (word.text.startsWith('@')) {
      const yards = Number(word.text.slice(1));
      if (word.text.length < 2 || !(yards >= 0 && yards <= 40)) {
        diagnostics.push(error('front.depth', word.span, { found: `"${word.text}"` }));
        return null;
      }
      extras.depth = yards * YARD;
    } else if (word.text === 'up') extras.up = true;
    else if (mark.success) extras.mark = mark.data;
    else if (word.text === 'dl' || word.text === 'lb' || word.text === 'db' || word.text === 'end')
      extras.role = word.text;
    else {
      diagnostics.push(error('front.clause', word.span, { found: `"${word.text}"` }));
      return null;
    }
  }
  return extras;
}

/**
 * Without a role, two digits or more than 4.5 ft of depth mean a linebacker. Standing on the line inside the tackles means a linebacker who
 * has walked up, at or outside them a stand-up end. `tackles`: how far from the ball the tackles stand, feet.
 */
function finish(
  id: string,
  x: number,
  y: number,
  linebacker: boolean,
  extras: Extras,
  tackles: Readonly<Record<Side, number>>,
): Defender {
  const back = linebacker || y > FIRST_LEVEL_DEPTH;
  const inside = lessThan(Math.abs(x), tackles[x < 0 ? 'left' : 'right']);
  const position = extras.role ?? (back || (extras.up && inside) ? 'lb' : extras.up ? 'end' : 'dl');
  return { id, x: x === 0 ? 0 : x, y, stance: extras.up || back ? 'up' : 'down', position, mark: extras.mark };
}

function checkFront(
  defenders: readonly { defender: Defender; span: Span }[],
  movements: Front['movements'],
  start: Span | undefined,
  diagnostics: Diagnostic[],
): void {
  const where = start ?? { line: 1, column: 1, endColumn: 1 };
  if (defenders.length > MAX_DEFENDERS) diagnostics.push(error('front.too-many', where, { count: defenders.length }));
  defenders.forEach(({ defender, span }, i) => {
    for (const { defender: other } of defenders.slice(0, i)) {
      if (other.id === defender.id) diagnostics.push(error('front.twice', span, { id: defender.id }));
      else if (Math.hypot(other.x - defender.x, other.y - defender.y) < 0.5) {
        diagnostics.push(error('front.same-spot', span, { first: other.id, second: defender.id }));
      }
    }
  });
  const ids = new Set(defenders.map((d) => d.defender.id));
  for (const movement of movements) {
    for (const who of whoMoves(movement)) {
      if (!ids.has(who)) diagnostics.push(error('front.movement-who', where, { id: who }));
    }
  }
}
