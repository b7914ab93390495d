import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { WeekPlan } from '../model/week-plan';
import { aPlay, PAPER, partsOf, PLAN, WORKED } from '../testing/a-week-paper';
import { changedSheets, printedNow, printKey } from './print-key';
import { theirManSheet, theirMen } from './their-sheets';
import type { Sheet } from './sheet';
import { assignmentSheet, callSheet, installSheet, pocketSheet, type WeekPaper } from './week-sheets';

describe('the sheets of a week', () => {
  it('have every call against every look on the call sheet, the likeliest look first, runs and throws apart', () => {
    const sheet = callSheet(PAPER);
    expect(partsOf(sheet, 'heading').map((h) => h.text)).toEqual(['Runs', 'Throws']);
    const [runs, throws] = partsOf(sheet, 'table');
    expect(runs!.head.slice(4)).toEqual(['Over 56 %', 'Odd 28 %', 'Over, slant 17 %']);
    expect([runs!.rows.length, throws!.rows.length]).toEqual([2, 1]);
    const verdict = { sound: 'kept', 'at risk': 'untold', broken: 'missed' }[WORKED.resolution.verdict];
    expect(runs!.rows[0]![4]).toEqual({ mark: verdict });
    for (const t of partsOf(sheet, 'table')) for (const r of t.rows) expect(r.length).toBe(t.widths.length);
  });

  it('by situation where situations are said, each call with the signs it answers', () => {
    const [power, zone, slide] = PLAN.plays;
    const plays: WeekPlan['plays'] = [{ ...power!, when: ['first', 'short'] }, { ...zone!, when: ['first'] }, slide!];
    const answers = [
      { scheme: 'power', side: 'right' as const, tags: [], sign: 'walk the end up', seen: '8 of 11' },
      { scheme: 'power', side: 'right' as const, tags: [], sign: 'show two deep', seen: '' },
      { scheme: 'power', side: 'left' as const, tags: [], sign: 'nobody calls this', seen: '' },
    ];
    const plan = { ...PLAN, plays, answers };
    const sheet = callSheet({ ...PAPER, plan });
    expect(partsOf(sheet, 'heading').map((h) => h.text)).toEqual(['First down', 'Short to go', 'At any time']);
    const [first, short, any] = partsOf(sheet, 'table');
    expect([first!.rows.length, short!.rows.length, any!.rows.length]).toEqual([2, 1, 1]);
    expect([first!.head.slice(4, 7), partsOf(sheet, 'text')[0]!.text]).toEqual([
      ['A', 'B', 'C'],
      'A Over 56 %.  B Odd 28 %.  C Over, slant 17 %',
    ]);
    // The number is the wristband’s, whatever the situation.
    expect(any!.rows[0]![0]).toBe('3');
    expect(first!.head.at(-1)).toBe('Answers');
    expect(first!.rows.map((r) => r.at(-1))).toEqual(['walk the end up (8 of 11); show two deep', '']);
    for (const t of partsOf(sheet, 'table')) for (const r of t.rows) expect(r.length).toBe(t.widths.length);
  });

  it('say of each of theirs where he stands, what he does there and who has him', () => {
    const men = theirMen(PAPER);
    expect(men).toContain('RE');
    const sheet = theirManSheet(PAPER, 'T');
    const [places, had] = partsOf(sheet, 'table');
    // He is in the two looks with four on the line; in one of them he slants.
    expect(places!.rows.map((r) => r.slice(2))).toEqual([
      ['3 right', 'plays where he stands'],
      ['3 right', 'goes in'],
    ]);
    expect(had!.rows).toHaveLength(PLAN.plays.length);
    const power = had!.rows[0]!.slice(1) as string[];
    const called = WORKED.resolution.assignments.filter((a) => a.target === 'T').map((a) => a.blocker);
    expect(called.every((b) => power[0]!.includes(b))).toBe(true);
    expect(power[1]).toBe('');
    for (const t of partsOf(sheet, 'table')) for (const r of t.rows) expect(r.length).toBe(t.head.length);
  });

  it('name him by his number and say what he is known for, where it is known', () => {
    const theirs = [{ id: 'T', number: 0, note: 'spins inside' }];
    const of = (id: string) => theirManSheet({ ...PAPER, plan: { ...PLAN, theirs } }, id);
    expect([of('T').title, of('T').subtitle]).toEqual(['Their T, number 0', 'Week 6, Terns. Known for: spins inside']);
    expect([of('RE').title, of('RE').subtitle]).toEqual(['Their RE', 'Week 6, Terns']);
  });

  it('have the rules and the likeliest looks of a play on its install sheet', () => {
    const sheet = installSheet(PAPER, 0);
    const rules = partsOf(sheet, 'table')[0]!.rows;
    expect(rules.length).toBe(WORKED.scheme.tree.sheets.length);
    expect(
      rules.every(([post, rule]) => (post as { strong: string }).strong.length > 2 && (rule as string).length > 5),
    ).toBe(true);
    expect(partsOf(sheet, 'heading').map((h) => h.text)).toEqual([
      ...['How, against Over', 'Over, 56 %', 'Odd, 28 %', 'Over, slant, 17 %'],
    ]);
    const how = partsOf(sheet, 'table')[1]!;
    const guard = how.rows.find((r) => (r[0] as { strong: string }).strong === 'RG')!;
    expect(guard.slice(1, 3)).toEqual([
      expect.stringContaining('three-point'),
      expect.stringMatching(/(left|right) foot/),
    ]);
    expect(guard.slice(4, 6)).toEqual(['inside', 'outside']);
    for (const r of how.rows) expect(r.length).toBe(how.widths.length);
    expect(partsOf(sheet, 'picture')).toHaveLength(3);
  });

  it('have everything of one place on its sheet, and what he does when they do something else on his card', () => {
    const [table] = partsOf(assignmentSheet(PAPER, 'RG'), 'table');
    expect(table!.rows).toHaveLength(9);
    const his = WORKED.resolution.assignments.find((a) => a.blocker === 'RG')!;
    const row = table!.rows.find((r) => (r[0] as { strong: string }).strong === 'power right' && r[1] === 'Over')!;
    expect(row[2]).toContain(his.target!);
    expect(assignmentSheet(PAPER, 'X').parts).toMatchObject([{ rows: [] }]);
    const card = pocketSheet(PAPER, 'RG');
    expect(card.subtitle).toContain('Against Over');
    expect(partsOf(card, 'table').flatMap((t) => t.rows.map((r) => r[0]))).toEqual(
      expect.arrayContaining([expect.stringContaining('slants in')]),
    );
  });

  it('say what they cannot line up instead of leaving it out', () => {
    const gone: WeekPaper = { ...PAPER, plan: { ...PLAN, plays: [aPlay('no-such-play', 'LT LG C RG RT', 2)] } };
    expect(partsOf(callSheet(gone), 'table')[0]!.rows[0]!.slice(4)).toEqual(['?', '?', '?']);
    expect(partsOf(installSheet(gone, 0), 'heading').every((h) => h.text.includes('cannot be lined up'))).toBe(true);
  });
});

describe('what has to be printed again', () => {
  it('is what says something else than last time, whatever the stamp says', () => {
    const sheets = (paper: WeekPaper): Sheet[] => ['RG', 'C', 'B'].map((seat) => assignmentSheet(paper, seat));
    const first = sheets(PAPER);
    expect(changedSheets(first, {})).toHaveLength(3);
    const printed = printedNow(first, {});
    expect(changedSheets(sheets({ ...PAPER, stamp: 'made later' }), printed)).toEqual([]);
    // Another count changes nobody's job; another front changes somebody's.
    const often = { ...PAPER, plan: { ...PLAN, plays: PLAN.plays.map((p) => ({ ...p, times: p.times + 1 })) } };
    expect(changedSheets(sheets(often), printed)).toEqual([]);
    const moved = {
      ...PAPER,
      plan: { ...PLAN, looks: PLAN.looks.map((l) => ({ ...l, front: l.front.replace('T 3 right; ', '') })) },
    };
    const again = changedSheets(sheets(moved), printed).map((s) => s.title);
    expect(again.length).toBeGreaterThan(0);
    expect(changedSheets(sheets(moved), printedNow(sheets(moved), printed))).toEqual([]);
  });

  it('has keys of their own for sheets that differ in a letter', () => {
    const sheet = (text: string): Sheet => ({ title: 't', subtitle: '', stamp: '', parts: [{ kind: 'text', text }] });
    fc.assert(
      fc.property(fc.string(), fc.string(), (a, b) => {
        expect(printKey(sheet(a)) === printKey(sheet(b))).toBe(a === b);
      }),
    );
  });
});
