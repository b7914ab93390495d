import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { PAPER, partsOf } from '../testing/a-week-paper';
import { wristband } from './week-sheets';
import { COMMON_BAND, fitBand, SMALLEST_TYPE } from './wristband';

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
