/** What teams write for positions, and the places of the notation a man of that position can play. */
const POSITIONS: Readonly<Record<string, readonly string[]>> = {
  ol: ['LT', 'LG', 'C', 'RG', 'RT'],
  t: ['LT', 'RT'],
  ot: ['LT', 'RT'],
  tackle: ['LT', 'RT'],
  g: ['LG', 'RG'],
  og: ['LG', 'RG'],
  guard: ['LG', 'RG'],
  oc: ['C'],
  centre: ['C'],
  center: ['C'],
  te: ['Y'],
  hb: ['H'],
  fb: ['F'],
  rb: ['B'],
  tb: ['B'],
  qb: ['QB'],
  wr: ['X', 'Z'],
};
const SEATS = new Set(['LT', 'LG', 'C', 'RG', 'RT', 'Y', 'H', 'F', 'B', 'QB', 'X', 'Z', 'U', 'W']);
/** What is written for men of the other side of the ball. */
const DEFENCE = new Set([
  'dl',
  'de',
  'dt',
  'nt',
  'nose',
  'lb',
  'ilb',
  'olb',
  'mlb',
  'db',
  'cb',
  's',
  'fs',
  'ss',
  'edge',
]);

/** What is read out of a position as it is written: "RG/C", "OL", "G/DT". */
export interface ReadPosition {
  /** His usual place, where the text names a single one first. */
  readonly seat: string;
  readonly seats: readonly string[];
  readonly defence: string;
  /** Words nobody knows. */
  readonly unknown: readonly string[];
}

export function readPosition(text: string): ReadPosition {
  const found: { seat: string; seats: string[]; defence: string; unknown: string[] } = {
    ...{ seat: '', seats: [], defence: '', unknown: [] },
  };
  for (const [i, word] of text
    .split(/[\s/,;+&]+/)
    .filter(Boolean)
    .entries()) {
    const places = SEATS.has(word.toUpperCase()) ? [word.toUpperCase()] : placesFor(word.toLowerCase());
    if (places) {
      if (i === 0 && places.length === 1) found.seat = places[0]!;
      found.seats.push(...places);
    } else if (DEFENCE.has(word.toLowerCase())) found.defence = word.toUpperCase();
    else found.unknown.push(word);
  }
  return { ...found, seats: [...new Set(found.seats)].filter((s) => s !== found.seat) };
}

const placesFor = (word: string): readonly string[] | null =>
  Object.hasOwn(POSITIONS, word) ? POSITIONS[word]! : null;

/** Is this a word for a position at all? */
export const isPosition = (text: string): boolean => {
  const { seat, seats, defence, unknown } = readPosition(text);
  return unknown.length === 0 && (seat !== '' || seats.length > 0 || defence !== '');
};
