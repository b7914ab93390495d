import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formationFrom, libraryIds, libraryText, schemeFrom, spaceFrom } from '../library/library';
import { readFront } from '../language/lineups/read-front';
import type { Front } from '../model/front';
import type { Movement } from '../model/movement';
import type { Side } from '../model/side';
import { prepareCall, type Prepared } from '../resolve/prepare/prepare-call';
import type { CompiledScheme } from '../resolve/prepare/compile';
import { choiceAt, openSpace } from '../stress/space';
import { aLineup, formationOf } from '../testing/fronts';
import { need } from '../testing/need';
import { movementMenu } from './menu';
import { resolve, workMoved } from './play';

const load = (id: string): CompiledScheme => need(schemeFrom(libraryText('schemes', id)!));
const runs = libraryIds('schemes').filter((id) => load(id).head.throw === null);
const moving = need(spaceFrom(libraryText('spaces', 'moving')!));

describe.each(runs)('%s, when the front moves', (id) => {
  const scheme = load(id);

  it('no puller has nobody while somebody on his side of the ball is free', () => {
    const formation = need(formationFrom(libraryText('formations', scheme.head.from ?? 'five-man')!));
    const space = need(openSpace(moving, formation));
    const prepared: Prepared = prepareCall(scheme, formation, { side: 'right' });
    let tried = 0;
    // Every seventh front of the space, so that all its choices come up.
    for (let i = 0; i < space.size; i += 7) {
      const front = space.frontAt(choiceAt(space.radix, i));
      if (!front || front.movements.length === 0) continue;
      tried++;
      const { outcome } = workMoved(prepared, front).after;
      const { scene } = outcome.settled;
      const end = scene.men[scene.lineCount - 1]!.x;
      const idle = outcome.men.filter((m) => m.pull && m.target < 0);
      const free = scene.defenders.filter(
        (d) => outcome.defenders[d.index]!.status === 'free' && d.level < 3 && d.x > 4 && d.x < end + 8,
      );
      if (idle.length > 0) expect(free.map((d) => d.id)).toEqual([]);
    }
    expect(tried).toBeGreaterThan(900);
  });

  it('no man up front comes free because a linebacker comes elsewhere', () => {
    const aBlitz = aLineup.chain(({ formation, front }) => {
      const moves = movementMenu(front, formation)
        .flatMap((g) => g.moves)
        .filter((m) => m.kind === 'blitz' || m.kind === 'edge' || m.kind === 'scrape');
      return fc
        .constantFrom<Movement | null>(...moves, null)
        .map((move) => ({ formation, front: { ...front, movements: move ? [move] : [] } satisfies Front }));
    });
    fc.assert(
      fc.property(aBlitz, fc.constantFrom<Side>('left', 'right'), ({ formation, front }, side) => {
        fc.pre(front.movements.length > 0);
        const { before, after } = workMoved(prepareCall(scheme, formation, { side }), front);
        const { scene } = before.outcome.settled;
        for (const m of before.outcome.men) {
          const his = scene.defenders[m.target];
          if (!his || his.level > 1 || m.partners.length > 0 || m.pull || m.man >= scene.lineCount) continue;
          const follows =
            m.sentence >= 0 && before.outcome.settled.sheets[m.man]![m.sentence]!.sentence.followUps.length;
          if (follows) continue;
          const there = after.outcome.settled.scene.defenders.find((d) => d.id === his.id)!;
          expect(after.outcome.defenders[there.index]!.status).not.toBe('free');
        }
      }),
      { numRuns: 30 },
    );
  });
});

/** Whom everybody has once the front has moved, by hand. */
describe('jobs', () => {
  const FIVE = 'LT LG C RG RT';
  const who = (id: string, front: string, formation = FIVE): Record<string, string | null> => {
    const line = formationOf(formation);
    const r = resolve(load(id), line, need(readFront(front, line)), { side: 'right' });
    return Object.fromEntries(r.assignments.map((a) => [a.blocker, a.target]));
  };
  const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';

  it('a kick takes the end who squeezes, inside-out', () => {
    expect(who('counter-gt', `${OVER}; RE slant left`).LG).toBe('RE');
  });

  it('with the end washed by somebody’s own rule it takes whoever has come to that edge, else the most playside linebacker', () => {
    const trap = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right';
    expect(who('long-trap', `${trap}; RE slant left`)).toMatchObject({ RT: 'RE', LG: 'M' });
    expect(who('long-trap', `${trap}; exchange RE M`).LG).toBe('M');
  });

  it('a puller meets whoever runs through in his path before the man he was sent to', () => {
    expect(who('power', `${OVER}; M blitz A right`, 'LT LG C RG RT H right; B left').LG).toBe('M');
    expect(who('long-trap', `${OVER}; M blitz A right`).LG).toBe('M');
  });

  it('two pullers never meet the same man, and the second keeps his own', () => {
    expect(who('counter-gt', `${OVER}; M blitz A right`)).toMatchObject({ LG: 'RE', LT: 'M' });
  });

  it('the read goes to the last contain man once somebody has the man who was read', () => {
    const line = formationOf(FIVE);
    const front = need(readFront('LE 5 left; N 0; RE 5 right; W 50 left; M 00; S 50 right; LE slant right', line));
    const r = resolve(load('inside-zone-z4'), line, front, { side: 'right' });
    expect(r.defenders.filter((d) => d.status === 'read').map((d) => d.id)).toEqual(['W']);
    expect(r.assignments.find((a) => a.blocker === 'LT')!.target).toBe('LE');
  });
});
