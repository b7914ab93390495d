import { describe, expect, it } from 'vitest';
import { readFront } from '../language/lineups/read-front';
import { libraryIds, schemeFrom } from '../library/library';
import { resolveStill } from '../resolve/resolve';
import { surveyRandom, surveyShipped } from './doubt-survey';
import { doubtsOf, DOUBT_KINDS, type DoubtKind } from './doubts';
import { formationOf } from './fronts';
import { INTENTS } from './intents';
import { need } from './need';

const HEAD = 'scheme t "T"\nfamily gap\nentry playside A gap\ntrack gap\ntempo power\ncover shoulders\n';

/** Doubts about a scheme of a few lines against one front, with the five and whoever else is named. */
function doubts(rules: string, front: string, formation = 'LT LG C RG RT'): DoubtKind[] {
  const men = formationOf(formation);
  const placed = need(readFront(front, men));
  const resolution = resolveStill(need(schemeFrom(HEAD + rules)), men, placed, { side: 'right' });
  return doubtsOf({ scheme: 't', formation: men, front: placed, resolution }).map((d) => d.kind);
}

/** One silly answer a kind: a sheet and a front that give it. */
const SILLY: Partial<Record<DoubtKind, () => DoubtKind[]>> = {
  'idle beside a free man': () => doubts('playside tackle\n  always: climb to the force\n', 'M (8, 12)'),
  'a double without its linebacker': () =>
    doubts(
      'playside tackle\n  always: double the man on the playside guard with the playside guard\nplayside guard\n  always: double the man on me with the playside tackle\n',
      'T 3 right; M (5, 12)',
    ),
  'too far for a climb': () => doubts('backside tackle\n  always: climb to the force\n', 'S (12, 12)'),
  'two on one unasked': () =>
    doubts('centre\n  always: base the nose\nplayside guard\n  always: base the nose\n', 'N 0'),
  'a puller with nobody': () => doubts('backside guard\n  always: pull and lead for L1\n', 'RE 5 right; S (14, 8)'),
  'an end inside, the overhang free': () =>
    doubts('playside tight end\n  always: climb to L1\n', 'M (2, 12); S (14, 10)', 'LT LG C RG RT Y right'),
};

describe('doubts', () => {
  it.each(Object.keys(SILLY) as DoubtKind[])('find %s', (kind) => expect(SILLY[kind]!()).toContain(kind));

  it('say nothing of a plain answer', () => {
    expect(
      doubts('centre\n  always: base the nose\nplayside guard\n  always: climb to L1\n', 'N 0; M (3, 12)'),
    ).toEqual([]);
  });

  it('are silent only with a reason', () => {
    for (const { kind, reason } of INTENTS) {
      expect(DOUBT_KINDS).toContain(kind);
      expect(reason).toMatch(/^[A-Z].*\.$/);
    }
  });
});

/**
 * How many of a hundred random fronts may raise a doubt, and how many of a thousand while the verdict is "sound": what was reached, so that it
 * does not get worse.
 */
const REACHED = { of: 200, doubtful: 0.025, sound: 0 };

describe.each(libraryIds('schemes'))('%s, doubted', (id) => {
  it('on the shipped fronts nothing is objected to that the verdict calls sound', () => {
    const { sound, examples } = surveyShipped(id);
    expect([sound, ...examples.values()].slice(0, sound ? 9 : 1)).toEqual([0]);
  });

  it('on random fronts, standing and moving, no more than was reached', () => {
    const found = surveyRandom(id, REACHED.of, 11);
    expect(found.fronts).toBe(REACHED.of);
    expect(found.doubtful).toBeLessThanOrEqual(REACHED.doubtful * REACHED.of);
    expect(found.sound).toBeLessThanOrEqual(REACHED.sound * REACHED.of);
  });
});
