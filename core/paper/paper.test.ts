import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { workCall, type Ways } from '../calls/resolve-call';
import type { WeekPlan } from '../model/week-plan';
import { makeScript } from '../practice/script/make-script';
import { need } from '../testing/need';
import { benchSheet, depthAt, type BenchMan } from './bench-sheet';
import { boardSvg } from './board-svg';
import { coachScript, playersScript, scoutCards } from './script-sheets';
import { cardOfPlay, likeliestLook } from './pocket-cards';
import { changedSheets, printedNow, printKey } from './print-key';
import type { Part, Sheet } from './sheet';
import { theirManSheet, theirMen } from './their-sheets';
import { assignmentSheet, callSheet, installSheet, pocketSheet, wristband, type WeekPaper } from './week-sheets';
import { COMMON_BAND, fitBand, SMALLEST_TYPE } from './wristband';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; FS (0, 36)';
const play = (scheme: string, formation: string, times: number) => ({
  ...{ scheme, side: 'right' as const, tags: [], formation, formationName: `${scheme}’s`, times },
});
const PLAN: WeekPlan = {
  quiz: false,
  plays: [
    play('power', 'LT LG C RG RT; H right; B left', 6),
    play('inside-zone-z1', 'LT LG C RG RT; B left', 8),
    play('pro-half-slide', 'LT LG C RG RT; B; QB pistol', 9),
  ],
  looks: [
    { front: 'LE 5 left; N 0; RE 5 right; W 20 left; M 20 right', frontName: 'Odd', weight: 10, seen: '' },
    { front: OVER, frontName: 'Over', weight: 20, seen: '' },
    { front: `${OVER}; T slant left`, frontName: 'Over, slant', weight: 6, seen: '' },
  ],
};
const WAYS: Ways = { playbook: SHIPPED_PLAYBOOK };
const PAPER: WeekPaper = {
  ...{ plan: PLAN, ways: WAYS, title: 'Week 6, Terns', stamp: 'Lanterns, week 6' },
  sayPlay: ({ scheme, side }) => `${scheme} ${side}`,
};
const every = (parts: readonly Part[]): Part[] =>
  parts.flatMap((p) => (p.kind === 'columns' ? [p, ...p.columns.flatMap((c) => every(c))] : [p]));
const partsOf = <K extends Part['kind']>(sheet: Sheet, kind: K) =>
  every(sheet.parts).filter((p): p is Extract<Part, { kind: K }> => p.kind === kind);
const worked = need(workCall({ ...PLAN.plays[0]!, ...PLAN.looks[1]!, overrides: {} }, WAYS));

describe('a board on paper', () => {
  const { formation, front, resolution } = worked;
  const svg = boardSvg({ formation, front, resolution });

  it('draws everybody once, inside its frame, black on white', () => {
    for (const id of [...formation.men.map((m) => m.id), ...front.defenders.map((d) => d.id)])
      expect(svg.split(`>${id}</text>`)).toHaveLength(2);
    expect(svg).not.toMatch(/#(?!000|fff)[0-9a-f]{3}|rgb|NaN|undefined/);
    const [x, y, w, h] = /viewBox="([^"]+)"/.exec(svg)![1]!.split(' ').map(Number) as [number, number, number, number];
    for (const [, tx, ty] of svg.matchAll(/<text x="([-\d.]+)" y="([-\d.]+)"/g)) {
      expect(Number(tx)).toBeGreaterThan(x);
      expect(Number(tx)).toBeLessThan(x + w);
      expect(Number(ty)).toBeGreaterThan(y);
      expect(Number(ty)).toBeLessThan(y + h);
    }
  });

  it('has every way inside its frame', () => {
    const duo = need(
      workCall({ ...play('duo', 'LT LG C RG RT Y right; B left', 1), ...PLAN.looks[1]!, overrides: {} }, WAYS),
    );
    for (const fromTheirs of [false, true]) {
      const drawn = boardSvg({ ...duo, fromTheirs });
      const [x, y, w, h] = /viewBox="([^"]+)"/.exec(drawn)![1]!.split(' ').map(Number) as [
        number,
        number,
        number,
        number,
      ];
      for (const [, px, py] of drawn.matchAll(/[ML] ([-\d.]+) ([-\d.]+)/g)) {
        expect(Number(px)).toBeGreaterThanOrEqual(x);
        expect(Number(px)).toBeLessThanOrEqual(x + w);
        expect(Number(py)).toBeGreaterThanOrEqual(y);
        expect(Number(py)).toBeLessThanOrEqual(y + h);
      }
    }
  });

  it('seen from behind the defence is the same picture the other way round', () => {
    const theirs = boardSvg({ formation, front, resolution, fromTheirs: true });
    const at = (of: string, id: string): number[] => {
      const [, x, y] = new RegExp(`<text x="([-\\d.]+)" y="([-\\d.]+)"[^>]*>${id}<`).exec(of)!;
      return [Number(x), Number(y)];
    };
    for (const id of ['LE', 'RE', 'C', 'LT']) {
      expect(at(theirs, id)[0]).toBeCloseTo(-at(svg, id)[0]!, 1);
      // Letters stand upright: only their middle is turned.
      expect(at(theirs, id)[1]! - 2.8).toBeCloseTo(-(at(svg, id)[1]! - 2.8), 1);
    }
  });

  it('tells free, read and cones apart by shape alone', () => {
    const drawn = (status: 'free' | 'read' | 'single', cones: string[] = []): string =>
      boardSvg({
        ...{ formation, front, cones },
        resolution: { assignments: [], movement: null, defenders: [{ id: 'LE', status, by: [], because: null }] },
      });
    expect(new Set([drawn('free'), drawn('read'), drawn('single'), drawn('single', ['LE'])]).size).toBe(4);
    expect(drawn('single', ['LE'])).toContain('Z"');
  });
});

describe('a wristband', () => {
  it('has type as large as the card bears, smaller the more calls there are and the longer they are', () => {
    fc.assert(
      fc.property(fc.integer({ min: 1, max: 60 }), fc.integer({ min: 4, max: 40 }), (lines, letters) => {
        const fit = fitBand(lines, letters, COMMON_BAND);
        expect(fit.columns * fit.rows).toBeGreaterThanOrEqual(lines);
        expect(fit.rows * fit.type * 1.22).toBeLessThanOrEqual(COMMON_BAND.height + 1e-9);
        expect(fitBand(lines + 1, letters, COMMON_BAND).type).toBeLessThanOrEqual(fit.type);
        expect(fitBand(lines, letters + 1, COMMON_BAND).type).toBeLessThanOrEqual(fit.type);
        expect(fit.fits).toBe(fit.type >= SMALLEST_TYPE);
      }),
    );
  });

  it('says so instead of printing what nobody can read', () => {
    const card = wristband(PAPER, COMMON_BAND);
    expect(partsOf(card, 'card')[0]!.columns.flat()).toEqual([
      '1 power right',
      '2 inside-zone-z1 right',
      '3 pro-half-slide right',
    ]);
    const small = wristband(PAPER, { width: 72, height: 20 });
    expect(partsOf(small, 'card')).toEqual([]);
    expect(partsOf(small, 'text')[0]!.text).toContain('nobody reads that');
  });
});

describe('the sheets of a week', () => {
  it('have every call against every look on the call sheet, the likeliest look first, runs and throws apart', () => {
    const sheet = callSheet(PAPER);
    expect(partsOf(sheet, 'heading').map((h) => h.text)).toEqual(['Runs', 'Throws']);
    const [runs, throws] = partsOf(sheet, 'table');
    expect(runs!.head.slice(4)).toEqual(['Over 56 %', 'Odd 28 %', 'Over, slant 17 %']);
    expect([runs!.rows.length, throws!.rows.length]).toEqual([2, 1]);
    const verdict = { sound: 'kept', 'at risk': 'untold', broken: 'missed' }[worked.resolution.verdict];
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
    const called = worked.resolution.assignments.filter((a) => a.target === 'T').map((a) => a.blocker);
    expect(called.every((b) => power[0]!.includes(b))).toBe(true);
    expect(power[1]).toBe('');
    for (const t of partsOf(sheet, 'table')) for (const r of t.rows) expect(r.length).toBe(t.head.length);
  });

  it('have the rules and the likeliest looks of a play on its install sheet', () => {
    const sheet = installSheet(PAPER, 0);
    const rules = partsOf(sheet, 'table')[0]!.rows;
    expect(rules.length).toBe(worked.scheme.tree.sheets.length);
    expect(
      rules.every(([post, rule]) => (post as { strong: string }).strong.length > 2 && (rule as string).length > 5),
    ).toBe(true);
    expect(partsOf(sheet, 'heading').map((h) => h.text)).toEqual(['Over, 56 %', 'Odd, 28 %', 'Over, slant, 17 %']);
    expect(partsOf(sheet, 'picture')).toHaveLength(3);
  });

  it('have everything of one place on its sheet, and what he does when they do something else on his card', () => {
    const [table] = partsOf(assignmentSheet(PAPER, 'RG'), 'table');
    expect(table!.rows).toHaveLength(9);
    const his = worked.resolution.assignments.find((a) => a.blocker === 'RG')!;
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
    const gone: WeekPaper = { ...PAPER, plan: { ...PLAN, plays: [play('no-such-play', 'LT LG C RG RT', 2)] } };
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

describe('a script on paper', () => {
  const script = makeScript({
    ...{ id: 'one', kind: 'inside run', reps: 5, plan: PLAN, standings: [], ways: WAYS },
    sayPlay: String,
  })!;
  const words = { sayPlay: PAPER.sayPlay, stamp: 'x' };

  it('has the answers on the coach’s copy and nothing but the play on the players’', () => {
    const [coach] = partsOf(coachScript(script, WAYS, words), 'table');
    const [players] = partsOf(playersScript(script, words), 'table');
    expect([coach!.rows.length, players!.rows.length]).toEqual([5, 5]);
    expect(coach!.rows.every((r) => /RG \w+/.test(r[4] as string))).toBe(true);
    expect(players!.rows.flatMap((r) => r.slice(2))).toEqual(Array.from({ length: 10 }, () => ''));
  });

  it('has a card a rep for the scout team, from its own side, without what we do', () => {
    const cards = scoutCards(script, WAYS, words);
    expect(partsOf(cards, 'picture')).toHaveLength(5);
    const { formation, front } = worked;
    const rep = script.reps.findIndex((r) => r.scheme === 'power' && r.frontName === 'Over');
    expect(rep).toBeGreaterThanOrEqual(0);
    expect(partsOf(cards, 'picture')[rep]!.svg.split('<path').length).toBe(
      boardSvg({ formation, front, fromTheirs: true, cones: script.reps[rep]!.cones }).split('<path').length,
    );
  });
});

describe('a bench sheet', () => {
  const man = (id: number, seat: string, ...seats: string[]): BenchMan => ({
    id,
    number: 60 + id,
    name: `Man ${id}`,
    seat,
    seats,
  });
  const MEN = [man(4, 'LG', 'LT'), man(2, '', 'LT', 'RT'), man(1, 'LT'), man(3, 'C')];
  const sheet = benchSheet(PAPER, ['LT', 'LG', 'C', 'RT'], MEN);
  const [looks, depth] = partsOf(sheet, 'table');

  it('has whose usual place it is before who can play there besides', () => {
    expect(depthAt('LT', MEN).map((m) => m.id)).toEqual([1, 2, 4]);
    expect(depthAt('LT', [man(9, 'LT'), man(2, '', 'LT')]).map((m) => m.id)).toEqual([9, 2]);
    expect(depthAt('Q', MEN)).toEqual([]);
  });

  it('names who goes in, never a man who plays elsewhere already, and says where nobody can', () => {
    expect(depth!.rows.map((r) => r.slice(1, 3))).toEqual([
      ['61 Man 1', 'nobody: somebody has to move over'],
      ['64 Man 4', 'nobody: somebody has to move over'],
      ['63 Man 3', 'nobody: somebody has to move over'],
      ['62 Man 2', 'nobody: somebody has to move over'],
    ]);
    const deep = benchSheet(PAPER, ['LT', 'RT'], [...MEN, man(5, 'RT'), man(6, '', 'RT', 'LT')]);
    expect(partsOf(deep, 'table')[1]!.rows.map((r) => r[2])).toEqual([
      '62 Man 2, 64 Man 4, 66 Man 6',
      '66 Man 6, 62 Man 2',
    ]);
  });

  it('has every look, the likeliest first, with just the calls that are sound against it and room to tally', () => {
    expect(looks!.rows.map((r) => r[0])).toEqual([{ strong: 'Over' }, { strong: 'Odd' }, { strong: 'Over, slant' }]);
    for (const [i, look] of [1, 0, 2].entries()) {
      const said = PLAN.plays.map((p, n) => {
        const { resolution } = need(workCall({ ...p, ...PLAN.looks[look]!, overrides: {} }, WAYS));
        return { name: `${n + 1} ${p.scheme} right`, sound: resolution.verdict === 'sound' };
      });
      const [good, not] = [true, false].map((sound) => said.filter((s) => s.sound === sound).map((s) => s.name));
      const fewer = good!.length > 1 ? (not!.length ? `all but ${not!.join('; ')}` : 'all of them') : good!.join('; ');
      expect(looks!.rows[i]!.slice(2)).toEqual(['', fewer || 'nothing: talk about it']);
    }
  });

  it('has the signs calls answer, where there are some', () => {
    expect(partsOf(sheet, 'table')).toHaveLength(2);
    const { scheme, side, tags } = PLAN.plays[0]!;
    const answers = [{ scheme, side, tags, sign: 'Linebackers walk up', seen: 'third down' }];
    const signs = partsOf(benchSheet({ ...PAPER, plan: { ...PLAN, answers } }, [], []), 'table')[1]!;
    expect(signs.rows).toEqual([['Linebackers walk up (third down)', { strong: 'power right' }, '']]);
  });

  it('says who decides about a man who may be hurt', () => {
    expect(
      partsOf(sheet, 'text')
        .map((t) => t.text)
        .join(),
    ).toContain('stays out until who is trained');
  });
});

describe('a pocket card', () => {
  it('is of the likeliest look, the first of those alike, and of none before there are looks', () => {
    expect(likeliestLook(PLAN)!.frontName).toBe('Over');
    expect(likeliestLook({ looks: PLAN.looks.map((l) => ({ ...l, weight: 1 })) })!.frontName).toBe('Odd');
    expect(likeliestLook({ looks: [] })).toBeNull();
  });

  it('says whom he has there, and nothing where he has nobody or the play is not there', () => {
    const card = cardOfPlay(PLAN, 0, 'RT', WAYS)!;
    const { resolution } = need(workCall({ ...PLAN.plays[0]!, ...PLAN.looks[1]!, overrides: {} }, WAYS));
    expect(card.has).toContain(resolution.assignments.find((a) => a.blocker === 'RT')!.target);
    expect(card.rows.length).toBeGreaterThan(3);
    expect(cardOfPlay(PLAN, 0, 'QB', WAYS)).toBeNull();
    expect(cardOfPlay(PLAN, 9, 'RT', WAYS)).toBeNull();
    expect(cardOfPlay({ ...PLAN, looks: [] }, 0, 'RT', WAYS)).toBeNull();
  });
});
