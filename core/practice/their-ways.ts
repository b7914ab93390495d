import type { TheirWay } from '../model/drill';
import type { Movement } from '../model/movement';

const WAYS: Record<Movement['kind'], TheirWay | null> = {
  slant: 'slant',
  pinch: 'slant',
  loop: 'slant',
  twist: 'twist',
  blitz: 'blitz',
  scrape: null,
  edge: 'edge',
  down: 'edge',
  drop: null,
  exchange: 'twist',
};

/** What fronts do after the snap that has to be practised. */
export const theirWays = (movements: readonly Movement[]): Set<TheirWay> =>
  new Set(movements.flatMap((m) => WAYS[m.kind] ?? []));
