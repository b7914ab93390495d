import { moreThan } from '../../geometry/compare';
import type { Identification, SubName } from '../../model/identification';
import type { Settings } from '../../model/settings';
import { SIDES, signOf, type Side } from '../../model/side';
import { interiorDefenders, isStacked, isWalkedUp, type Picture } from '../before-the-snap';
import type { Found } from '../found';
import { readTechnique, techniqueOf } from '../techniques';

const NAMES = ['open', 'odd', 'even', 'bear'] as const;

/** The family by the count of first-level defenders from guard to guard, with every sub-name that fits. */
export function findFamily(
  picture: Picture,
  strength: Side,
  boxLinebackers: readonly string[],
  settings: Settings,
): Found<Identification['family']> {
  const inside = interiorDefenders(picture);
  const name = NAMES[inside.length] ?? 'goal line';
  const subNames =
    name === 'even'
      ? evenNames(picture, strength, settings)
      : name === 'odd'
        ? oddNames(picture, boxLinebackers, settings)
        : [];
  return {
    name,
    subNames,
    overruled: false,
    why: () =>
      `${inside.length} on the line from guard to guard (${inside.map((d) => d.id).join(', ') || 'nobody'}): ${[name, ...subNames].join(', ')}${sayWalkedUp(picture)}.`,
  };
}

/** Who has walked up, beside the family. */
function sayWalkedUp({ first }: Picture): string {
  const up = first.filter(isWalkedUp).map((d) => d.id);
  return up.length ? `, with ${up.join(' and ')} walked up` : '';
}

const plainWord = (picture: Picture, defender: Picture['first'][number], settings: Settings): string =>
  readTechnique(techniqueOf(defender, picture.formation, settings).label.split(' ')[0]!, settings);

function evenNames(picture: Picture, strength: Side, settings: Settings): SubName[] {
  const threes = SIDES.filter((side) =>
    picture.first.some((d) => d.x * signOf(side) > 0 && plainWord(picture, d, settings) === '3'),
  );
  const onCentre = picture.first.some((d) => techniqueOf(d, picture.formation, settings).on === 'C');
  if (threes.length === 2) return onCentre ? [] : ['double three'];
  if (threes.length === 1) return [threes[0] === strength ? 'over' : 'under'];
  return [];
}

function oddNames(picture: Picture, boxLinebackers: readonly string[], settings: Settings): SubName[] {
  const names: SubName[] = [];
  const tite = SIDES.every((side) => {
    const sign = signOf(side);
    const guard = picture.guard(side).x * sign;
    const outside = picture.first.filter((d) => moreThan(d.x * sign, guard)).sort((a, b) => (a.x - b.x) * sign);
    return outside.length > 0 && plainWord(picture, outside[0]!, settings) === '4i';
  });
  if (tite) names.push('tite');
  const linebackers = picture.second.filter((d) => boxLinebackers.includes(d.id));
  if (linebackers.length > 0 && linebackers.every((d) => isStacked(d, picture.first))) names.push('stack');
  if (picture.first.length >= 5) names.push('five-man');
  return names;
}
