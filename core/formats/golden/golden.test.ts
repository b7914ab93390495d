import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { libraryIds } from '../../library/library';
import { GoldenCaseSchema, mirrorCase, runGoldenCase, type GoldenCase } from './golden';

const table = (name: string): GoldenCase[] =>
  GoldenCaseSchema.array().parse(JSON.parse(readFileSync(fileURLToPath(new URL(name, import.meta.url)), 'utf8')));
/**
 * Cases worked by hand, each with a point of its own; and every scheme against the same six fronts: those were written down from the
 * engine and then read through, so they guard against change more than they prove; `second-look` holds the laws of the second level, of sides,
 * movement and protections case by case. The protections, the movements, `by-hand` and `second-look` were worked from the sheets and laws first; where
 * the engine said otherwise the sheet was read once more.
 */
const cases = [
  ...table('./cases.json'),
  ...table('./schemes.json'),
  ...table('./protections.json'),
  ...table('./movement.json'),
  ...table('./by-hand.json'),
  ...table('./second-look.json'),
];
const turned = (c: GoldenCase): GoldenCase => ({ ...c, front: c.front.split(';').reverse().join(';') });

describe.each(cases.map((c) => [c.id, c] as const))('%s', (_id, c) => {
  it('comes out as written down', () => expect(runGoldenCase(c)).toEqual([]));
  it('comes out mirrored', () => expect(runGoldenCase(mirrorCase(c))).toEqual([]));
  it('comes out whatever the order of the defenders', () => expect(runGoldenCase(turned(c))).toEqual([]));
});

it('says what differs', () => {
  const wrong = { ...cases[0]!, expect: { who: { C: 'XX' }, pulls: ['C'], free: ['XX'], verdict: 'broken' as const } };
  expect(runGoldenCase(wrong)).toHaveLength(4);
});

it('covers every scheme against at least five fronts', () => {
  for (const id of libraryIds('schemes'))
    expect(new Set(cases.filter((c) => c.scheme === id).map((c) => c.front)).size, id).toBeGreaterThanOrEqual(5);
});

it('skips a scheme that does not exist', () => expect(runGoldenCase({ ...cases[0]!, scheme: 'no-such' })).toBeNull());
