import { describe, expect, it } from 'vitest';
import type { BookSnap } from '../grade/book/lines';
import { GradeSchema } from '../model/grade';
import { filmSnaps, onFilmAt, sameAs } from './on-film';
import { rankItems } from './rank';

const snap = (
  snapId: number,
  assignment: string,
  more: Partial<BookSnap> & { technique?: string; counts?: boolean } = {},
): BookSnap => {
  const { technique = 'plus', counts = true, ...rest } = more;
  return {
    ...{ snapId, number: snapId, gameId: 4, opponent: 'Fennick Otters', week: 4, blocker: 'RG', man: 'A. Rook' },
    ...{ scheme: 'power', side: 'right', front: 'Over' },
    asked: { block: 'base', target: 'T', next: null, partners: [], role: 'alone', schools: [] },
    grade: GradeSchema.parse({ assignment, technique, counts, note: '' }),
    ...rest,
  };
};
const item = (scheme: string) => ({
  ...{ scheme, side: 'right' as const, tags: [], formationName: 'H right', frontName: 'Over', seat: 'RG' },
});

describe('snaps that are asked on film', () => {
  it('are those of which his coach could tell whom he had, what went wrong first, then the newest', () => {
    const all = [
      snap(1, 'right'),
      snap(2, 'cannot tell'),
      snap(3, 'wrong'),
      snap(4, 'right', { technique: 'minus' }),
      snap(5, 'right', { week: 5 }),
      snap(6, 'right', { counts: false }),
      snap(7, 'not his fault'),
      { ...snap(8, 'wrong'), asked: { ...snap(8, 'wrong').asked, target: null } },
    ];
    expect(filmSnaps(all).map((s) => s.snapId)).toEqual([3, 4, 5, 1]);
  });

  it('are compared with his coach’s mark, and never with one his coach could not give', () => {
    const coach = snap(1, 'wrong', { technique: 'cannot tell' }).grade;
    expect(sameAs({ assignment: 'wrong', technique: 'minus' }, coach)).toEqual({ assignment: true, technique: true });
    const seen = snap(1, 'wrong', { technique: 'plus' }).grade;
    expect(sameAs({ assignment: 'right', technique: 'minus' }, seen)).toEqual({ assignment: false, technique: false });
  });
});

describe('what went wrong on film', () => {
  const marked = [
    snap(1, 'wrong'),
    snap(2, 'right'),
    snap(3, 'wrong', { side: 'left' }),
    snap(4, 'wrong', { blocker: 'C' }),
  ];

  it('counts for the same play to the same side, against the same front, from the same place', () => {
    expect(onFilmAt(marked)(item('power'))).toEqual({ good: 1, of: 2 });
    expect(onFilmAt(marked)(item('duo'))).toEqual({ good: 0, of: 0 });
  });

  it('is asked before what comes as often and went right', () => {
    const call = { ...item('power'), formation: '', front: '', overrides: {} };
    const asked = ['duo', 'power'].map((scheme) => ({ item: item(scheme), call, times: 3 }));
    const first = (snaps: BookSnap[]): string => rankItems(asked, [], () => null, onFilmAt(snaps))[0]!.item.scheme;
    expect(first([])).toBe('duo');
    expect(first(marked)).toBe('power');
    expect(first([snap(1, 'right'), snap(2, 'right')])).toBe('duo');
  });
});
