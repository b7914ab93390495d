import { readFront } from '../../language/lineups/read-front';
import { sayDefender } from '../../language/lineups/print-lineup';
import { YARD } from '../../geometry/units';
import { FIRST_LEVEL_DEPTH } from '../../geometry/tolerances';
import { levelOf } from '../../identify/line';
import type { Formation } from '../../model/formation';
import type { Defender, Front } from '../../model/front';
import { SHIPPED_SETTINGS, type Settings } from '../../model/settings';
import { sayMovement } from '../../language/lineups/read-movement';
import type { MeasuredMan } from './places';
import { techniqueOfMeasured, type MeasuredTechnique } from './technique';

/** A front read off the film: everybody as a coach would say it, and the notation that resolves. */
export interface MeasuredFront {
  readonly front: Front;
  readonly text: string;
  readonly men: readonly (MeasuredTechnique & { readonly id: string })[];
  /** The least sure of its men, 0 to 1. */
  readonly sure: number;
}

/** How far the named place of a technique may be from where a man was measured, feet: nearer than this a coach says the word. */
const SAYS_THE_WORD = 0.9;
/** A linebacker's depth is said to half a yard. */
const DEPTH_GRAIN = YARD / 2;
/** A man of the line stands at this depth when his front is written in words, feet. */
const LINE_DEPTH = 2;
/** Whoever stands up farther off than this was not on the line, feet. */
const ON_LINE = FIRST_LEVEL_DEPTH;

/** The formation with the men who were measured where they were measured: noses are what techniques are read against. */
export function formationAsMeasured(formation: Formation, measured: readonly MeasuredMan[]): Formation {
  const of = new Map(measured.filter((m) => m.team === 'offence').map((m) => [m.id, m]));
  return {
    ...formation,
    men: formation.men.map((man) => {
      const seen = of.get(man.id);
      return seen && (man.kind === 'line' || man.kind === 'tight') ? { ...man, x: man.id === 'C' ? 0 : seen.x } : man;
    }),
  };
}

/**
 * The front that measured defenders make. How a man stands and what he plays is taken from the front that was logged, where he is in it.
 * Techniques are read against the men of the line as they were measured, and written against the formation as it was called.
 */
export function frontAsMeasured(
  measured: readonly MeasuredMan[],
  formation: Formation,
  logged: Front,
  settings: Settings = SHIPPED_SETTINGS,
): MeasuredFront {
  const seen = formationAsMeasured(formation, measured);
  const defence = measured.filter((m) => m.team === 'defence').sort((a, b) => a.x - b.x || a.y - b.y);
  const men = defence.map((m) => ({ man: m, defender: defenderOf(m, logged) }));
  const named = men.map(({ man, defender }) => ({
    ...techniqueOfMeasured(man, defender, seen, settings),
    id: man.id,
  }));
  const clauses = men.map(({ man, defender }, i) => clauseOf(man, defender, named[i]!, formation));
  const text = [...clauses, ...logged.movements.filter((m) => movesOnly(m, measured)).map(sayMovement)].join('; ');
  const front = readFront(text, formation, 'measured', 'Off the film');
  return {
    front: front.ok ? front.value : { id: 'measured', name: 'Off the film', defenders: [], movements: [] },
    text,
    men: named,
    sure: Math.min(1, ...named.map((n) => n.sure)),
  };
}

/** Whether everybody a movement names was measured. */
function movesOnly(movement: Front['movements'][number], measured: readonly MeasuredMan[]): boolean {
  const named = [
    'who' in movement ? movement.who : null,
    'first' in movement ? movement.first : null,
    'second' in movement ? movement.second : null,
  ].filter((id) => id !== null);
  return named.every((id) => measured.some((m) => m.team === 'defence' && m.id === id));
}

/** A measured man as a defender, at the place where he was measured. */
function defenderOf(man: MeasuredMan, logged: Front): Defender {
  const before = logged.defenders.find((d) => d.id === man.id);
  const y = Math.max(0.5, man.y);
  const off = y > ON_LINE;
  return {
    id: man.id,
    x: man.x,
    y,
    stance: off ? 'up' : before && levelOf(before) === 1 ? before.stance : before ? 'up' : 'down',
    position: before?.position ?? (off ? 'lb' : 'dl'),
    mark: before?.mark ?? null,
  };
}

/** The clause of a defender: by his technique where that is where he stands, else in feet. */
function clauseOf(man: MeasuredMan, defender: Defender, named: MeasuredTechnique, formation: Formation): string {
  const depth = levelOf(defender) === 1 ? LINE_DEPTH : Math.round(defender.y / DEPTH_GRAIN) * DEPTH_GRAIN;
  const word = named.technique.label.split(' @')[0]!.replace(/^(deep|outside).*/, '');
  if (word) {
    const up = defender.stance === 'up' && depth <= ON_LINE ? ' up' : '';
    const said = readFront(`${man.id} ${word} @${depth / YARD}${up}`, formation);
    const there = said.ok ? said.value.defenders[0] : undefined;
    if (there && Math.abs(there.x - defender.x) < SAYS_THE_WORD)
      return sayDefender({ ...defender, x: there.x, y: depth }, formation);
  }
  const grain = (feet: number): number => Math.round(feet * 2) / 2 + 0;
  return sayDefender({ ...defender, x: grain(defender.x), y: depth }, formation);
}

/** Whether two fronts have the same men at the same places, standing alike; what they are called and how they move is left aside. */
export function sameAlignment(a: Front, b: Front): boolean {
  const said = (f: Front): string =>
    f.defenders
      .map((d) => `${d.id} ${d.x.toFixed(2)} ${d.y.toFixed(2)} ${d.stance}`)
      .sort()
      .join();
  return said(a) === said(b);
}
