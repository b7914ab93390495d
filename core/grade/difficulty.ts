import { alongWay } from '../geometry/vec';
import { feet } from '../geometry/units';
import type { Assignment } from '../model/resolution';
import { TOO_FEW } from '../statistics/rate';
import { askedOf, helpOf } from './book/marked';

/** How blocks on one of their men have gone: how many were done as asked, of those that could be told. */
export interface FoeRecord {
  readonly good: number;
  readonly of: number;
}

/** How hard a block was: said beside its mark, and never in it. */
export interface Difficulty {
  /** Alone or with somebody, and whether he had to go somewhere. */
  readonly help: string;
  /** The way that was asked of him, feet. */
  readonly way: number;
  /** Their man, and how blocks on him have gone; `null` where there are none, or nobody in particular was his. */
  readonly foe: (FoeRecord & { readonly id: string }) | null;
}

/** Of what was asked, and of how their men have fared against us by their letters. */
export function difficultyOf(asked: Assignment, records: ReadonlyMap<string, FoeRecord>): Difficulty {
  const record = asked.target === null ? undefined : records.get(asked.target);
  return {
    help: helpOf(askedOf(asked)),
    way: alongWay(asked.path),
    foe: record && record.of > 0 ? { id: asked.target!, ...record } : null,
  };
}

/** A way shorter than this is a step and is not said, feet. */
const A_STEP = 3;

/** With whom and how far. */
const sayHow = ({ help, way }: Difficulty): string => (way < A_STEP ? help : `${help}, ${feet(Math.round(way))}`);

/** The same in words: "alone, on the move, 14 ft; T so far: 8 of 14 done as asked". */
export function sayDifficulty(hard: Difficulty): string {
  if (!hard.foe) return sayHow(hard);
  const { id, good, of } = hard.foe;
  const few = of < TOO_FEW ? ', too few to say much' : '';
  return `${sayHow(hard)}; ${id} so far: ${good} of ${of} done as asked${few}`;
}

/** As short as it stands under a man: "alone, on the move, 14 ft; 8 of 14 on T". */
export function sayDifficultyShort(hard: Difficulty): string {
  const { foe } = hard;
  return foe ? `${sayHow(hard)}; ${foe.good} of ${foe.of} on ${foe.id}` : sayHow(hard);
}
