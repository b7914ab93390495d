import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { shippedScheme } from '../calls/resolve-call';
import type { Resolution } from '../model/resolution';
import { need } from '../testing/need';
import { resolve } from '../movement/play';
import { resolveStill } from '../resolve/resolve';
import { frontFrom, libraryIds, libraryText } from './library';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
const ODD = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right';
function run(id: string, formation: string, front: string, ...tags: string[]): Resolution {
  const men = need(readFormation(formation));
  return resolveStill(need(shippedScheme(id)), men, need(readFront(front, men)), { side: 'right', tags });
}
const has = ({ assignments }: Resolution, id: string): string => {
  const a = assignments.find((x) => x.blocker === id);
  return a ? `${a.block} ${a.target ?? '-'}` : 'no job';
};
const status = ({ defenders }: Resolution, id: string) => defenders.find((d) => d.id === id)!.status;
const runs = libraryIds('schemes').filter((id) => need(shippedScheme(id)).head.throw === null);
const ofFamily = (...families: string[]): string[] =>
  runs.filter((id) => families.includes(need(shippedScheme(id)).head.family));

describe('tags of every gap play and trap', () => {
  const men = 'LT LG C RG RT Y right; X slot left; B left';
  const front = `${ODD}; S (14, 10); FS (0, 36); SS (8, 30) safety`;

  it.each(ofFamily('gap', 'trap'))('%s: nobody who runs with the ball wraps', (id) => {
    const wrapped = run(id, 'LT LG C RG RT; B left', front, 'wrap');
    expect(has(wrapped, 'B')).toBe('no job');
    expect(wrapped.notes.filter((n) => n.startsWith('Nobody is there for'))).toHaveLength(1);
  });

  it.each(ofFamily('gap', 'trap'))('%s: a slot wraps for the next free hat, else the safety', (id) => {
    const [without, wrapped] = [run(id, men, front), run(id, men, front, 'wrap')];
    expect(has(without, 'X')).toBe('no job');
    expect(has(wrapped, 'X')).toMatch(/^lead (S|W|M|FS|SS)$/);
    expect(wrapped.notes.filter((n) => n.startsWith('Nobody is there for'))).toEqual([]);
  });

  it.each(ofFamily('gap', 'trap'))('%s: when the quarterback keeps it the back goes ahead of him', (id) => {
    expect(has(run(id, men, front), 'B')).toBe('no job');
    expect(has(run(id, men, front, 'keep'), 'B')).toMatch(/^(lead|kick) /);
  });
});

describe('tags of every zone school', () => {
  const zones = ofFamily('inside zone', 'outside zone');

  it.each(zones)('%s: an H, a slot or a wing comes across for the end; with nobody there it is said', (id) => {
    for (const who of ['H right', 'H slot right', 'H wing right', 'H left'])
      expect(has(run(id, `LT LG C RG RT Y right; ${who}; B left`, OVER, 'split'), 'H')).toBe('kick LE');
    expect(run(id, 'LT LG C RG RT; B left', OVER, 'split').notes).toContainEqual(
      expect.stringMatching(/^Nobody is there for “the H, a wing or a slot comes across/),
    );
  });

  it.each(zones)('%s: the conflict man is whom the coach marks, else the overhang', (id) => {
    // Inside zone reads its end already; outside zone reads nobody else.
    const asked = id === 'outside-zone' ? 'read' : 'left';
    const front = (s: string, j: string) => `${OVER}; S (14, 10)${s}; J (-14, 10)${j}`;
    expect(status(run(id, 'LT LG C RG RT; B left', front('', ''), 'conflict'), 'S')).toBe(asked);
    const marked = run(id, 'LT LG C RG RT; B left', front('', ' conflict'), 'conflict');
    expect([status(marked, 'S'), status(marked, 'J')]).toEqual(['free', asked]);
  });
});

describe('one over, in every zone school', () => {
  const zones = ofFamily('inside zone', 'outside zone');
  const over = OVER.replace('LE 5 left; ', 'LE 5 left; S (10, 2) lb; ');
  const taken = (r: Resolution, id: string): string[] =>
    r.assignments.filter((a) => a.target === id || a.next === id).map((a) => a.blocker);

  it.each(zones)('%s: the tackle takes who walked down on the line, everybody moves one toward the edge', (id) => {
    const r = run(id, 'LT LG C RG RT; B left', over, 'one-over');
    expect(['RT', 'RG', 'C'].map((man) => r.assignments.find((a) => a.blocker === man)!.target)).toEqual([
      'S',
      'RE',
      'T',
    ]);
    expect(r.defenders.filter((d) => d.status === 'free').map((d) => d.id)).toEqual(['W']);
  });

  it.each(zones)('%s: who walked down without coming to the line is climbed to', (id) => {
    const front = `${ODD}; S (13, 10)`;
    expect(taken(run(id, 'LT LG C RG RT; B left', front, 'one-over'), 'S')).not.toEqual([]);
    expect(taken(run(id, 'LT LG C RG RT; B left', `${OVER}; S (13, 10)`, 'one-over'), 'S')).not.toEqual([]);
  });

  it.each(zones)('%s: with nobody walked down it changes nobody’s man', (id) => {
    const [without, tagged] = [[], ['one-over']].map((tags) => run(id, 'LT LG C RG RT; B left', OVER, ...tags));
    expect(tagged!.assignments.map((a) => a.target)).toEqual(without!.assignments.map((a) => a.target));
  });
});

describe('schools of the backside tackle, as tags of the zone schools', () => {
  const zones = ofFamily('inside zone').filter((id) => need(shippedScheme(id)).tags.some((t) => t.name === 'step-end'));
  const men = 'LT LG C RG RT; B left';
  const moved = (id: string, ...tags: string[]): Resolution => {
    const formation = need(readFormation(men));
    const front = need(readFront(`${OVER}; LE slant right`, formation));
    return resolve(need(shippedScheme(id)), formation, front, { side: 'right', tags });
  };

  it('all but the count have them', () => expect(zones).toHaveLength(7));

  it.each(zones)('%s: steps at the end and goes on; comes he inside, he stays with him', (id) => {
    const still = run(id, men, OVER, 'step-end');
    expect([has(still, 'LT'), still.assignments[0]!.next, status(still, 'LE')]).toEqual(['chip LE', 'W', 'read']);
    expect(has(moved(id, 'step-end'), 'LT')).toBe('base LE');
  });

  it.each(['inside-zone-z1', 'inside-zone-z2m', 'inside-zone-z3'])('%s: scoops with the guard first', (id) => {
    const front = OVER.replace('N 1 left', 'N 2i left');
    expect(has(run(id, men, front), 'LT')).toBe('climb W');
    const scooped = run(id, men, front, 'scoop').assignments[0]!;
    expect([scooped.block, scooped.target, scooped.next]).toEqual(['help', 'N', 'W']);
  });
});

describe('single tags', () => {
  it('a manned front: everybody his man, the guard to the edge man, the end inside his hip', () => {
    const r = run('power', 'LT LG C RG RT H right; B left', `${ODD}; S (14, 10)`, 'man-front');
    expect(['C', 'RT', 'RG', 'LG', 'H'].map((id) => has(r, id))).toEqual([
      'base N',
      'base RE',
      'skip-pull S',
      'pull-lead M',
      'lead W',
    ]);
  });

  it('a trap’s backside tackle touches his man and goes; that man is left', () => {
    const r = run('long-trap', 'LT LG C RG RT; B', OVER.replace('N 1 left; T 3 right', 'T 3 left; N 1 right'), 'chip');
    expect([has(r, 'LT'), r.assignments.find((a) => a.blocker === 'LT')!.next, status(r, 'LE')]).toEqual([
      'chip LE',
      'W',
      'left',
    ]);
    expect(has(run('long-trap', 'LT LG C RG RT; B', OVER), 'LT')).not.toContain('chip');
  });

  it('down: the wing turns the man on the edge out instead of going inside', () => {
    const formation = 'LT LG C RG RT Y right; Z wing right; B left';
    const front = 'LE 5 left; N 1 left; T 3 right; RE 6i right; S 9 right up lb; W 30 left; M 10 right';
    expect(has(run('down-gap', formation, front, 'turn-out'), 'Z')).toBe('fan S');
    expect(has(run('down-gap', formation, front), 'Z')).not.toBe('fan S');
  });

  it('down: centre and guard both go through, the tackle comes in behind them', () => {
    const formation = 'LT LG C RG RT Y right; Z wing right; B left';
    const front = 'LE 5 left; T 2 left; N 3 right; RE 6i right; W 30 left; M 10 right';
    const r = run('down-gap', formation, front, 'scoop');
    expect([has(r, 'LT'), has(r, 'LG').split(' ')[0], has(r, 'C').split(' ')[0]]).toEqual([
      'cutoff T',
      'climb',
      'climb',
    ]);
    expect(has(run('down-gap', formation, front), 'LG')).toBe('cutoff T');
  });

  it('pin and pull, end blocks down: gap, then down, then the second level', () => {
    const y = (front: string): string => has(run('pin-pull-gap', 'LT LG C RG RT Y right; B left', front), 'Y');
    expect(y('LE 5 left; N 0; RE 6i right; W 20 left; M 20 right')).toBe('down RE');
    expect(y('LE 5 left; N 0; RE 4 right; W 20 left; M 20 right')).toBe('down RE');
    expect(y('LE 5 left; N 1 left; T 3 right; RE 9 right; W 30 left; M 10 right; K 00')).toMatch(/^climb [MWK]$/);
  });
});

describe('every tag of every scheme', () => {
  const rich = [
    'LT LG C RG RT Y right; Z wing right; H left; X slot left; B left',
    'LT LG C RG RT; H right; X wide left; Z slot right; B left',
  ];
  const cases = libraryIds('schemes').flatMap((id) =>
    need(shippedScheme(id)).tags.map((tag) => [id, tag.name] as const),
  );

  it.each(cases)('%s, %s: does something to somebody on some front', (id, tag) => {
    const scheme = need(shippedScheme(id));
    const answer = (text: string, front: string, called: boolean): string => {
      const men = need(readFormation(text));
      const placed = frontFrom(libraryText('fronts', front)!, men);
      if (!placed.ok) return '';
      const { assignments, defenders } = resolveStill(scheme, men, placed.value, {
        side: 'right',
        tags: called ? [tag] : [],
        without: called ? [] : [tag],
      });
      return JSON.stringify([
        assignments.map((a) => [a.blocker, a.block, a.target, a.next]),
        defenders.map((d) => d.status),
      ]);
    };
    const changes = rich.some((text) =>
      libraryIds('fronts').some((f) => answer(text, f, true) !== answer(text, f, false)),
    );
    expect(changes).toBe(true);
  });
});
