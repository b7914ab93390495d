import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formationFrom, libraryIds, libraryText } from '../../library/library';
import { moveBlocker } from '../../model/formation-moves';
import { lineOf, type Formation } from '../../model/formation';
import { need } from '../../testing/need';
import { mirrorText } from './print-lineup';
import { sayFormation } from './print-formation';
import { readFormation } from './read-formation';

const shipped = libraryIds('formations').map((id) => need(formationFrom(libraryText('formations', id)!)));
const read = (text: string): Formation => need(readFormation(text));
const places = (f: Formation) => f.men.map((m) => `${m.id} ${m.kind} ${m.x.toFixed(3)} ${m.y.toFixed(3)}`).sort();
const aMove = fc.record({
  x: fc.double({ min: -30, max: 30, noNaN: true }),
  y: fc.double({ min: -22, max: -1, noNaN: true }),
});

describe('a formation in notation', () => {
  it.each(shipped.map((f) => [f.name, f] as const))(
    '%s reads back to the same men at the same places',
    (_name, formation) => {
      const back = read(sayFormation(formation));
      expect(places(back)).toEqual(places(formation));
      expect([back.quarterback, back.motions]).toEqual([formation.quarterback, formation.motions]);
    },
  );

  it.each([
    ['LT LG C RG RT', 'LT LG C RG RT'],
    [
      'LT LG C RG RT Y right; Z wing right; B left; QB pistol',
      'LT LG C RG RT Y right; Z wing right; B left; QB pistol',
    ],
    ['LT LG C RG RT; split 18in', 'LT LG C RG RT; split 18in'],
    ['LT LG C RG RT; split RG 30in; F (2, -9); B', 'LT LG C RG RT; split RG 30in; F (2, -9); B'],
    ['LT LG C RG RT; over T left', 'LG C RG RT LT'],
    ['X tight left LT LG C RG RT; H left; motion H right', 'X tight left LT LG C RG RT; H left; motion H right'],
  ])('%s is said %s', (text, said) => expect(sayFormation(read(text))).toBe(said));

  it('mirrors as its text does', () => {
    for (const formation of shipped)
      expect(places(read(mirrorText(sayFormation(formation))))).toEqual(
        places(read(sayFormation(read(mirrorText(sayFormation(formation)))))),
      );
  });
});

describe('moving a man', () => {
  const wing = read('LT LG C RG RT Y right; Z wing right; B left');

  it('off the line: he stands there, to the half foot, and the text says so', () => {
    const moved = moveBlocker(wing, 'Z', { x: 17.2, y: -3.9 })!;
    expect(moved.men.find((m) => m.id === 'Z')).toMatchObject({ x: 17, y: -4 });
    expect(sayFormation(moved)).toContain('Z (17, -4)');
  });

  it('on the line: his split changes and everybody outside goes along', () => {
    const moved = moveBlocker(wing, 'RG', { x: 5.1, y: 0 })!;
    const x = (f: Formation, id: string) => f.men.find((m) => m.id === id)!.x;
    expect(x(moved, 'RG')).toBe(5);
    for (const id of ['RT', 'Y']) expect(x(moved, id) - x(wing, id)).toBe(1);
    expect(x(moved, 'LG')).toBe(x(wing, 'LG'));
    expect(sayFormation(moved)).toContain('split RG 36in');
  });

  it('never the centre, never on somebody, never past a neighbour', () => {
    expect(moveBlocker(wing, 'C', { x: 3, y: 0 })).toBeNull();
    const b = wing.men.find((m) => m.id === 'B')!;
    expect(moveBlocker(wing, 'Z', b)).toBeNull();
    expect(moveBlocker(wing, 'RG', { x: -9, y: 0 })!.men.find((m) => m.id === 'RG')!.x).toBe(2);
    expect(moveBlocker(wing, 'nobody', { x: 0, y: -5 })).toBeNull();
    expect(
      moveBlocker(
        wing,
        'Z',
        wing.men.find((m) => m.id === 'Z')!,
      ),
    ).toBeNull();
  });

  it('whatever is moved where, the text reads back to the same places in the same order of the line', () => {
    fc.assert(
      fc.property(fc.constantFrom(...shipped), fc.nat(), aMove, (formation, n, to) => {
        const man = formation.men[n % formation.men.length]!;
        const moved = moveBlocker(formation, man.id, to);
        if (!moved) return;
        const back = read(sayFormation(moved));
        expect(lineOf(back).map((m) => m.id)).toEqual(lineOf(formation).map((m) => m.id));
        for (const m of back.men) {
          const there = moved.men.find((x) => x.id === m.id)!;
          expect(Math.hypot(m.x - there.x, m.y - there.y)).toBeLessThan(0.05);
        }
      }),
    );
  });
});
