import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { wordDiagnostic } from '../diagnostics/wording';
import { libraryIds } from '../library/library';
import { NamingSchema, type NamedCall, type Naming } from '../model/naming';
import { callOfName, checkNaming, nameOfCall } from './names';
import { shippedNaming } from './shipped';

const aCall = (naming: Naming): fc.Arbitrary<NamedCall> =>
  fc.record({
    scheme: fc.constantFrom(...Object.keys(naming.plays)),
    side: fc.constantFrom('left' as const, 'right' as const),
    formation: fc.option(fc.constantFrom(...Object.keys(naming.formations))),
    motion: fc.option(fc.constantFrom(...Object.keys(naming.motions))),
    tags: fc.subarray(Object.keys(naming.tags)).map((tags) => tags.sort()),
  });

describe.each(['words', 'numbers'] as const)('names in %s', (style) => {
  const naming = shippedNaming(style);

  it('ships a naming that is whole and tells every call apart', () => {
    expect(NamingSchema.safeParse(naming).success).toBe(true);
    expect(checkNaming(naming)).toEqual([]);
    expect(Object.keys(naming.plays).sort()).toEqual(libraryIds('schemes').sort());
    expect(Object.keys(naming.formations).sort()).toEqual(libraryIds('formations').sort());
  });

  it('reads back every name it gives', () => {
    fc.assert(
      fc.property(aCall(naming), (call) => {
        const name = nameOfCall(naming, call);
        expect(name.ok && callOfName(naming, name.value)).toMatchObject({ ok: true, value: call });
      }),
      { numRuns: 300 },
    );
  });

  it('gives back every name it reads, however it was typed', () => {
    fc.assert(
      fc.property(aCall(naming), (call) => {
        const name = nameOfCall(naming, call);
        if (!name.ok) throw new Error('no name');
        const read = callOfName(naming, `  ${name.value.toUpperCase().replace(/ /g, '   ')} `);
        expect(read.ok && nameOfCall(naming, read.value)).toMatchObject({ value: name.value });
      }),
      { numRuns: 100 },
    );
  });
});

describe('a call that cannot be read', () => {
  const say = (style: Naming['style'], name: string): string => {
    const read = callOfName(shippedNaming(style), name);
    return read.ok ? 'read' : read.diagnostics.map((d) => `${d.span.column}: ${wordDiagnostic(d)}`).join();
  };
  it.each([
    ['words', 'Hazel Plouh right', /^7: .*play.*"Plouh".*did you mean "plough"/],
    ['words', 'Hazel Plough', /^13: .*side.*the end of the call/],
    ['words', 'Hazel Plough right wrapp', /^20: .*tag.*"wrapp".*did you mean "wrap"/],
    ['words', 'Hazel Plough right wrap wrap', /^25: .*tag/],
    ['words', '', /play/],
    ['numbers', 'Hazel 37 Plough', /^7: .*number.*"37"/],
    ['numbers', 'Hazel Plough', /^7: .*number.*"Plough"/],
  ] as const)('in %s: %s', (style, name, message) => {
    expect(say(style, name)).toMatch(message);
  });

  it('says which part has no word', () => {
    const none = nameOfCall(shippedNaming('words'), {
      scheme: 'nope',
      side: 'left',
      formation: null,
      motion: null,
      tags: [],
    });
    expect(!none.ok && wordDiagnostic(none.diagnostics[0]!)).toContain('play');
  });

  it('notices words that sound alike', () => {
    const naming = shippedNaming('words');
    expect(checkNaming({ ...naming, plays: { ...naming.plays, power: 'Ivy' } })).toHaveLength(1);
    expect(checkNaming({ ...naming, formations: { ...naming.formations, wing: 'Ivy bush' } })).toHaveLength(1);
    expect(checkNaming({ ...naming, tags: { ...naming.tags, wrap: 'Left' } })).toHaveLength(1);
  });
});

it('counts holes the program’s way: even to the left turns every number', () => {
  const naming = shippedNaming('numbers');
  const call: NamedCall = { scheme: 'power', side: 'right', formation: null, motion: null, tags: [] };
  expect(nameOfCall(naming, call)).toMatchObject({ value: '32 Plough' });
  const turned = { ...naming, numbers: { ...naming.numbers, even: 'left' as const } };
  expect(nameOfCall(turned, call)).toMatchObject({ value: '31 Plough' });
  expect(callOfName(turned, '32 Plough')).toMatchObject({ value: { side: 'left' } });
});
