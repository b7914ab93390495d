import * as z from 'zod';

/** Everything grades can be counted by and filtered by, once: its name, and whether it is a snap's, so that plays can be counted by it too, or a man's. */
export const DIMENSIONS = {
  man: { name: 'man', plural: 'Men', of: 'man' },
  place: { name: 'place', plural: 'Places', of: 'man' },
  unit: { name: 'unit', plural: 'Units', of: 'man' },
  pair: { name: 'pair', plural: 'Pairs', of: 'man' },
  play: { name: 'play', plural: 'Plays', of: 'snap' },
  block: { name: 'block', plural: 'Blocks', of: 'man' },
  foe: { name: 'their man', plural: 'Their men', of: 'man' },
  help: { name: 'alone or helped', plural: 'Alone or helped', of: 'man' },
  phase: { name: 'part of the block', plural: 'Parts of the block', of: 'man' },
  fault: { name: 'fault', plural: 'Faults', of: 'man' },
  fact: { name: 'fact', plural: 'Facts', of: 'man' },
  consequence: { name: 'what a miss meant', plural: 'What misses meant', of: 'man' },
  front: { name: 'front', plural: 'Fronts', of: 'snap' },
  formation: { name: 'formation', plural: 'Formations', of: 'snap' },
  side: { name: 'side', plural: 'Sides', of: 'snap' },
  down: { name: 'down', plural: 'Downs', of: 'snap' },
  distance: { name: 'distance', plural: 'Distances', of: 'snap' },
  quarter: { name: 'quarter', plural: 'Quarters', of: 'snap' },
  zone: { name: 'part of the field', plural: 'Parts of the field', of: 'snap' },
  gained: { name: 'yards', plural: 'Yards', of: 'snap' },
  yard: { name: 'yards, one by one', plural: 'Yards, one by one', of: 'snap' },
  opponent: { name: 'opponent', plural: 'Opponents', of: 'snap' },
  game: { name: 'game', plural: 'Games', of: 'snap' },
  season: { name: 'season', plural: 'Seasons', of: 'snap' },
  earned: { name: 'how much was earned', plural: 'How much was earned', of: 'man' },
  rubric: { name: 'rubric', plural: 'Rubrics', of: 'man' },
} as const satisfies Record<string, { name: string; plural: string; of: 'snap' | 'man' }>;
export type Dimension = keyof typeof DIMENSIONS;
export const DIMENSION_IDS = Object.keys(DIMENSIONS) as [Dimension, ...Dimension[]];
/** What plays can be counted and narrowed by. */
export type SnapDimension = {
  [D in Dimension]: (typeof DIMENSIONS)[D]['of'] extends 'snap' ? D : never;
}[Dimension];
export const isOfSnap = (by: Dimension): by is SnapDimension => DIMENSIONS[by].of === 'snap';
export const SNAP_DIMENSIONS = DIMENSION_IDS.filter(isOfSnap);
export const DimensionSchema = z.enum(DIMENSION_IDS);

/** Which grades are counted: of every dimension that is given, one of these values. */
export const BookFilterSchema = z.partialRecord(DimensionSchema, z.array(z.string().min(1).max(120)).min(1).max(20));
export type BookFilter = z.infer<typeof BookFilterSchema>;

/** Reads a filter from the words of an address; what is no dimension is left out. */
export function filterOfQuery(query: Readonly<Record<string, unknown>>): BookFilter {
  const filter: BookFilter = {};
  for (const key of DIMENSION_IDS) {
    const said = [query[key]].flat().filter((v): v is string => typeof v === 'string' && v !== '');
    if (said.length) filter[key] = said.slice(0, 20).map((v) => v.slice(0, 120));
  }
  return filter;
}
