import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { libraryIds } from '../../library/library';
import { shippedScheme } from '../../calls/resolve-call';
import { TechniqueSheetSchema, type Assignment, type Resolution } from '../../model/resolution';
import { SettingsSchema } from '../../model/settings';
import { schoolsOf, TECHNIQUE_SCHOOLS, type TechniqueSchool } from '../../model/technique-schools';
import { otherSide, SIDES, type Side } from '../../model/side';
import { sayStance, sayTechnique, techniqueLines } from '../../reports/technique-lines';
import { aFront, mirrorFormation, mirrorFront, mirrorSeat } from '../../testing/fronts';
import { need } from '../../testing/need';
import { resolveStill } from '../resolve';

const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';
function ask(
  id: string,
  formation: string,
  front: string,
  man: string,
  settings: object = {},
  side: Side = 'right',
): Assignment {
  const men = need(readFormation(formation));
  const call = { side, settings: SettingsSchema.parse(settings) };
  return resolveStill(need(shippedScheme(id)), men, need(readFront(front, men)), call).assignments.find(
    (a) => a.blocker === man,
  )!;
}
const FIVE = 'LT LG C RG RT; B';

describe('technique follows from role and place', () => {
  it('in a gap double the inside man stops and raises him, the outside man moves him', () => {
    const [inside, outside] = ['RG', 'RT'].map((man) => ask('power', 'LT LG C RG RT H right', OVER, man));
    expect(inside).toMatchObject({ block: 'double', step: { kind: 'in place' }, aim: 'near armpit, from under' });
    expect(inside!.technique!.pad).toContain('stop him and raise him');
    expect(outside).toMatchObject({ block: 'double', step: { kind: 'lead', foot: 'left' }, aim: 'near hip and ribs' });
    // Hips together: each man's head is on his own side of him, and the hand nearer to him presses.
    expect(outside!.technique).toMatchObject({ head: 'outside', hand: 'inside' });
    expect(inside!.technique).toMatchObject({ head: 'inside', hand: 'both' });
  });

  it('the same block on a zone track is no gap double', () => {
    const guard = ask('inside-zone-z4', FIVE, OVER, 'RG');
    expect(guard.block).toBe('double');
    expect(guard.step.kind).toBe('lead');
  });

  it('on a 5 he leads, a wide end needs a bucket step', () => {
    const tackle = (x: number) => ask('inside-zone-z1', FIVE, OVER.replace('RE 5 right', `RE (${x}, 2)`), 'RT');
    expect(tackle(9).step.kind).toBe('lead');
    expect(tackle(10).step.kind).toBe('bucket');
    expect(tackle(10).aim).toBe('playside number');
  });

  it('a step the scheme asks of everybody wins over the shade', () => {
    for (const x of [8, 9, 10])
      expect(ask('inside-zone-z3', FIVE, OVER.replace('RE 5 right', `RE (${x}, 2)`), 'RT').step.kind).toBe('drop');
  });

  it('a back block is a reach to the near number that does not cross the midline', () => {
    const centre = ask('power', 'LT LG C RG RT H right', OVER, 'C');
    expect(centre).toMatchObject({ block: 'back', step: { kind: 'lead' }, aim: 'near number, not past his midline' });
    const far = ask('power', 'LT LG C RG RT H right', OVER.replace('N 1 left', 'N 3 left'), 'C');
    expect(far).toMatchObject({
      block: 'back',
      step: { kind: 'bucket' },
      aim: 'near number, reached without crossing his midline',
    });
  });

  it('an end who blocks down goes across when the ball ends outside his man, and stays behind when it ends inside', () => {
    const formation = 'LT LG C RG RT Y right; Z wing right; B left';
    const front = OVER.replace('RE 5 right', 'RE 6i right');
    const [outside, inside] = [
      ask('buck-sweep', formation, front, 'Y'),
      ask('power', formation, 'LE 5 left; N 1 left; T 3 right; L 6i right; RE 9 right; W 30 left; M 10 right', 'Y'),
    ];
    expect([outside.block, outside.technique!.head]).toEqual(['down', 'across']);
    expect([inside.block, inside.technique!.head]).toEqual(['down', 'outside']);
  });

  it('is never said as right or left but for feet and the hand on the ground', () => {
    for (const id of libraryIds('schemes')) {
      const men = need(readFormation('LT LG C RG RT Y right; H left; B'));
      for (const a of resolveStill(need(shippedScheme(id)), men, need(readFront(OVER, men)), { side: 'right' })
        .assignments) {
        const { stance: _stance, ...rest } = a.technique!;
        expect(JSON.stringify([rest, a.aim, a.eyes])).not.toMatch(/\b(right|left)\b/);
      }
    }
  });

  it('mirrors: the same words, the other feet', () => {
    const men = need(readFormation('LT LG C RG RT Y right; B left'));
    fc.assert(
      fc.property(
        aFront(men),
        fc.constantFrom(...libraryIds('schemes')),
        fc.constantFrom(...SIDES),
        (front, id, side) => {
          const scheme = need(shippedScheme(id));
          const one = resolveStill(scheme, men, front, { side });
          const other = resolveStill(scheme, mirrorFormation(men), mirrorFront(front), { side: otherSide(side) });
          for (const a of one.assignments) {
            const twin = other.assignments.find((b) => b.blocker === mirrorSeat(a.blocker))!;
            expect(TechniqueSheetSchema.parse(a.technique)).toEqual(a.technique);
            expect([twin.step.kind, twin.aim, twin.technique!.head, twin.technique!.hand, twin.technique!.pad]).toEqual(
              [a.step.kind, a.aim, a.technique!.head, a.technique!.hand, a.technique!.pad],
            );
            if (a.technique!.stance.back !== null && a.blocker !== 'C')
              expect(twin.technique!.stance.back).toBe(otherSide(a.technique!.stance.back));
          }
        },
      ),
    );
  });
});

describe('schools of technique', () => {
  it.each(Object.keys(TECHNIQUE_SCHOOLS) as TechniqueSchool[])(
    '%s: every school says something of its own, and the program’s is told',
    (question) => {
      const { schools } = TECHNIQUE_SCHOOLS[question];
      expect(new Set(Object.values(schools)).size).toBe(schoolsOf(question).length);
      if (question === 'runStance') return;
      const men = ['LG', 'C', 'RG', 'RT', 'LT'];
      for (const [school, says] of Object.entries(schools)) {
        const told = ['inside-zone-z1', 'outside-zone', 'power'].flatMap((id) =>
          men.flatMap((man) => ask(id, FIVE, OVER, man, { [question]: school }).technique!.schools),
        );
        expect(told).toContain(says);
        expect(told.filter((t) => Object.values(schools).includes(t as never) && t !== says)).toEqual([]);
      }
    },
  );

  it('the hat goes where the school says on a man outside, and inside on a man inside', () => {
    const hat = (front: string, school: string) =>
      ask('inside-zone-z1', FIVE, front, 'RT', { hat: school }).technique!.head;
    expect(hat(OVER, 'outside')).toBe('outside');
    expect(hat(OVER, 'inside number')).toBe('inside');
    expect(hat(OVER.replace('RE 5', 'RE 4'), 'outside')).toBe('square');
  });
});

describe('the stance sheet', () => {
  const stance = (id: string, man: string, front = OVER, settings = {}) =>
    sayStance(ask(id, 'LT LG C RG RT; H right; B', front, man, settings));

  it('has the foot back on the side of the man expected, the hand down beside it', () => {
    expect(stance('inside-zone-z1', 'RT')).toBe('three-point, right hand down, right foot back heel to instep');
    expect(stance('inside-zone-z1', 'RT', OVER.replace('RE 5 right', 'RE (10.5, 2)'))).toBe(
      'three-point, right hand down, right foot back heel to toe',
    );
    expect(stance('inside-zone-z1', 'RT', OVER, { runStance: 'two-point' })).toBe(
      'two-point, right foot back heel to instep',
    );
  });

  it('is even for who pulls and for who has nobody on the line: it tips nothing off', () => {
    expect(stance('power', 'LG')).toBe('three-point, left hand down, feet even');
    expect(stance('inside-zone-z1', 'LT')).toBe('three-point, left hand down, feet even');
  });

  it('is the tackle’s, two-point or over the ball in a protection', () => {
    expect(stance('pro-five-back', 'LT')).toBe('tackle’s, left foot back heel to toe');
    expect(stance('pro-five-back', 'RG')).toMatch(/^two-point, /);
    expect(stance('pro-five-back', 'C')).toMatch(/^over the ball, /);
    expect(stance('pro-five-back', 'B')).toBe('upright');
  });

  it('names the first step by front and back foot', () => {
    expect(ask('inside-zone-z1', FIVE, OVER, 'RT').technique!.stepsWith).toBe('back foot');
    expect(ask('power', 'LT LG C RG RT; H right', OVER, 'LT').technique!.stepsWith).toBe('front foot');
    expect(ask('power', 'LT LG C RG RT; H right', OVER, 'LG').technique!.stepsWith).toBe('either foot');
  });
});

describe('technique in lines', () => {
  it('runs from the ground up, and is empty for an answer that was kept without it', () => {
    const tackle = ask('power', 'LT LG C RG RT; H right', OVER, 'RT');
    expect(techniqueLines(tackle).map((l) => l.name)).toEqual([
      'Stance',
      'First step',
      'Second step',
      'Aim',
      'Eyes',
      'Head',
      'Pressure',
      'Pads',
      'Our way',
      'Our way',
    ]);
    expect(techniqueLines(tackle)[1]!.says).toBe('short lead step, left foot, the back one');
    expect(sayTechnique(tackle)).toMatch(
      /^Stance three-point, left hand down, .*; head outside; pressure inside hand; .*\.$/,
    );
    expect(sayTechnique({ ...tackle, technique: null })).toBe('');
    expect(techniqueLines({ ...tackle, technique: null })).toEqual([]);
    const named = (passing: unknown) =>
      techniqueLines(tackle, { passing } as Pick<Resolution, 'passing'>).find((l) => l.name === 'Shoulder')?.says;
    expect([named(null), named({})]).toEqual(['inside', undefined]);
    expect(sayStance({ technique: null })).toBe('');
  });
});
