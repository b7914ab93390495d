import { describe, expect, it } from 'vitest';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { libraryIds, libraryText } from '../library/library';
import { SHIPPED_SETTINGS } from '../model/settings';
import { resolve } from '../movement/play';
import { need } from '../testing/need';
import { adviceOf, adviseOn, type AdviceJob, type AdviceKind } from './advice-job';
import { answerAll, type AnswersJob } from './answers-job';
import { SHIPPED_PLAYBOOK } from './playbook';
import { shippedScheme } from './resolve-call';
import { openJob } from './stress-job';

const ANSWERS: AnswersJob = {
  own: [],
  settings: SHIPPED_SETTINGS,
  calls: [{ scheme: { id: 'power' }, formation: 'h-back', side: 'right', tags: [], without: [] }],
  fronts: libraryIds('fronts'),
  move: null,
};

describe('plays against fronts', () => {
  it('say of every front what resolving it says', () => {
    const found = [...answerAll(ANSWERS)];
    expect(found.map((a) => a.front)).toEqual(ANSWERS.fronts);
    const men = need(SHIPPED_PLAYBOOK.formation('h-back'));
    for (const { front, verdict, sentence } of found) {
      const r = resolve(need(shippedScheme('power')), men, need(SHIPPED_PLAYBOOK.front(front, men)), { side: 'right' });
      expect([verdict, sentence]).toEqual([r.verdict, r.problems.map((p) => p.message).join(' ')]);
    }
  });

  it('are asked by the text being written as well, beside the one that was kept', () => {
    const text = libraryText('schemes', 'power')!.replace(
      'always: pull and lead for L1,',
      'always: pull and lead for L2,',
    );
    const [call] = ANSWERS.calls;
    const found = [...answerAll({ ...ANSWERS, calls: [{ ...call!, scheme: { text } }, call!] })];
    const of = (n: number) => found.filter((a) => a.call === n).map((a) => `${a.front} ${a.verdict} ${a.sentence}`);
    expect(of(1)).toEqual([...answerAll(ANSWERS)].map((a) => `${a.front} ${a.verdict} ${a.sentence}`));
    expect(of(0)).not.toEqual(of(1));
  });

  it('leave out what cannot be read, and keep the rest', () => {
    const [call] = ANSWERS.calls;
    const found = [
      ...answerAll({
        ...ANSWERS,
        fronts: ['over', 'nowhere'],
        calls: [{ ...call!, scheme: { text: 'scheme' } }, { ...call!, formation: 'nobody' }, call!],
      }),
    ];
    expect(found.map((a) => [a.call, a.front])).toEqual([[2, 'over']]);
  });

  it('let every front move', () => {
    const still = [...answerAll(ANSWERS)];
    const moved = [...answerAll({ ...ANSWERS, move: 'slant left' })];
    expect(new Set(moved.map((a) => a.moves))).toEqual(new Set(['slant left']));
    expect(moved.map((a) => a.verdict)).not.toEqual(still.map((a) => a.verdict));
    expect(still.every((a) => a.moves === '')).toBe(true);
  });
});

const men = need(readFormation('LT LG C RG RT; B'));
const ADVICE: AdviceJob = {
  own: [],
  settings: SHIPPED_SETTINGS,
  scheme: 'inside-zone-z1',
  side: 'right',
  tags: [],
  without: [],
  overrides: {},
  formation: 'LT LG C RG RT; B',
  front: need(readFront('LE 5 left; N 0; RE 5 right; W 20 left; M 20 right; J (-14, 10)', men)),
  moves: [],
  about: ['movements', 'pressures', 'too few', 'mendings'],
};

describe('advice on a call', () => {
  it('comes a piece at a time, in the order asked', () => {
    expect([...adviseOn(ADVICE)].map((a) => a.kind)).toEqual(ADVICE.about);
    const kinds: AdviceKind[] = ['mendings', 'movements'];
    expect([...adviseOn({ ...ADVICE, about: kinds })].map((a) => a.kind)).toEqual(kinds);
  });

  it('names who is too many, and what every movement does', () => {
    const found = [...adviseOn(ADVICE)];
    expect(adviceOf(found, 'too few')!.who).toBe('J');
    const { still, groups } = adviceOf(found, 'movements')!;
    expect(still).toBe('at risk');
    const moves = groups.flatMap((g) => g.moves);
    expect(moves.length).toBeGreaterThan(10);
    expect(new Set(moves.map((m) => m.said)).size).toBe(moves.length);
    expect(adviceOf(found, 'pressures')).toEqual([]);
    expect(adviceOf(found, 'protection mends')).toBeNull();
  });

  it('about a protection names the pressures that beat it and what helps', () => {
    const pressed = need(
      readFront('LE 5 left; T 3 left; W A left up lb; M A right up lb; N 3 right; RE 5 right; S (13, 4) lb', men),
    );
    const about: AdviceKind[] = ['pressures', 'protection mends'];
    const found = [...adviseOn({ ...ADVICE, scheme: 'pro-five-back', front: pressed, about })];
    expect(adviceOf(found, 'pressures')!.length).toBeGreaterThan(0);
    expect(Array.isArray(adviceOf(found, 'protection mends'))).toBe(true);
  });

  it('is none about what cannot be read', () => {
    expect([...adviseOn({ ...ADVICE, scheme: 'nowhere' })]).toEqual([]);
    expect([...adviseOn({ ...ADVICE, moves: ['ZZ flies'] })]).toEqual([]);
    expect([...adviseOn({ ...ADVICE, formation: 'LT LG' })]).toEqual([]);
  });
});

describe('a proof', () => {
  it('stands in the program’s split, as every board does', () => {
    const tackle = (splitInches: number): number => {
      const opened = openJob({
        ...{ scheme: libraryText('schemes', 'power')!, space: libraryText('spaces', libraryIds('spaces')[0]!)! },
        formation: { text: libraryText('formations', 'h-back')!, inline: false },
        ...{ side: 'right', tags: [], without: [], settings: { ...SHIPPED_SETTINGS, splitInches } },
      });
      return need(opened).formation.men.find((m) => m.id === 'RT')!.x;
    };
    expect([tackle(24), tackle(36)]).toEqual([8, 10]);
  });
});
