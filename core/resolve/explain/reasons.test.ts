import { describe, expect, it } from 'vitest';
import { readFormation } from '../../language/lineups/read-formation';
import { readFront } from '../../language/lineups/read-front';
import { libraryIds, schemeFrom } from '../../library/library';
import { shippedScheme } from '../../calls/resolve-call';
import { need } from '../../testing/need';
import { resolveStill } from '../resolve';

const HEAD = 'scheme t "T"\nfamily gap\nentry playside A gap\ntrack gap\ntempo power\ncover shoulders\n\n';
const REST = '\nevery man on the line\n  otherwise: climb\n';
const OVER = 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right';

/** Why the first sentence of the playside tackle was passed over. */
function reason(sentence: string, declared = ''): string {
  const men = need(readFormation('LT LG C RG RT'));
  const text = `${HEAD}${declared}\nplayside tackle\n  ${sentence}\n  otherwise: climb\n${REST}`;
  const r = resolveStill(need(schemeFrom(text)), men, need(readFront(OVER, men)), { side: 'right' });
  return r.assignments.find((a) => a.blocker === 'RT')!.because.passedOver[0]!.reason;
}

describe('why a sentence was passed over', () => {
  it.each([
    ['when there is a nose who is not the nose: base him', 'there is no nose who is not the nose'],
    ['when there is a second man outside me: base him', 'there is no second man outside me'],
    ['when the playside tight end is covered: climb', 'this formation has no playside tight end'],
    ['when the playside tight end is in the game: climb', 'this formation has no playside tight end'],
    ['when the playside tight end asks me for help: climb', 'this formation has no playside tight end'],
    ['when the playside C gap is filled: climb', 'this line has no playside C gap'],
    ['when the playside A gap is filled: climb', 'nobody stands in that gap'],
    ['when the second man outside me stands inside of me: climb', 'there is no second man outside me'],
    ['when the corner has a hand down: climb', 'there is no corner'],
  ])('%s: names what was looked for', (sentence, said) => {
    expect(reason(sentence)).toBe(said);
  });

  it('names whom nobody was there to take', () => {
    expect(reason('when I am covered: base the second man outside me')).toBe(
      'no second man outside me is there to take',
    );
    expect(reason('when I am covered: base the man on the centre who is not the nose')).toMatch(
      /^no man on the centre/,
    );
  });

  it('says a tag in its own words and a look by the remark above it', () => {
    expect(reason('when tag go-far is on: climb to L1', 'tag go-far "everybody one wider"\n')).toBe(
      '“everybody one wider” is not called',
    );
    expect(
      reason(
        'when the look is wide-end: climb to L1',
        '# The end stands far out.\nlook wide-end: there is a second man outside me\n',
      ),
    ).toBe('this is not the look “the end stands far out”');
    expect(reason('when the look is wide-end: climb to L1', 'look wide-end: there is a second man outside me\n')).toBe(
      'this is not the look “wide end”',
    );
  });

  it('never shows a name with a hyphen that only the rules use', () => {
    const men = need(readFormation('LT LG C RG RT Y right; H left; B'));
    for (const id of libraryIds('schemes')) {
      const scheme = need(shippedScheme(id));
      const names = [...scheme.tree.tags, ...scheme.tree.looks].map((x) => x.name).filter((n) => n.includes('-'));
      const r = resolveStill(scheme, men, need(readFront(OVER, men)), { side: 'right' });
      const reasons = r.assignments.flatMap((a) => a.because.passedOver.map((p) => p.reason)).join('\n');
      for (const name of names) expect(reasons).not.toContain(name);
    }
  });
});
