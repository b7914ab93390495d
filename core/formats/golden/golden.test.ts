import { describe, expect, it } from 'vitest';
import { readFileSync } from 'node:fs';
import { fileURLToPath } from 'node:url';
import { GoldenCaseSchema, mirrorCase, runGoldenCase, type GoldenCase } from './golden';

const cases = GoldenCaseSchema.array().parse(JSON.parse(readFileSync(fileURLToPath(new URL('./cases.json', import.meta.url)), 'utf8')));
const turned = (c: GoldenCase): GoldenCase => ({ ...c, front: c.front.split(';').reverse().join(';') });

describe.each(cases.map((c) => [c.id, c] as const))('%s', (_id, c) => {
  it('comes out as worked by hand', () => expect(runGoldenCase(c)).toEqual([]));
  it('comes out mirrored', () => expect(runGoldenCase(mirrorCase(c))).toEqual([]));
  it('comes out whatever the order of the defenders', () => expect(runGoldenCase(turned(c))).toEqual([]));
});

it('says what differs', () => {
  const wrong = { ...cases[0]!, expect: { who: { C: 'XX' }, pulls: ['C'], free: ['XX'], verdict: 'broken' as const } };
  expect(runGoldenCase(wrong)).toHaveLength(4);
});

it('skips a scheme that does not exist', () => expect(runGoldenCase({ ...cases[0]!, scheme: 'no-such' })).toBeNull());
