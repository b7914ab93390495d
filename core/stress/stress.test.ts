import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { formationFrom, frontFrom, libraryIds, libraryText, schemeFrom, spaceFrom } from '../library/library';
import { shippedScheme } from '../calls/resolve-call';
import { SpaceSchema } from '../model/space';
import { prepareCall } from '../resolve/prepare/prepare-call';
import { resolveStill } from '../resolve/resolve';
import { movementMenu } from '../movement/menu';
import { choiceAt, openSpace, spaceAround, type OpenSpace } from './space';
import { addTallies, NO_TALLY, planFor, sharePlan, stress } from './stress';
import { need } from '../testing/need';

const formation = need(formationFrom(libraryText('formations', 'h-back')!));
const open = (id: string): OpenSpace => need(openSpace(need(spaceFrom(libraryText('spaces', id)!)), formation));
const power = prepareCall(need(shippedScheme('power')), formation, { side: 'right' });

describe('spaces', () => {
  it.each(libraryIds('spaces'))('%s opens against every formation, and its first choice is a front', (id) => {
    for (const f of libraryIds('formations')) {
      const space = need(
        openSpace(need(spaceFrom(libraryText('spaces', id)!)), need(formationFrom(libraryText('formations', f)!))),
      );
      expect(space.frontAt(space.radix.map(() => 0))!.defenders.length).toBeGreaterThan(4);
    }
  });

  it('counts every choice once', () => {
    const { radix, size } = open('even');
    const seen = new Set(Array.from({ length: size }, (_, i) => choiceAt(radix, i).join()));
    expect(seen.size).toBe(size);
  });

  it('begins around a front with that front', () => {
    const front = need(frontFrom(libraryText('fronts', 'over-walked')!, formation));
    const space = need(openSpace(spaceAround(front), formation));
    expect(space.frontAt(space.radix.map(() => 0))!.defenders).toEqual(front.defenders);
    expect(space.size).toBe(3 ** 5 * 3 ** 2);
  });

  it('moves the fronts around a front in every way asked for, and stands still first', () => {
    const front = need(frontFrom(libraryText('fronts', 'over')!, formation));
    const moves = movementMenu(front, formation).flatMap((g) => g.moves);
    const around = spaceAround(front, moves);
    const space = need(openSpace(around, formation));
    const still = space.radix.map(() => 0);
    expect(moves.length).toBeGreaterThan(10);
    expect(around.movements.map((_, i) => space.frontAt([...still.slice(0, -1), i])!.movements)).toEqual([
      [],
      ...moves.map((m) => [m]),
    ]);
  });

  it('says which part of a space is wrong', () => {
    const wrong = openSpace(SpaceSchema.parse({ id: 'x', name: 'X', men: [['T 3 right'], ['N 77 left']] }), formation);
    expect(wrong.ok).toBe(false);
    const text = spaceFrom('{"id": "x", "name": "X", "men": [[7]]}');
    expect(!text.ok && text.diagnostics[0]!.params).toMatchObject({ where: 'men.0.0' });
    expect(spaceFrom('{').ok).toBe(false);
  });
});

describe('stress', () => {
  it('agrees with resolving one by one', () => {
    const space = open('even');
    fc.assert(
      fc.property(fc.nat(space.size - 1), (index) => {
        const tally = stress(power, space, { kind: 'all', seed: 1, from: index, to: index + 1 });
        const front = space.frontAt(choiceAt(space.radix, index));
        if (!front) return void expect(tally).toMatchObject({ fronts: 0, skipped: 1 });
        const r = resolveStill(power.scheme, formation, front, power.call);
        expect([tally.sound, tally.atRisk, tally.broken]).toEqual(
          [r.verdict === 'sound', r.verdict === 'at risk', r.verdict === 'broken'].map(Number),
        );
        expect(tally.causes.map((c) => c.smallest.message).sort()).toEqual(r.problems.map((p) => p.message).sort());
      }),
      { numRuns: 60 },
    );
  });

  it('gives the same whole however it is shared out, sampled or exhaustive', () => {
    for (const id of ['even', 'everything']) {
      const space = open(id);
      const plan = planFor(space, 900, 3);
      const whole = stress(power, space, plan);
      for (const parts of [2, 7])
        expect(
          sharePlan(plan, parts)
            .map((p) => stress(power, space, p))
            .reduce(addTallies, NO_TALLY),
        ).toEqual(whole);
      expect(whole.fronts + whole.skipped).toBe(900);
      expect(whole.sound + whole.atRisk + whole.broken).toBe(whole.fronts);
    }
  });

  it('tries all of a small space and another sample with another seed', () => {
    const [even, everything] = [open('even'), open('everything')];
    expect(planFor(even, 1e6, 1)).toMatchObject({ kind: 'all', to: even.size });
    expect(stress(power, everything, planFor(everything, 400, 1))).not.toEqual(
      stress(power, everything, planFor(everything, 400, 2)),
    );
  });

  it('shows for every cause a front that has it, and none plainer', () => {
    const broken = need(
      schemeFrom(
        libraryText('schemes', 'power')!
          .replace(/^bump.*$/m, '')
          .replace('when there is a nose: base him', 'when there is a nose: climb to L2'),
      ),
    );
    const space = open('odd');
    const tally = stress(prepareCall(broken, formation, { side: 'right' }), space, planFor(space, 3000, 1));
    expect(tally.broken).toBeGreaterThan(0);
    for (const c of tally.causes) {
      const messages = resolveStill(broken, formation, space.frontAt(c.smallest.choice)!, {
        side: 'right',
      }).problems.map((p) => p.message);
      expect(messages).toContain(c.smallest.message);
    }
  });
});
