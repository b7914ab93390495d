import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFormation } from '#core/language/lineups/read-formation';
import { readFront } from '#core/language/lineups/read-front';
import { need } from '#core/testing/need';
import { listOf, sayLists, textOf } from './address';
import { boardScale, columnsUnder, LABEL_WIDTH } from './scale';

const FORMATIONS = [
  'LT LG C RG RT',
  'LT LG C RG RT Y right; H right; B left',
  'LT LG C RG RT Y right; Z wide right; B left',
];
const formation = fc.constantFrom(...FORMATIONS).map((text) => need(readFormation(text)));
const width = fc.integer({ min: 560, max: 2400 });
const height = fc.integer({ min: 200, max: 900 });

describe('the scale of a board', () => {
  it('keeps the men near the ball on the board, left of each other as they are, in feet alike', () => {
    fc.assert(
      fc.property(formation, width, height, (f, w, h) => {
        const scale = boardScale(f, w, h);
        const near = f.men.filter((m) => Math.abs(m.x) < 20).sort((a, b) => a.x - b.x);
        for (const [i, man] of near.entries()) {
          expect(scale.x(man.x)).toBeGreaterThanOrEqual(LABEL_WIDTH);
          expect(scale.x(man.x)).toBeLessThanOrEqual(w);
          if (i && man.x > near[i - 1]!.x) expect(scale.x(man.x)).toBeGreaterThan(scale.x(near[i - 1]!.x));
        }
        expect(scale.x(7) - scale.x(4)).toBeCloseTo(scale.x(-4) - scale.x(-7));
        expect(scale.y(6)).toBeLessThan(scale.y(3));
      }),
    );
  });

  it('draws what is deeper than the board at its edge, and nothing beyond it', () => {
    const scale = boardScale(need(readFormation(FORMATIONS[0]!)), 1000, 400, { far: 18, shallow: -6 });
    expect([scale.y(40), scale.y(-40)]).toEqual([scale.y(18), scale.y(-6)]);
    expect(scale.y(18)).toBeGreaterThan(0);
    expect(scale.y(-6)).toBeLessThan(400);
  });

  it('makes room for a front that is wider than the line', () => {
    const line = need(readFormation(FORMATIONS[0]!));
    const front = need(readFront('LE (-15, 1); N 0; RE (15, 1)', line, 'x', 'x'));
    const [bare, wide] = [boardScale(line, 1000, 400), boardScale(line, 1000, 400, { front })];
    expect(wide.across).toBeLessThan(bare.across);
    expect(wide.x(-15)).toBeGreaterThan(LABEL_WIDTH);
    expect(wide.x(15)).toBeLessThan(1000);
  });
});

describe('the columns under the men', () => {
  it('stand in their order, next to each other, within the board', () => {
    fc.assert(
      fc.property(formation, width, height, (f, w, h) => {
        const scale = boardScale(f, w, h);
        const columns = columnsUnder(f.men, scale);
        expect(columns.map((c) => c.id).sort()).toEqual(f.men.map((m) => m.id).sort());
        for (const [i, c] of columns.entries()) {
          expect(c.left).toBeGreaterThanOrEqual(LABEL_WIDTH - 0.01);
          expect(c.left + c.width).toBeLessThanOrEqual(w + 0.01);
          if (i) expect(c.left).toBeCloseTo(columns[i - 1]!.left + columns[i - 1]!.width);
        }
      }),
    );
    expect(columnsUnder([], boardScale(need(readFormation(FORMATIONS[0]!)), 900, 300))).toEqual([]);
  });
});

describe('lists in an address', () => {
  it('come back as they went, those without anything left out', () => {
    const word = fc.stringMatching(/^[A-Za-z0-9 -]{1,8}$/);
    fc.assert(
      fc.property(fc.array(word, { maxLength: 4 }), fc.array(word, { maxLength: 4 }), (tags, rush) => {
        const said = sayLists({ tags, rush });
        expect([listOf(said.tags), listOf(said.rush)]).toEqual([tags, rush]);
        expect(Object.keys(said)).toHaveLength(Number(tags.length > 0) + Number(rush.length > 0));
      }),
    );
  });
  it('are nothing where something else stands', () => {
    expect([listOf(undefined), listOf(['a']), textOf(null, 'usual'), textOf('', 'usual')]).toEqual([
      [],
      [],
      'usual',
      'usual',
    ]);
    expect(textOf('x'.repeat(2000), 'usual')).toHaveLength(900);
  });
});
