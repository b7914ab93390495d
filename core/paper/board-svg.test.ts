import { describe, expect, it } from 'vitest';
import { workCall } from '../calls/resolve-call';
import { aPlay, PLAN, WAYS, WORKED } from '../testing/a-week-paper';
import { need } from '../testing/need';
import { boardSvg } from './board-svg';

describe('a board on paper', () => {
  const { formation, front, resolution } = WORKED;
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
      workCall({ ...aPlay('duo', 'LT LG C RG RT Y right; B left', 1), ...PLAN.looks[1]!, overrides: {} }, WAYS),
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
