import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { has } from '../../geometry/bits';
import { Facts } from '../../identify/identify';
import { libraryIds, libraryText, schemeFrom } from '../../library/library';
import type { Side } from '../../model/side';
import { aFront, aLineup, formationOf } from '../../testing/fronts';
import { NOBODY } from '../../vocabulary/scene';
import type { CompiledScheme } from './compile';
import { compileCondition, FAILS, type CompiledTest } from './phrase';
import { tagsInForce } from './tags';
import { seatCall, type SeatedCall } from './seat-call';
import { setScene } from '../settle/set-scene';
import { settleFirstLevel } from '../settle/settle';

function scheme(text: string): CompiledScheme {
  const read = schemeFrom(text);
  if (!read.ok) throw new Error(JSON.stringify(read.diagnostics));
  return read.value;
}
const HEAD = 'scheme s "S"\nfamily gap\nentry playside A gap\ntrack gap\ntempo power\ncover shoulders\n';
const FIVE = formationOf('LT LG C RG RT');
const seat = (text: string, side: Side = 'right', tags: readonly string[] = []): SeatedCall => {
  const compiled = scheme(text);
  return seatCall(compiled, FIVE, side, tagsInForce(compiled, { tags }));
};
const idsOf = (call: SeatedCall, men: readonly number[]): string[] => men.map((m) => call.lineup.men[m]!.id);

describe.each(libraryIds('schemes'))('%s, seated', (id) => {
  const compiled = scheme(libraryText('schemes', id)!);

  it('reads every sentence as the same sentence would be read afresh for its man', () => {
    fc.assert(
      fc.property(aLineup, fc.constantFrom<Side>('left', 'right'), ({ formation, front }, side) => {
        const call = seatCall(compiled, formation, side, tagsInForce(compiled, {}));
        const scene = setScene(call, new Facts(formation, front, { side }));
        settleFirstLevel(call, scene);
        for (const [man, sentences] of call.sheets.entries()) {
          for (const { when, called, sentence } of sentences) {
            if (!sentence.when) continue;
            // Who was named matters only where the sentence goes on.
            const answer = (test: CompiledTest | boolean | null): number =>
              test === null || test === true ? NOBODY : test === false ? FAILS : test(scene, man, NOBODY);
            expect(answer(when)).toBe(answer(compileCondition(sentence.when, null)));
            if (!called) expect(answer(when)).toBe(FAILS);
          }
        }
      }),
      { numRuns: 15 },
    );
  });

  it('lists whom its words would find, in the order in which they would find them', () => {
    fc.assert(
      fc.property(
        aLineup,
        fc.constantFrom<Side>('left', 'right'),
        fc.func(fc.boolean()),
        ({ formation, front }, side, likes) => {
          const call = seatCall(compiled, formation, side, tagsInForce(compiled, {}));
          const scene = setScene(call, new Facts(formation, front, { side }));
          for (const [man, sentences] of call.sheets.entries())
            for (const { finder } of sentences.flatMap((s) =>
              s.actions.flatMap((a) => [...a.wishes, ...(a.then?.wishes ?? [])]),
            )) {
              if (!finder.list) continue;
              const found = finder.seek(scene, man, NOBODY, (_scene, _man, _him, d) => likes(d));
              expect(found).toBe(finder.list(scene, man, NOBODY).find((d) => likes(d)) ?? NOBODY);
            }
        },
      ),
      { numRuns: 15 },
    );
  });

  it('settles as it would if everybody were asked again whenever anybody changes his mind', () => {
    fc.assert(
      fc.property(aLineup, fc.constantFrom<Side>('left', 'right'), ({ formation, front }, side) => {
        const call = seatCall(compiled, formation, side, tagsInForce(compiled, {}));
        const settled = (one: SeatedCall): unknown => {
          const scene = setScene(one, new Facts(formation, front, { side }));
          const { cycle, fallbacks, chosen } = settleFirstLevel(one, scene);
          return { cycle, fallbacks, chosen };
        };
        expect(settled(call)).toEqual(settled({ ...call, watchers: call.watchers.map(() => -1) }));
      }),
      { numRuns: 15 },
    );
  });
});

describe('a seated call', () => {
  it('knows whose choices each man looks at', () => {
    const call = seat(
      `${HEAD}centre\n  when the playside guard asks me for help: help the playside guard on him\n  otherwise: climb\nbackside guard\n  when there is a man on me whom nobody else has: base him\n  otherwise: climb\nplayside guard\n  when there is a nose: double him with the centre, then climb to L1\n  otherwise: climb\n`,
    );
    const watching = (name: string): string[] => {
      const mask = call.watchers[call.lineup.men.findIndex((m) => m.id === name)]!;
      return call.lineup.men.filter((m) => has(mask, m.index)).map((m) => m.id);
    };
    expect(watching('RG')).toEqual(['LG', 'C']);
    expect(watching('LT')).toEqual(['LG']);
    expect(watching('C')).toEqual(['LG']);
  });

  it('knows which sentences can fit as the play is called', () => {
    const text = `${HEAD}tag wham "he goes"\ncentre\n  when tag wham is on: base the nose\n  when tag wham is off and there is a nose: base him\n  otherwise: climb\nback\n  when tag wham is on: lead for L1\n`;
    const quiet = seat(text);
    const loud = seat(text, 'right', ['wham']);
    const centre = quiet.lineup.posts.C;
    expect(quiet.called[centre]).toEqual([1, 2]);
    expect(loud.called[centre]).toEqual([0, 2]);
    expect(loud.sheets[centre]![0]!.when).toBeNull();
    expect(idsOf(quiet, quiet.order)).toEqual(['C']);
  });

  it('lets men speak from the play side, and is seated once', () => {
    const text = `${HEAD}every man on the line\n  always: climb\n`;
    expect(idsOf(seat(text), seat(text).order)).toEqual(['RT', 'RG', 'C', 'LG', 'LT']);
    expect(idsOf(seat(text, 'left'), seat(text, 'left').order)).toEqual(['LT', 'LG', 'C', 'RG', 'RT']);
    const compiled = scheme(text);
    expect(seatCall(compiled, FIVE, 'right', new Set(['b', 'a']))).toBe(
      seatCall(compiled, FIVE, 'right', new Set(['a', 'b'])),
    );
    expect(seatCall(compiled, FIVE, 'right', new Set())).not.toBe(seatCall(compiled, FIVE, 'left', new Set()));
  });

  it('sees a look once, and one that speaks of "me" for each man', () => {
    const call = seat(
      `${HEAD}look heavy: there is a nose and he is on the line\nlook mine: I am covered\nevery man on the line\n  when the look is heavy and the look is mine: base the man on me\n  otherwise: climb\n`,
    );
    expect([...call.looks].map(([name, look]) => [name, look.once])).toEqual([
      ['heavy', true],
      ['mine', false],
    ]);
    fc.assert(
      fc.property(aFront(FIVE), (front) => {
        const scene = setScene(call, new Facts(FIVE, front, { side: 'right' }));
        const line = Array.from({ length: scene.lineCount }, (_, man) => man);
        const heavy = line.map((man) => scene.shows('heavy', man));
        expect(new Set(heavy).size).toBe(1);
        expect(heavy[0]).toBe(scene.on[scene.posts.C]!.length > 0);
        expect(line.map((man) => scene.shows('mine', man))).toEqual(line.map((man) => scene.on[man]!.length > 0));
      }),
    );
  });
});
