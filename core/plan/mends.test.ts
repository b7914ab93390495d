import { describe, expect, it } from 'vitest';
import { SHIPPED_PLAYBOOK } from '../calls/playbook';
import { workCall } from '../calls/resolve-call';
import { libraryIds, libraryText } from '../library/library';
import type { Mending } from '../compare/mend';
import type { Call } from '../model/snap';
import { need } from '../testing/need';
import { mendOf, sayMend, smallestOf } from './mends';

const mending = (change: Mending['change'], verdict: Mending['verdict'], left = 0): Mending => ({
  ...{ change, verdict, left, gone: [] },
});
const ways = { playbook: SHIPPED_PLAYBOOK };

describe('the smallest change that mends a call', () => {
  it('is a word rather than another sheet, of those that make it sound', () => {
    const school = mending({ kind: 'school', scheme: 'duo', name: 'Duo' }, 'sound');
    const tag = mending({ kind: 'tag', tag: 'wrap', on: true }, 'sound');
    const side = mending({ kind: 'side', side: 'left' }, 'sound');
    expect(smallestOf([school, side, tag])).toBe(tag);
    expect(smallestOf([school, side])).toBe(side);
  });

  it('that makes it sound goes before a smaller one that does not', () => {
    const school = mending({ kind: 'school', scheme: 'duo', name: 'Duo' }, 'sound');
    const tag = mending({ kind: 'tag', tag: 'wrap', on: true }, 'at risk', 1);
    expect(smallestOf([school, tag])).toBe(school);
  });

  it('of those that leave something, the one that leaves least', () => {
    const one = mending({ kind: 'school', scheme: 'duo', name: 'Duo' }, 'at risk', 1);
    const two = mending({ kind: 'tag', tag: 'wrap', on: true }, 'at risk', 2);
    expect(smallestOf([one, two])).toBe(one);
    expect(sayMend(one)).toBe('run duo instead: at risk, 1 left');
    expect([smallestOf([]), sayMend(null)]).toEqual([
      null,
      'nothing common mends it: another play, or one sentence more',
    ]);
  });

  it('made as it says, a weak call is as good as it says', () => {
    const formation = libraryText('formations', 'five-man')!;
    const clauses = formation.slice(formation.indexOf('\n')).trim().replaceAll('\n', '; ');
    let made = 0;
    for (const scheme of ['inside-zone-z2', 'power', 'counter-gt'])
      for (const id of libraryIds('fronts')) {
        const front = SHIPPED_PLAYBOOK.clauses('fronts', id);
        const call: Call = {
          ...{ scheme, side: 'right', tags: [], overrides: {}, formation: clauses, formationName: 'Five men' },
          ...{ front, frontName: id },
        };
        const worked = workCall(call, ways);
        const found =
          worked.ok && worked.value.resolution.verdict !== 'sound' ? mendOf(call, worked.value, ways) : null;
        if (!found || (found.change.kind !== 'side' && (found.change.kind !== 'tag' || !found.change.on))) continue;
        const mended: Call =
          found.change.kind === 'side' ? { ...call, side: found.change.side } : { ...call, tags: [found.change.tag] };
        expect(need(workCall(mended, ways)).resolution.verdict).toBe(found.verdict);
        made++;
      }
    expect(made).toBeGreaterThan(5);
  });
});
