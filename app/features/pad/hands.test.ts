import { createPinia, setActivePinia } from 'pinia';
import { ref } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { standardOf } from '#core/grade/standards';
import { FACT_IDS } from '#core/model/facts';
import { ALL_PLUS } from '#core/model/grade';
import type { Proposal } from '#core/model/proposal';
import type { Hands } from '~/features/film/hand';
import { useFilm } from '~/features/film/store';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { aMark, aSnap } from '~/testing/a-snap';
import { askedOfMan, factBy, FACT_KEYS, nextOf, PAD_HANDS } from './hands';
import { sayAside } from './words';

let noted: string[];
const hands = {
  columns: ref([]),
  note: () => void noted.push('note'),
  frame: () => void noted.push('frame'),
} as unknown as Hands;

beforeEach(() => {
  setActivePinia(createPinia());
  noted = [];
  vi.stubGlobal('$fetch', async () => Promise.reject(new Error('no server here')));
  useSession().member = aMember();
  const film = useFilm();
  film.snap = aSnap(21);
  film.selected = 'RG';
});
afterEach(() => vi.unstubAllGlobals());

const press = (key: string): unknown => PAD_HANDS.find((h) => h.key === key)!.does(hands, useFilm());
const mark = (man = 'RG') => useFilm().marks[man]!;

describe('the keys of the pad', () => {
  it('do nothing while nobody is in hand', () => {
    useFilm().selected = null;
    for (const { key } of PAD_HANDS) expect(press(key), key).toBe(false);
    expect(useFilm().marks).toEqual({});
  });

  it('give the marks they say', () => {
    press('x');
    expect(mark()).toMatchObject({ assignment: 'right', technique: 'minus' });
    press('w');
    expect(mark()).toMatchObject({ assignment: 'wrong', technique: 'minus' });
    press('e');
    expect(mark().assignment).toBe('not his fault');
    press('q');
    expect([mark().assignment, mark().technique]).toEqual(['cannot tell', 'minus']);
    press('q');
    expect([mark().assignment, mark().technique]).toEqual(['cannot tell', 'cannot tell']);
    press('p');
    expect(mark()).toEqual(ALL_PLUS);
    press('0');
    expect(mark().counts).toBe(false);
    press('Backspace');
    expect(useFilm().marks.RG).toBeUndefined();
  });

  it('tag the faults of his own block, several of them, and take them away again', () => {
    const { block } = askedOfMan(useFilm(), 'RG')!;
    const [first, second] = standardOf(block)!.faults;
    press('a');
    press('s');
    expect(mark()).toMatchObject({ technique: 'minus', faults: [first, second] });
    press('a');
    expect(mark().faults).toEqual([second]);
  });

  it('tag what the program has added for the block first', () => {
    const { block } = askedOfMan(useFilm(), 'RG')!;
    usePlaybook().program = { faults: [{ id: 'looked-up', name: 'looked up', part: 'pads', blocks: [block] }] };
    press('a');
    press('s');
    expect(mark().faults).toEqual(['looked-up', standardOf(block)!.faults[0]]);
  });

  it('go through the parts of the block, its outcome and what it meant, and back to nothing', () => {
    for (const now of ['done', 'not', 'cannot tell', undefined]) {
      press('A');
      expect(mark().phases.start).toBe(now);
    }
    for (const now of ['success', 'not', 'cannot tell', null]) {
      press('O');
      expect(mark().outcome).toBe(now);
    }
    for (const now of ['harmless', 'costly', 'fatal', null]) {
      press(',');
      expect(mark().consequence).toBe(now);
    }
    useFilm().selected = 'LT';
    expect(press('G')).toBe(false);
  });

  it('say first of what it meant what the film makes of it', () => {
    const cost = { consequence: 'fatal', why: '' } as const;
    const seen = { blocker: 'RG', had: [], assignment: null, sure: 0, why: '', outcome: null, cost, faults: [] };
    useFilm().proposals = { RG: seen };
    for (const now of ['fatal', 'harmless', 'costly', null]) {
      press(',');
      expect(mark().consequence).toBe(now);
    }
  });

  it('mark a double once for both its men, and nobody who is alone', () => {
    press('P');
    press('H');
    press('H');
    press('E');
    const pair = { movement: 'done', hips: 'not', left: 'RG', when: 'in time' };
    expect([mark('RG').pair, mark('RT').pair]).toEqual([pair, pair]);
    useFilm().selected = 'RT';
    press('E');
    expect([mark('RG').pair!.left, mark('RT').pair!.when]).toEqual(['RT', 'in time']);
    useFilm().selected = 'LT';
    expect([press('P'), press('H'), press('E')]).toEqual([false, false, false]);
    expect(useFilm().marks.LT).toBeUndefined();
  });

  it('write down a fact by its letter, every one of them', () => {
    expect(new Set(Object.values(FACT_KEYS)).size).toBe(FACT_IDS.length);
    for (const fact of FACT_IDS) factBy(useFilm(), FACT_KEYS[fact]);
    expect(mark().facts).toEqual([...FACT_IDS]);
    factBy(useFilm(), 'k');
    expect(mark().facts).not.toContain('knockdown');
    expect(factBy(useFilm(), 'z')).toBe(false);
    useFilm().selected = null;
    expect(factBy(useFilm(), 'k')).toBe(false);
  });

  it('have points and finish only where the rubric has them', () => {
    expect([press('+'), press('-'), press('X')]).toEqual([false, false, false]);
    useFilm().snap = aSnap(21, { rubric: 'points@1' });
    press('+');
    expect(mark().points).toBe(4);
    press('+');
    expect(mark().points).toBe(4);
    for (let i = 0; i < 6; i++) press('-');
    expect(mark().points).toBe(0);
    useFilm().selected = 'RT';
    useFilm().snap = aSnap(21, { rubric: 'with-finish@1' });
    press('X');
    expect(mark('RT')).toMatchObject({ finish: 'minus', technique: 'plus' });
  });

  it('keep the rubric a mark was given with, whatever the season’s is by now', async () => {
    vi.stubGlobal('$fetch', async (url: string) =>
      url.endsWith('/21')
        ? aSnap(21, { rubric: 'points@1', grades: [aMark('RG', { ...ALL_PLUS, rubric: 'assignment-technique@1' })] })
        : [],
    );
    await useFilm().open(21);
    useFilm().selected = 'RG';
    expect(press('+')).toBe(false);
    press('x');
    expect(mark()).toMatchObject({ rubric: 'assignment-technique@1', technique: 'minus', points: null });
  });

  it('hand a note and a frame on', () => {
    press('n');
    press('M');
    expect(noted).toEqual(['note', 'frame']);
  });
});

describe('what the film proposes', () => {
  const proposal = (blocker: string, part: Partial<Proposal> = {}): Proposal => ({
    ...{ blocker, had: [], assignment: 'right', sure: 0.9, why: 'He had him.', outcome: null, cost: null, faults: [] },
    ...part,
  });

  it('is taken for a man, or for everybody who has no mark yet, and never over one', () => {
    const film = useFilm();
    film.mark('LT', { ...ALL_PLUS, note: 'mine' });
    film.proposals = {
      RG: proposal('RG', { assignment: 'wrong', faults: [{ fault: 'wrong-man', sure: 0.8, why: '' }] }),
      LT: proposal('LT', { assignment: 'wrong' }),
      C: proposal('C', { assignment: null, sure: 0 }),
      RT: proposal('RT'),
    };
    press('T');
    expect(mark()).toMatchObject({ assignment: 'wrong', proposed: { assignment: 'wrong', sure: 0.9 } });
    film.confirmRest();
    expect(mark('RT')).toMatchObject({ assignment: 'right', proposed: { assignment: 'right' } });
    expect([mark('LT').note, film.marks.C]).toEqual(['mine', undefined]);
    film.selected = 'LG';
    expect(press('T')).toBe(false);
  });

  it('stands beside whatever is marked instead, so that its hits can be counted', () => {
    const film = useFilm();
    film.proposals = { RG: proposal('RG', { assignment: 'wrong' }) };
    press('p');
    expect(mark()).toMatchObject({ assignment: 'right', proposed: { assignment: 'wrong' } });
    film.mark('LT', ALL_PLUS);
    expect(mark('LT').proposed).toBeNull();
    press('0');
    expect(mark().proposed).toBeNull();
  });
});

describe('values that follow each other', () => {
  it('come round to nothing', () => {
    expect([nextOf([1, 2], null), nextOf([1, 2], 1), nextOf([1, 2], 2), nextOf([1, 2], undefined)]).toEqual([
      1,
      2,
      null,
      1,
    ]);
  });
});

describe('why a mark lies aside', () => {
  const other = { blocker: 'RG', grade: ALL_PLUS, revision: 2, by: 'Theo Brandt', at: '' };
  it.each([
    [{ kind: 'refused', says: 'no such man.', other: null, snapRevision: 1 }, 'It was not taken: no such man.'],
    [{ kind: 'call', says: '', other, snapRevision: 2 }, 'The call was changed under it'],
    [{ kind: 'marks', says: '', other, snapRevision: 1 }, 'Somebody else has marked him meanwhile'],
    [
      { kind: 'marks', says: '', other: { ...other, grade: null }, snapRevision: 1 },
      'Somebody else has taken his mark away',
    ],
  ] as const)('%#', (aside, says) => expect(sayAside(aside)).toContain(says));
});
