import { describe, expect, it } from 'vitest';
import { libraryIds, libraryText, schemeFrom } from '../library/library';
import { need } from '../testing/need';
import { shippedScheme } from '../calls/resolve-call';
import { resolveStill } from '../resolve/resolve';
import type { CompiledScheme } from '../resolve/prepare/compile';
import { readFormation } from './lineups/read-formation';
import { readFront } from './lineups/read-front';
import { newSchemeText } from './new-scheme';

describe('a new play', () => {
  it('blank: reads without a complaint under its own name', () => {
    const read = schemeFrom(newSchemeText('our-own', 'Our "own"', null));
    expect(read.diagnostics).toEqual([]);
    expect(need(read).tree).toMatchObject({ id: 'our-own', name: 'Our own' });
  });

  it.each(libraryIds('schemes'))('from %s: the same rules under another name', (id) => {
    const [was, is] = [id, newSchemeText('our-own', 'Our own', libraryText('schemes', id)!)].map((text) =>
      need(text === id ? shippedScheme(id) : schemeFrom(text)),
    );
    expect(is!.tree).toMatchObject({ id: 'our-own', name: 'Our own' });
    const men = need(readFormation('LT LG C RG RT Y right; H left; B'));
    const front = need(readFront('LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right; S (14, 10)', men));
    const answer = (scheme: CompiledScheme) =>
      resolveStill(scheme, men, front, { side: 'right' }).assignments.map((a) => [
        a.blocker,
        a.block,
        a.target,
        a.next,
      ]);
    expect(answer(is!)).toEqual(answer(was!));
  });

  it('cannot begin from something that is no play', () => {
    expect(() => newSchemeText('x', 'X', 'front x "X"\nT 3 right\n')).toThrow(/no scheme/);
  });
});
