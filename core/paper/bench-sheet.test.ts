import { describe, expect, it } from 'vitest';
import { workCall } from '../calls/resolve-call';
import { PAPER, partsOf, PLAN, WAYS } from '../testing/a-week-paper';
import { need } from '../testing/need';
import { benchSheet, depthAt, type BenchMan } from './bench-sheet';

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
