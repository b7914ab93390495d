import fc from 'fast-check';
import { placesOf, techniquePlace } from '../identify/techniques';
import { readFormation } from '../language/lineups/read-formation';
import type { Formation } from '../model/formation';
import type { Defender, Front } from '../model/front';
import type { Side } from '../model/side';

/** Formations the laws are tried on, tight and wide splits among them. */
export const FORMATION_TEXTS = [
  'LT LG C RG RT',
  'LT LG C RG RT Y right',
  'X tight left LT LG C RG RT Y right',
  'LT LG C RG RT H right',
  'LT LG C RG RT Y right Z wing right',
  'LT LG C RG RT Y left F B QB under',
  'LT LG C RG RT split 36in',
  'LT LG C RG RT split 6in',
  'LT LG C RG RT over T left',
];

export function formationOf(text: string): Formation {
  const read = readFormation(text);
  if (!read.ok) throw new Error(`${text}: ${JSON.stringify(read.diagnostics)}`);
  return read.value;
}

type Interior = '0' | '1' | '2i' | '2' | '3';
const edge = ['4i', '4', '5', '6', '9', 'wide'] as const;

/** A front as coaches see them: an inside, two edges, linebackers at ordinary depths; up to half a foot off their marks. */
export const aFront = (formation: Formation): fc.Arbitrary<Front> =>
  fc
    .record({
      inside: fc.subarray(
        [
          ['left', '3'],
          ['left', '2'],
          ['left', '1'],
          ['left', '0'],
          ['right', '2i'],
          ['right', '3'],
        ] as [Side, Interior][],
        { minLength: 1, maxLength: 3 },
      ),
      left: fc.constantFrom(...edge),
      right: fc.constantFrom(...edge),
      walked: fc.boolean(),
      backers: fc.uniqueArray(fc.integer({ min: -9, max: 9 }), {
        minLength: 1,
        maxLength: 4,
        selector: (x) => Math.round(x / 2),
      }),
      depth: fc.integer({ min: 8, max: 16 }),
      safety: fc.integer({ min: 11, max: 16 }),
      jitter: fc.array(fc.integer({ min: -5, max: 5 }), { minLength: 12, maxLength: 12 }),
    })
    .map(({ inside, left, right, walked, backers, depth, safety, jitter }) => {
      const places = { left: placesOf(formation, 'left'), right: placesOf(formation, 'right') };
      const at = (word: string, side: Side): number => techniquePlace(word, places[side])! * (side === 'left' ? -1 : 1);
      const line = [...inside.map(([side, word]) => at(word, side)), at(left, 'left'), at(right, 'right')];
      const defenders: Defender[] = [];
      const add = (
        id: string,
        x: number,
        y: number,
        position: Defender['position'],
        stance: Defender['stance'],
      ): void => {
        const place = x + (jitter[defenders.length] ?? 0) / 10;
        if (!defenders.some((d) => Math.hypot(d.x - place, d.y - y) < 1.2))
          defenders.push({ id, x: place, y, position, stance, mark: null });
      };
      line.forEach((x, i) => add(`D${i}`, x, 2, 'dl', 'down'));
      if (walked) add('S', at('wide', 'right'), 2.5, 'lb', 'up');
      backers.forEach((x, i) => add(`B${i}`, x, depth, 'lb', 'up'));
      add('FS', -safety, 20, 'db', 'up');
      return { id: 'random', name: 'Random', defenders, movements: [] };
    });

/** A formation with a front against it. */
export const aLineup = fc.constantFrom(...FORMATION_TEXTS).chain((text) => {
  const formation = formationOf(text);
  return aFront(formation).map((front) => ({ text, formation, front }));
});

export const mirrorFront = (front: Front): Front => ({
  ...front,
  defenders: front.defenders.map((d) => ({ ...d, x: d.x === 0 ? 0 : -d.x })),
});

const mirrorSeat = (id: string): string => (/^[LR][TG]$/.test(id) ? (id[0] === 'L' ? 'R' : 'L') + id[1] : id);
export const mirrorFormation = (formation: Formation): Formation => ({
  ...formation,
  men: formation.men.map((m) => ({ ...m, id: mirrorSeat(m.id), x: m.x === 0 ? 0 : -m.x })),
});
export { mirrorSeat };
