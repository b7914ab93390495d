import { levelOf } from '../../identify/line';
import { techniqueOf } from '../../identify/techniques';
import type { Formation } from '../../model/formation';
import type { Defender } from '../../model/front';
import type { Technique } from '../../model/identification';
import type { Settings } from '../../model/settings';
import type { MeasuredMan } from './places';

/** A technique read off the film, how sure it is (0 to 1), and what it is else, if anything. */
export interface MeasuredTechnique {
  readonly technique: Technique;
  readonly sure: number;
  readonly else: string | null;
}

/** How many places over the width of the error are asked, and how far out they go in standard deviations. */
const PLACES = 41;
const OUT = 3;

/** The technique of a measured defender: what most of the places he may stand at are called. */
export function techniqueOfMeasured(
  man: Pick<MeasuredMan, 'x' | 'y' | 'spread'>,
  defender: Defender,
  formation: Formation,
  settings: Settings,
): MeasuredTechnique {
  const error = Math.sqrt(man.spread.xx);
  const shares = new Map<string, { share: number; technique: Technique }>();
  let sum = 0;
  for (let i = 0; i < PLACES; i++) {
    const away = (i / (PLACES - 1)) * 2 * OUT - OUT;
    const weight = Math.exp(-(away * away) / 2);
    const technique = techniqueOf({ ...defender, x: man.x + away * error, y: man.y }, formation, settings);
    const key = technique.label.split(' @')[0]!;
    const known = shares.get(key);
    shares.set(key, { share: (known?.share ?? 0) + weight, technique: known?.technique ?? technique });
    sum += weight;
  }
  const [best, next] = [...shares.values()].sort((a, b) => b.share - a.share);
  return {
    technique:
      levelOf(man) === 1 ? best!.technique : techniqueOf({ ...defender, x: man.x, y: man.y }, formation, settings),
    sure: best!.share / sum,
    else: next && next.share / sum > 0.05 ? next.technique.label.split(' @')[0]! : null,
  };
}
