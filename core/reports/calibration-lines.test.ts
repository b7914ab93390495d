import { describe, expect, it } from 'vitest';
import type { FieldMark } from '../model/calibration';
import { sayCalibrationProblem, sayCarried, sayMark } from './calibration-lines';

const mark = (yard: number, across: FieldMark['across']): FieldMark => ({ yard, across, pixel: { x: 0, y: 0 } });

describe('words of calibrating', () => {
  it('say a mark as it is painted, on either half of the field', () => {
    expect(sayMark(mark(35, 'left hash'))).toBe('the 35 at the left hash');
    expect(sayMark(mark(65, 'right sideline'))).toBe('the 35 at the right sideline');
    expect(sayMark(mark(50, 'anywhere'))).toBe('somewhere on the 50');
  });
  it('name the mark to look at first, where one stands out', () => {
    const marks = [mark(30, 'left hash'), mark(35, 'right hash')];
    expect(sayCalibrationProblem({ kind: 'does not fit', mark: 1 }, marks)).toMatch(/the 35 at the right hash first/);
    expect(sayCalibrationProblem({ kind: 'does not fit', mark: null }, marks)).not.toMatch(/first/);
  });
  it('say how a moving camera was carried, and where it could not be', () => {
    const carried = { angle: 'sideline' as const, turns: Array(60).fill([0, 0, 0, 1]), residual: 0.42, untold: 0 };
    expect(sayCarried(carried)).toBe('The sideline camera was carried along; the field fits to 0.4 pixels.');
    expect(sayCarried({ ...carried, untold: 3 })).toMatch(/On 3 of 60 frames/);
    expect(sayCarried({ ...carried, residual: null })).toMatch(/could not be carried/);
  });
  it.each(['too few marks', 'marks in one line', 'ball off the field'] as const)('say what to do about %s', (kind) => {
    expect(sayCalibrationProblem({ kind, mark: null }, [])).toMatch(/^[A-Z].*[a-z]\.$/);
  });
});
