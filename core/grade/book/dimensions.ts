import * as z from 'zod';

/** Everything grades can be counted by and filtered by, once: its name, and whether one grade can stand under several values of it. */
export const DIMENSIONS = {
  man: { name: 'man', plural: 'Men' },
  place: { name: 'place', plural: 'Places' },
  unit: { name: 'unit', plural: 'Units' },
  pair: { name: 'pair', plural: 'Pairs' },
  play: { name: 'play', plural: 'Plays' },
  block: { name: 'block', plural: 'Blocks' },
  help: { name: 'alone or helped', plural: 'Alone or helped' },
  phase: { name: 'part of the block', plural: 'Parts of the block' },
  fault: { name: 'fault', plural: 'Faults' },
  fact: { name: 'fact', plural: 'Facts' },
  front: { name: 'front', plural: 'Fronts' },
  formation: { name: 'formation', plural: 'Formations' },
  side: { name: 'side', plural: 'Sides' },
  down: { name: 'down', plural: 'Downs' },
  distance: { name: 'distance', plural: 'Distances' },
  quarter: { name: 'quarter', plural: 'Quarters' },
  zone: { name: 'part of the field', plural: 'Parts of the field' },
  gained: { name: 'yards', plural: 'Yards' },
  opponent: { name: 'opponent', plural: 'Opponents' },
  game: { name: 'game', plural: 'Games' },
  season: { name: 'season', plural: 'Seasons' },
  rubric: { name: 'rubric', plural: 'Rubrics' },
} as const satisfies Record<string, { name: string; plural: string }>;
export type Dimension = keyof typeof DIMENSIONS;
export const DIMENSION_IDS = Object.keys(DIMENSIONS) as [Dimension, ...Dimension[]];
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
