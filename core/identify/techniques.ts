import { atMost, moreThan } from '../geometry/compare';
import { HEAD_UP, SHADE, SHADE_PLACE } from '../geometry/tolerances';
import { yards } from '../geometry/units';
import { lineOf, type Blocker, type Formation } from '../model/formation';
import type { Defender } from '../model/front';
import type { Technique } from '../model/identification';
import type { Settings } from '../model/settings';
import { signOf, type Side } from '../model/side';
import { coveredIndex, isHeadUp, levelOf } from './line';

/** Digits of the places from the ball out: centre, guard, tackle, tight end. */
const PLACE_LABELS = [
  { inside: '1', headUp: '0', outside: '1' },
  { inside: '2i', headUp: '2', outside: '3' },
  { inside: '4i', headUp: '4', outside: '5' },
  { inside: '6i', headUp: '6', outside: '9' },
] as const;

const GAPS = ['A', 'B', 'C', 'D'] as const;

/** The men of one side from the centre out (centre first), with ghosts where a tight end would stand. */
export interface SidePlaces {
  /** Noses, centre first, growing away from the ball. Index is the digit's place. */
  readonly noses: readonly number[];
  /** How many of them are real men. */
  readonly real: number;
}

/** Nose to nose where nobody stands: a usual split. */
const SPACING = 4;

/** The places of one side; x is measured away from the ball, so both sides read alike. */
export function placesOf(formation: Formation, side: Side): SidePlaces {
  const sign = signOf(side);
  const line = lineOf(formation);
  const centre = line.find((man) => man.id === 'C')!;
  const noses = line
    .map((man) => man.x * sign)
    .filter((x) => moreThan(x, centre.x * sign))
    .sort((a, b) => a - b);
  const real = noses.length + 1;
  while (noses.length < 3) noses.push((noses[noses.length - 1] ?? centre.x * sign) + SPACING);
  return { noses: [centre.x * sign, ...noses], real };
}

/** Where a text's technique stands: feet from the ball, away from it. `null` when the word is no technique. */
export function techniquePlace(word: string, places: SidePlaces): number | null {
  const { noses, real } = places;
  const at = (place: number): number => noses[place]!;
  if (word === '0') return at(0);
  if (word === '1') return at(0) + SHADE_PLACE;
  for (let place = 1; place < PLACE_LABELS.length; place++) {
    const labels = PLACE_LABELS[place]!;
    if (word === labels.inside) return at(place) - SHADE_PLACE;
    if (word === labels.headUp) return at(place);
    if (word === labels.outside) return at(place) + SHADE_PLACE;
  }
  const gap = GAPS.indexOf(word as (typeof GAPS)[number]);
  if (gap >= 0 && gap < 3) return (at(gap) + at(gap + 1)) / 2;
  if (word === 'D') return at(3) + 2;
  if (word === 'wide') return at(real - 1) + 3;
  if (word === 'wide5') return at(2) + 2;
  if (word === 'wide9') return at(3) + 3;
  return null;
}

/** Words of techniques a team may use instead of the shipped ones, by school; they never change the geometry. */
const SCHOOL_WORDS: Record<Settings['techniques'], Readonly<Record<string, string>>> = {
  standard: {},
  'shade-nose': { '2i': '1', '1': 'shade' },
  'seven-inside': { '6i': '7' },
  'seven-gap': { C: '7' },
};

type Sayings = Pick<Settings, 'techniques' | 'aliases'>;

/** The shipped word as this team says it: its own alias, else its school's word. */
export const sayTechnique = (word: string, { techniques, aliases }: Sayings): string =>
  aliases[word] ?? SCHOOL_WORDS[techniques][word] ?? word;

/** The shipped word behind what a team says. */
export function readTechnique(word: string, sayings: Sayings): string {
  for (const spoken of [sayings.aliases, SCHOOL_WORDS[sayings.techniques]]) {
    const found = Object.entries(spoken).find(([, said]) => said === word);
    if (found) return found[0];
  }
  return word;
}

/** Every word a text may use for a technique. */
export const TECHNIQUE_WORDS: readonly string[] = [
  '0',
  '1',
  ...PLACE_LABELS.slice(1).flatMap((l) => [l.inside, l.headUp, l.outside]),
  ...GAPS,
  'wide',
  'wide5',
  'wide9',
  '00',
  '10',
  '20',
  '30',
  '40',
  '50',
  '60',
  '90',
];

/** Linebackers: the digit they stand over, as a first-level word. 10 is midway in the A gap. */
const LINEBACKER_PLACES: Readonly<Record<string, string>> = {
  '00': '0',
  '10': 'A',
  '20': '2',
  '30': '3',
  '40': '4',
  '50': '5',
  '60': '6',
  '90': '9',
};

/** The first-level word a linebacker's two digits stand over. */
export const linebackerPlace = (word: string): string | null => LINEBACKER_PLACES[word] ?? null;

/** The word for a first-level place: feet from the ball, and the noses of that side from the centre out (ghosts are added). */
export function techniqueWordAt(out: number, noses: readonly number[]): string {
  const all = [...noses];
  while (all.length < 4) all.push(all[all.length - 1]! + SPACING);
  return firstLevelWord(out, { noses: all, real: noses.length });
}

/** First-level word for a place, by geometry alone. */
function firstLevelWord(out: number, places: SidePlaces): string {
  const { noses, real } = places;
  const standing = noses.slice(0, Math.max(real, 4)).map((x, i) => ({ id: String(i), x, y: 0 }));
  const on = coveredIndex(out, standing);
  if (on >= PLACE_LABELS.length) return 'wide';
  if (on >= 0) {
    const labels = PLACE_LABELS[on]!;
    if (isHeadUp(out, noses[on]!)) return labels.headUp;
    return out < noses[on]! ? labels.inside : labels.outside;
  }
  for (let gap = 0; gap < 3; gap++) {
    if (out > noses[gap]! && out < noses[gap + 1]!) return gap >= real - 1 ? 'wide 5' : GAPS[gap]!;
  }
  return atMost(out, noses[3]! + 2) ? 'D' : 'wide 9';
}

/** Two digits for a linebacker: the nearest of the named places. */
function linebackerWord(out: number, places: SidePlaces): string {
  let best = '00';
  let bestDistance = Infinity;
  for (const [word, over] of Object.entries(LINEBACKER_PLACES)) {
    const d = Math.abs(techniquePlace(over, places)! - out);
    if (d < bestDistance - 1e-9) {
      best = word;
      bestDistance = d;
    }
  }
  return best;
}

/** What a coach calls the place where a defender stands, and on whom that puts him. */
export function techniqueOf(defender: Defender, formation: Formation, settings: Settings): Technique {
  const level = levelOf(defender);
  const line = lineOf(formation);
  const side: Side = defender.x < 0 ? 'left' : 'right';
  const places = placesOf(formation, side);
  const out = defender.x * signOf(side);
  const on = level === 1 ? coveredIndex(defender.x, line) : -1;
  const man = on >= 0 ? line[on]! : null;
  const relation = level === 1 ? relationTo(defender.x, man, line) : 'off';
  if (level === 1) {
    const shipped = firstLevelWord(out, places);
    const word = sayTechnique(shipped, settings);
    const ghost = (shipped.startsWith('6') || shipped === '9') && places.real < 4 && !man ? 'ghost ' : '';
    return {
      id: defender.id,
      level,
      on: man?.id ?? null,
      relation,
      label: shipped === '0' ? word : `${ghost}${word} ${side}`,
    };
  }
  const outside = moreThan(out, techniquePlace('9', places)! + SHADE);
  const word = level === 3 || outside ? (outside ? 'outside' : 'deep') : linebackerWord(out, places);
  const where = word === '00' ? '00' : `${word} ${side}`;
  return { id: defender.id, level, on: null, relation, label: `${where} @${yards(defender.y)}` };
}

function relationTo(x: number, man: Blocker | null, line: readonly Blocker[]): Technique['relation'] {
  if (!man)
    return moreThan(Math.abs(x), Math.abs((x < 0 ? line[0] : line[line.length - 1])!.x) + HEAD_UP) ? 'wide' : 'gap';
  if (isHeadUp(x, man.x)) return 'head-up';
  if (man.id === 'C') return x < man.x ? 'left' : 'right';
  return Math.abs(x) < Math.abs(man.x) ? 'inside' : 'outside';
}
