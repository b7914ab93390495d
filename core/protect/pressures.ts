import { NOBODY, type Scene } from '../vocabulary/scene';

/** Fewest and most men a defence sends, as coaches plan for them. */
export const FEWEST_RUSHERS = 4;
export const MOST_RUSHERS = 7;

/** Who comes, as indices of a scene in lateral order, and which two of them twist: the first goes first, the second loops behind him. */
export interface Pressure {
  readonly rushers: readonly number[];
  readonly twist: readonly [first: number, second: number] | null;
}

/**
 * Every legal pressure of a front: each set of four to seven out of the men on the line, the linebackers of the box and at most two others
 * within ten yards of the ball; alone, and with each twist of two neighbours of the line, one at a time. A front that cannot send so many
 * sends all it has.
 */
export function* pressuresOf(scene: Scene, fewest = FEWEST_RUSHERS, most = MOST_RUSHERS): Generator<Pressure> {
  const able = [...scene.threats].sort((a, b) => a - b);
  const least = Math.min(fewest, able.length);
  for (let n = least; n <= Math.min(most, able.length); n++) {
    for (const rushers of subsets(able, n)) {
      yield { rushers, twist: null };
      for (const twist of twistsOf(scene, rushers)) yield { rushers, twist };
    }
  }
}

/** Neighbours on the line among the rushers, each of them first once. */
function* twistsOf(scene: Scene, rushers: readonly number[]): Generator<readonly [number, number]> {
  let last = NOBODY;
  for (const d of rushers) {
    if (scene.defenders[d]!.level > 1) continue;
    if (last !== NOBODY && scene.defenders[last]!.x < scene.defenders[d]!.x) {
      yield [last, d];
      yield [d, last];
    }
    last = d;
  }
}

/** Every choice of `n` out of a list, in its order. */
function* subsets(
  list: readonly number[],
  n: number,
  from = 0,
  chosen: readonly number[] = [],
): Generator<readonly number[]> {
  if (chosen.length === n) {
    yield chosen;
    return;
  }
  for (let i = from; i <= list.length - (n - chosen.length); i++) yield* subsets(list, n, i + 1, [...chosen, list[i]!]);
}
