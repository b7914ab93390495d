import { describe, expect, it } from 'vitest';
import { resolveCall } from '../../calls/resolve-call';
import { ALL_PLUS, type Grade } from '../../model/grade';
import type { Call } from '../../model/snap';
import { A_CALL } from '../../testing/a-call';
import { need } from '../../testing/need';
import { firstCause, sayCause } from './first-cause';
import { habitsOf, sayHabit, type Hit } from './habits';
import { whoseWas } from './whose';

const worked = (change: Partial<Call> = {}) => need(resolveCall({ ...A_CALL, ...change }));
const ODD_EDGE = 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right; W edge left';

describe('whose a man was who came free', () => {
  it('is by rule one man’s, with his sentence', () => {
    const resolution = worked();
    const kicked = resolution.assignments.find((a) => a.block === 'kick')!;
    const whose = whoseWas(resolution, kicked.target!);
    expect(whose).toMatchObject({ kind: 'one', men: [kicked.blocker] });
    expect(whose.says).toContain(`${kicked.target} was ${kicked.blocker}’s.`);
    expect(whose.says).toContain(`“${kicked.because.sentence}”`);
  });

  it('is two men’s together where they double to him', () => {
    const resolution = worked();
    const pair = resolution.assignments.filter((a) => a.block === 'double');
    const whose = whoseWas(resolution, pair[0]!.next!);
    expect(whose.kind).toBe('shared');
    expect([...whose.men].sort()).toEqual(pair.map((a) => a.blocker).sort());
    expect(whose.says).toContain('whoever is free when he shows has him');
  });

  it('is nobody’s, left on purpose, or not to be said', () => {
    const resolution = worked();
    const nobody = {
      ...resolution,
      assignments: resolution.assignments.filter((a) => a.target !== 'N' && a.next !== 'N'),
    };
    expect(whoseWas(nobody, 'N')).toMatchObject({ kind: 'nobody', men: [] });
    const left = {
      ...resolution,
      defenders: resolution.defenders.map((d) =>
        d.id === 'N' ? { ...d, status: 'read' as const, because: 'The quarterback reads him.' } : d,
      ),
    };
    expect(whoseWas(left, 'N')).toMatchObject({ kind: 'left', men: [] });
    expect(whoseWas(left, 'N').says).toContain('The quarterback reads him.');
    expect(whoseWas(resolution, 'Q').kind).toBe('unknown');
  });

  it('hangs on the call where one decides it, and on whether it was said', () => {
    const resolution = worked();
    const [first] = resolution.assignments.filter((a) => a.target === 'N');
    const called = {
      ...resolution,
      assignments: resolution.assignments.map((a) => (a === first ? { ...a, call: 'Ferry' } : a)),
      calls: [{ from: first!.blocker, to: 'LG', word: 'Ferry', meaning: 'down and over' }],
    };
    expect(whoseWas(called, 'N')).toMatchObject({ kind: 'one', call: 'Ferry' });
    expect(whoseWas(called, 'N').says).toContain('what was said at the line is not logged');
    expect(whoseWas(called, 'N', 'ferry, ferry')).toMatchObject({ kind: 'one' });
    expect(whoseWas(called, 'N', 'Nothing was said')).toMatchObject({ kind: 'unknown', men: [first!.blocker] });
  });

  it('says after which movement it is so', () => {
    const resolution = worked({ scheme: 'inside-zone-z1', formation: 'LT LG C RG RT; B left', front: ODD_EDGE });
    const { says } = whoseWas(resolution, 'W');
    expect(says).toMatch(/once .*edge/);
  });

  it('answers for every man of every front it is asked about', () => {
    for (const front of [A_CALL.front, ODD_EDGE]) {
      const resolution = worked({ front });
      for (const { id } of resolution.defenders) expect(whoseWas(resolution, id).says, id).toMatch(/\.$/);
    }
  });
});

const minus = (fault: string, more: Partial<Grade> = {}): Grade => ({
  ...ALL_PLUS,
  technique: 'minus',
  faults: [fault],
  ...more,
});

describe('the first cause', () => {
  const resolution = worked();
  const cause = (grades: Record<string, Grade>) =>
    firstCause(
      resolution,
      Object.entries(grades).map(([blocker, grade]) => ({ blocker, grade })),
    );

  it('is nothing where everybody did his job, or had no part', () => {
    expect(cause({ RT: ALL_PLUS, LT: { ...minus('lunge'), counts: false } })).toBeNull();
  });

  it('of one who failed is that one', () => {
    const found = cause({ RG: minus('no-movement'), LT: ALL_PLUS })!;
    expect([found.root, sayCause(found)]).toEqual(['RG', 'It began with RG, no movement.']);
  });

  it('is the block that meant most, and stands in the chain where it happened', () => {
    const found = cause({
      RT: minus('stopped-feet', { consequence: 'harmless' }),
      RG: minus('false-step', { consequence: 'fatal' }),
    })!;
    expect(found.root).toBe('RG');
    expect(found.chain.map((c) => c.man)).toEqual(['RG', 'RT']);
    expect(sayCause(found)).toBe('It began with RG, false step, fatal; beside it RT, stopped feet, harmless.');
  });

  it('is rather the block whose man had the quarterback down than one that only failed', () => {
    const found = cause({ RG: minus('lunge', { facts: ['sack'] }), RT: minus('lunge', { outcome: 'not' }) })!;
    expect([found.root, found.chain.find((c) => c.man === 'RG')!.says]).toEqual(['RG', 'lunge, sack']);
  });

  it('is nearer to where the ball was to go rather than far from it', () => {
    const found = cause({ LT: minus('lunge'), RG: minus('lunge') })!;
    expect(found.root).toBe('RG');
  });

  it('is not he who ran into a man that had failed already', () => {
    expect(
      cause({ LG: minus('collision', { outcome: 'not' }), RG: minus('no-movement', { outcome: 'not' }) })!.root,
    ).toBe('RG');
  });

  it('cannot be said of two that are alike', () => {
    const found = cause({ RG: minus('lunge'), RT: minus('lunge') })!;
    expect(found.root).toBeNull();
    expect(sayCause(found)).toBe('It cannot be said where it began; RT, lunge; RG, lunge.');
  });
});

describe('rules against habit', () => {
  const hit = (snapId: number, whom: string, more: Partial<Hit> = {}): Hit => ({
    ...{ snapId, scheme: 'power', side: 'right', front: 'Tite', blocker: 'LG', block: 'climb', asked: 'M', next: null },
    hit: whom,
    ...more,
  });

  it('is what a man does again and again instead of what his sheet says, with the snaps', () => {
    const [habit, ...more] = habitsOf([hit(1, 'LE'), hit(2, 'LE'), hit(3, 'M'), hit(4, 'LE')]);
    expect(habit).toMatchObject({ blocker: 'LG', asked: 'M', hit: 'LE', times: 3, of: 4, snaps: [1, 2, 4] });
    expect(more).toEqual([]);
    expect(sayHabit(habit!, 'power right', 'climb')).toBe(
      'In 3 of 4 snaps of power right against tite LG takes LE; the sheet says climb, M. Which is right?',
    );
  });

  it('is none where it happened twice, or as often as not, or on another play, or to his second man', () => {
    expect(habitsOf([hit(1, 'LE'), hit(2, 'LE')])).toEqual([]);
    expect(habitsOf([1, 2, 3].flatMap((n) => [hit(n, 'LE'), hit(n + 10, 'M'), hit(n + 20, 'M')]))).toEqual([]);
    expect(habitsOf([hit(1, 'LE'), hit(2, 'LE', { front: 'Odd' }), hit(3, 'LE', { scheme: 'duo' })])).toEqual([]);
    expect(habitsOf([1, 2, 3].map((n) => hit(n, 'W', { next: 'W' })))).toEqual([]);
    expect(habitsOf([1, 2, 3].map((n) => hit(n, 'W', { asked: null })))).toEqual([]);
  });
});
