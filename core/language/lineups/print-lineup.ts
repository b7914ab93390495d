import { trim, YARD } from '../../geometry/units';
import { techniqueOf } from '../../identify/techniques';
import type { Formation } from '../../model/formation';
import type { Defender, Front } from '../../model/front';
import { SHIPPED_SETTINGS } from '../../model/settings';
import { readFront } from './read-front';
import { sayMovement } from './read-movement';

/** A defender as a clause of a front: his technique when that leads back to the same place, else feet. */
export function sayDefender(defender: Defender, formation: Formation): string {
  const up = defender.stance === 'up' && defender.y <= 4.5 ? 'up' : '';
  const place = `${defender.id} (${trim(defender.x, 2)}, ${trim(defender.y, 2)})`;
  const plain = readFront(`${place} ${up}`, formation);
  const role = plain.ok && plain.value.defenders[0]!.position === defender.position ? '' : defender.position;
  const marks = [up, role, defender.mark ?? ''].filter(Boolean);
  const label = techniqueOf(defender, formation, SHIPPED_SETTINGS).label;
  const depth = label.includes('@') || defender.y === 2 ? '' : ` @${trim(defender.y / YARD, 2)}`;
  const byName = [`${defender.id} ${label}${depth}`, ...marks].join(' ');
  const back = readFront(byName, formation);
  const same = back.ok && back.value.defenders[0];
  if (
    same &&
    Math.hypot(same.x - defender.x, same.y - defender.y) < 1e-6 &&
    same.position === defender.position &&
    same.stance === defender.stance
  )
    return byName;
  return [place, ...marks].join(' ');
}

/** A front in inline notation; reads back to the same places. */
export const sayFront = (front: Front, formation: Formation, separator = '; '): string =>
  [...front.defenders.map((d) => sayDefender(d, formation)), ...front.movements.map(sayMovement)].join(separator);

/** Turns an inline formation or front around: left for right, L seats for R seats. Line order is turned too. */
export function mirrorText(text: string): string {
  const seat = (word: string): string =>
    word
      .replace(/^L(?=[TG]$)/, '\u0000')
      .replace(/^R(?=[TG]$)/, 'L')
      .replace('\u0000', 'R');
  return text
    .split(/([;\n])/)
    .map((clause) => {
      const line = /\bLT\b.*\bRT\b|\bRT\b.*\bLT\b/.test(clause);
      const words = clause
        .split(/(\s+)/)
        .map((word) => {
          if (word === 'left') return 'right';
          if (word === 'right') return 'left';
          return seat(word);
        })
        .join('')
        .replace(
          /\(\s*(-?)(\d+(?:\.\d+)?)\s*,/g,
          (_, sign: string, x: string) => `(${sign || Number(x) === 0 ? '' : '-'}${x},`,
        );
      if (!line) return words;
      const five = words.match(/\b(?:LT|LG|C|RG|RT)\b/g)!;
      let i = five.length;
      return words.replace(/\b(?:LT|LG|C|RG|RT)\b/g, () => five[--i]!);
    })
    .join('');
}
