import { describe, expect, it } from 'vitest';
import { BLOCKS } from '../vocabulary/index';
import { resolveCall } from '../calls/resolve-call';
import { aimPoint, firstStep } from './first-step';

const worked = resolveCall({
  scheme: 'power',
  side: 'right',
  tags: [],
  formation: 'LT LG C RG RT H right',
  formationName: '',
  front: 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right',
  frontName: '',
  overrides: {},
});
if (!worked.ok) throw new Error('power');

describe('first steps and aiming points', () => {
  it('the named foot steps the way the path goes', () => {
    for (const a of worked.value.assignments) {
      const man = a.path[0]!;
      const { from, to } = firstStep(a, man);
      expect(Math.sign(from.x - man.x)).toBe(a.step.foot === 'right' ? 1 : -1);
      expect(Math.hypot(to.x - from.x, to.y - from.y)).toBeCloseTo(0.9, 6);
      expect((to.x - from.x) * (a.path[1]!.x - man.x) + (to.y - from.y) * (a.path[1]!.y - man.y)).toBeGreaterThan(0);
    }
  });

  it.each([
    ['near number', -1.6],
    ['playside number', -0.4],
    ['inside half, set point', -0.4],
    ['midline, square', -1],
    ['backside shoulder', -1.6],
  ] as const)('%s', (aim, x) => expect(aimPoint(aim, { x: -4, y: -1 }, { x: -1, y: 2 }, 'right')!.x).toBeCloseTo(x, 6));

  it('most blocks aim at a place on a body', () => {
    const named = Object.values(BLOCKS).filter(
      (b) => aimPoint(b.technique.aim, { x: 0, y: 0 }, { x: 1, y: 2 }, 'left') !== null,
    );
    expect(named.length).toBeGreaterThan(Object.keys(BLOCKS).length / 2);
  });
});
