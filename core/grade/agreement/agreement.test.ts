import { describe, expect, it } from 'vitest';
import { ALL_PLUS, type Grade } from '../../model/grade';
import { doneGrade } from '../rubrics/index';
import { agreementOf, disagreements, sayKappa, type TwoMarks } from './agreement';

const MINUS: Grade = { ...ALL_PLUS, technique: 'minus', faults: ['high-pads'] };
const marks = (one: Grade, other: Grade, number = 1): TwoMarks => ({
  ...{ snapId: number, number, blocker: 'RG', man: '61 Anselm Rook', block: 'double' },
  one,
  other,
});
const item = (of: readonly TwoMarks[], id: string) => agreementOf(of).find((a) => a.item.id === id);

describe('two graders', () => {
  it('are compared item by item, and only on what both have answered', () => {
    const game = [marks(ALL_PLUS, ALL_PLUS), marks(ALL_PLUS, MINUS, 2), marks(MINUS, MINUS, 3), marks(MINUS, MINUS, 4)];
    expect(item(game, 'technique')).toMatchObject({ pairs: 4, same: 3, share: 0.75, kappa: 0.5 });
    expect(item(game, 'assignment')).toMatchObject({ pairs: 4, same: 4, kappa: null });
    expect(item(game, 'fault')).toMatchObject({ pairs: 2, same: 2 });
    expect(item(game, 'finish')).toBeUndefined();
    expect(item(game, 'outcome')).toBeUndefined();
  });

  it('in points are farther apart by two than by one', () => {
    const points = (n: number): Grade => ({ ...doneGrade('points@1'), points: n });
    const near = [marks(points(3), points(2)), marks(points(1), points(1), 2), marks(points(4), points(4), 3)];
    const far = [marks(points(3), points(1)), marks(points(1), points(1), 2), marks(points(4), points(4), 3)];
    expect(item(near, 'points')!.kappa!).toBeGreaterThan(item(far, 'points')!.kappa!);
  });

  it('disagree where what counts differs, whatever they note beside it', () => {
    const noted = marks(ALL_PLUS, { ...ALL_PLUS, note: 'barely', outcome: 'success' });
    const two = marks(ALL_PLUS, { ...ALL_PLUS, assignment: 'not his fault' }, 2);
    const three = marks(doneGrade('with-finish@1'), { ...doneGrade('with-finish@1'), finish: 'minus' }, 3);
    expect(disagreements([noted, two, three]).map((m) => m.number)).toEqual([2, 3]);
  });

  it.each([
    [null, 'cannot be told from chance'],
    [0.1, 'hardly better than chance'],
    [0.3, 'fair'],
    [0.5, 'moderate'],
    [0.7, 'good'],
    [0.9, 'very good'],
  ] as const)('a kappa of %s is %s', (kappa, says) => expect(sayKappa(kappa)).toBe(says));
});
