import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFront } from '../language/lineups/read-front';
import { readFormation } from '../language/lineups/read-formation';
import { libraryIds, schemeFrom } from '../library/library';
import { shippedScheme } from '../calls/resolve-call';
import type { Front } from '../model/front';
import type { Movement } from '../model/movement';
import { otherSide, SIDES } from '../model/side';
import { prepareCall } from '../resolve/prepare/prepare-call';
import { resolveStill } from '../resolve/resolve';
import { aLineup, formationOf, mirrorFormation, mirrorFront, mirrorSeat } from '../testing/fronts';
import { moveFront } from './move-front';
import { resolve, workMoved, workPlay } from './play';
import { need } from '../testing/need';

const side = fc.constantFrom(...SIDES);
const aMove = ({ defenders }: Front): fc.Arbitrary<Movement> => {
  const who = fc.constantFrom(...defenders.map((d) => d.id));
  return fc.oneof(
    fc.record({ kind: fc.constant('slant' as const), who: fc.option(who), side }),
    fc.constant({ kind: 'pinch' as const }),
    fc.record({ kind: fc.constant('loop' as const), who, side }),
    fc.record({ kind: fc.constant('scrape' as const), who, side }),
    fc.record({ kind: fc.constant('edge' as const), who, side }),
    fc.record({ kind: fc.constant('drop' as const), who }),
    fc.record({ kind: fc.constant('down' as const), who, side }),
    fc.record({ kind: fc.constant('blitz' as const), who, gap: fc.constantFrom('A', 'B', 'C', 'D'), side }),
    fc.record({ kind: fc.constant('twist' as const), first: who, second: who }),
    fc.record({ kind: fc.constant('exchange' as const), first: who, second: who }),
  );
};
const mirrorMove = (m: Movement): Movement => ('side' in m ? { ...m, side: otherSide(m.side) } : m);
const aMovingLineup = aLineup.chain((lineup) =>
  fc
    .array(aMove(lineup.front), { minLength: 1, maxLength: 2 })
    .map((movements) => ({ ...lineup, front: { ...lineup.front, movements } })),
);
const aScheme = fc.constantFrom(...libraryIds('schemes'));

describe('the laws of movement', () => {
  it('mirroring everything mirrors where everybody goes', () => {
    fc.assert(
      fc.property(aMovingLineup, ({ formation, front }) => {
        const mirrored = moveFront(
          { ...mirrorFront(front), movements: front.movements.map(mirrorMove) },
          mirrorFormation(formation),
        ).front;
        const turned = mirrorFront(moveFront(front, formation).front);
        for (const [i, d] of mirrored.defenders.entries())
          expect([d.id, d.x + 0, d.y]).toEqual([
            turned.defenders[i]!.id,
            expect.closeTo(turned.defenders[i]!.x, 9),
            turned.defenders[i]!.y,
          ]);
      }),
    );
  });

  it('mirroring everything mirrors who blocks whom, and the same call gives the same answer', () => {
    fc.assert(
      fc.property(aMovingLineup, aScheme, side, ({ formation, front }, id, to) => {
        const scheme = need(shippedScheme(id));
        const one = resolve(scheme, formation, front, { side: to });
        expect(resolve(scheme, formation, front, { side: to })).toEqual(one);
        const other = resolve(
          scheme,
          mirrorFormation(formation),
          { ...mirrorFront(front), movements: front.movements.map(mirrorMove) },
          { side: otherSide(to) },
        );
        const who = (r: typeof one, seat: (id: string) => string): Record<string, string> =>
          Object.fromEntries(r.assignments.map((a) => [seat(a.blocker), `${a.block} ${a.target} ${a.next}`]));
        expect(who(other, (id) => id)).toEqual(who(one, mirrorSeat));
        expect(other.verdict).toBe(one.verdict);
      }),
      { numRuns: 300 },
    );
  });

  it('nobody starts or stops pulling, and what was read stays read or is blocked', () => {
    fc.assert(
      fc.property(aMovingLineup, aScheme, ({ formation, front }, id) => {
        const scheme = need(shippedScheme(id));
        const { before, after } = workMoved(prepareCall(scheme, formation, { side: 'right' }), front);
        const pullers = (o: typeof before): number[] => o.outcome.men.filter((m) => m.pull).map((m) => m.man);
        expect(pullers(before).filter((m) => !pullers(after).includes(m))).toEqual([]);
        expect(pullers(after).filter((m) => !pullers(before).includes(m))).toEqual([]);
        const status = (o: typeof before, id: string): string =>
          o.outcome.defenders[o.outcome.settled.scene.defenders.findIndex((d) => d.id === id)]!.status;
        for (const d of front.defenders)
          if (status(before, d.id) === 'read') expect(status(after, d.id)).not.toBe('free');
      }),
      { numRuns: 300 },
    );
  });

  it('a front that stands still is the front before the snap', () => {
    fc.assert(
      fc.property(aLineup, aScheme, ({ formation, front }, id) => {
        const scheme = need(shippedScheme(id));
        expect(moveFront(front, formation).front.defenders).toEqual(front.defenders);
        expect(resolve(scheme, formation, front, { side: 'left' })).toEqual(
          resolveStill(scheme, formation, front, { side: 'left' }),
        );
        const prepared = prepareCall(scheme, formation, { side: 'left' });
        expect(workPlay(prepared, front).judgement.verdict).toBe(
          resolveStill(scheme, formation, front, { side: 'left' }).verdict,
        );
      }),
      { numRuns: 100 },
    );
  });
});

const line = formationOf('LT LG C RG RT');
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left @4.5; M 10 right @4.5';
const goes = (move: string, id: string, front = OVER): [number, number] => {
  const d = moveFront(need(readFront(`${front}; ${move}`, line)), line).front.defenders.find((x) => x.id === id)!;
  return [d.x, d.y];
};

describe('where movements take a front', () => {
  it.each([
    ['slant right', 'LE', -6],
    ['slant right', 'N', 2],
    ['slant right', 'T', 10],
    ['slant right', 'RE', 14],
    ['slant left', 'T', 2],
    ['T slant left', 'RE', 9],
    ['pinch', 'LE', -6],
    ['pinch', 'N', -1],
    ['pinch', 'T', 2],
    ['pinch', 'RE', 6],
    ['N loop right', 'N', 6],
    ['twist T RE', 'T', 10],
    ['twist T RE', 'RE', 6],
    ['twist RE T', 'RE', 6],
    ['M blitz A left', 'M', -2],
    ['M blitz C right', 'M', 10],
    ['W edge left', 'W', -11],
    ['M scrape right', 'M', 10],
    ['exchange RE M', 'RE', 6],
    ['exchange RE M', 'M', 10],
    ['RE drop', 'RE', 9],
  ] as const)('%s: %s ends at %d', (move, id, x) => expect(goes(move, id)[0]).toBe(x));

  it('drops a walked-up man to a linebacker’s depth, and his blocker goes on', () => {
    expect(goes('S drop', 'S', `${OVER}; S A right up lb`)).toEqual([2, 13.5]);
    const walked = need(
      readFront('LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M A right up lb; M drop', line),
    );
    const r = resolve(need(shippedScheme('inside-zone-z1')), line, walked, { side: 'right' });
    expect(r.movement!.changed).toContain('C');
    expect(r.assignments.find((a) => a.blocker === 'C')).toMatchObject({ target: 'N', next: 'M' });
  });

  it('leaves linebackers and walked-up men out of a slant of the line', () => {
    expect(goes('slant right', 'M')).toEqual([2, 13.5]);
    expect(goes('slant right', 'S', `${OVER}; S 9 right up lb`)).toEqual(
      goes('pinch', 'S', `${OVER}; S 9 right up lb`),
    );
  });
});

describe('follow-ups', () => {
  const rules = (sentence: string): string => `scheme x "X"
family zone
entry playside A gap
track zone
tempo inside zone
cover shoulders

playside guard
  always: double the man on me with the playside tackle, then climb${sentence}
  otherwise: base the man on me

playside tackle
  when the playside guard is covered: double him with the playside guard, then climb${sentence}
  otherwise: climb

centre, backside guard, backside tackle
  when I am covered: base the man on me${sentence}
  otherwise: climb${sentence}
`;
  const after = (sentence: string, move: string, man: string) => {
    const r = resolve(need(schemeFrom(rules(sentence))), line, need(readFront(`${OVER}; ${move}`, line)), {
      side: 'right',
    });
    return r.assignments.find((a) => a.blocker === man)!;
  };

  it.each([
    [
      '; if he crosses my face: stay with him',
      'T slant left',
      'RG',
      { target: 'T', block: 'double' },
      'follow-up: he stays with T',
    ],
    [
      '; if he crosses my face inside: pass him off and climb',
      'T slant left',
      'RG',
      { block: 'climb' },
      'follow-up: he passes his man off and climbs',
    ],
    [
      '; if he crosses my face backside: climb',
      'T slant left',
      'RG',
      { block: 'climb' },
      'follow-up: he passes his man off and climbs',
    ],
    [
      '; if the man in front of me is gone: run with his near hip',
      'T slant right',
      'RG',
      { target: 'T' },
      'follow-up: he stays with T',
    ],
    [
      '; if a linebacker runs through my playside gap: come off on him',
      'M blitz A right',
      'C',
      { target: 'M', block: 'base' },
      'follow-up: he takes M, who came',
    ],
    [
      '; if a man slants into my playside gap: block him',
      'T slant left',
      'C',
      { target: 'T', block: 'base' },
      'follow-up: he takes T, who came',
    ],
    [
      '; if nobody shows: go to the next level',
      'LE slant left',
      'LT',
      { block: 'climb' },
      'follow-up: he passes his man off and climbs',
    ],
  ] as const)('%s (%s)', (sentence, move, man, expected, says) => {
    const a = after(sentence, move, man);
    expect(a).toMatchObject(expected);
    expect(a.because.sentence).toBe(says);
  });

  it('the outside man of a pair that is split stays, the inside man climbs', () => {
    const text = '; if the man down the middle splits us: the outside man takes his hip';
    const front = need(
      readFront('LE 5 left; N 1 left; T 2 right; RE wide right; W 30 left @4.5; M 10 right @4.5; T loop right', line),
    );
    const moved = {
      ...front,
      movements: front.movements.map((m) => ({ ...m, kind: 'slant' as const, who: 'T', side: 'right' as const })),
    };
    const r = resolve(
      need(schemeFrom(rules(text).replaceAll('double the man on me', 'double the man on the playside guard'))),
      line,
      moved,
      { side: 'right' },
    );
    const of = (id: string) => r.assignments.find((a) => a.blocker === id)!;
    expect(of('RT')).toMatchObject({ target: 'T' });
    expect(of('RG').block).toBe('climb');
    expect(r.movement).toMatchObject({ said: ['T slant right'], moved: [{ id: 'T' }] });
    expect(r.movement!.changed).toContain('RG');
  });
});

describe('a puller nobody turns back', () => {
  const whom = (scheme: string, line: string, front: string, who: string): string | null => {
    const formation = need(readFormation(line));
    const side = front.startsWith('D0 (-4.6') ? 'left' : 'right';
    const r = resolve(need(shippedScheme(scheme)), formation, need(readFront(front, formation)), { side });
    return r.assignments.find((a) => a.blocker === who)!.target;
  };

  it('lets a man go who has looped away behind him and takes whoever is left to that side', () => {
    const front =
      'D0 (-4.6, 2); D2 (-13.5, 2); D3 (12.5, 2); S (10.7, 2.5) up lb; B0 (-9, 8); B1 (3.4, 8); FS (-16.1, 20) db';
    const line = 'LT LG C RG RT Y left F B QB under';
    expect(whom('short-trap', line, front, 'RG')).toBe('D0');
    expect(whom('short-trap', line, `${front}; twist D0 S`, 'RG')).toBe('B0');
  });

  it('keeps a man who has dropped off the edge rather than turn back to the far linebacker', () => {
    const front =
      'D0 (-3.5, 2); D1 2i right; D2 (-14.8, 2); D3 (12.4, 2); S (14.9, 2.5) up lb; B0 (-6, 10); FS (-15.5, 20) db';
    const line = 'X tight left LT LG C RG RT Y right';
    expect(whom('pin-pull-any', line, `${front}; S drop`, 'RT')).toBe('S');
  });
});

it('says where a movement is wrong', () => {
  const read = readFront(`${OVER}; X slant right`, need(readFormation('LT LG C RG RT')));
  expect(read.ok).toBe(false);
  expect(!read.ok && read.diagnostics[0]).toMatchObject({ code: 'front.movement-who', params: { id: 'X' } });
});
