import { createPinia, setActivePinia } from 'pinia';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Cut, KeptCut } from '#core/film/log/cut';
import { CUT_KEYS } from '#core/film/log/cut-fields';
import { useCuts } from './store';
import { sayCut, sayField } from './words';

let kept: KeptCut[];
let reachable: boolean;
beforeEach(() => {
  setActivePinia(createPinia());
  [kept, reachable] = [[{ id: 1, name: 'Power', cut: { play: ['power'] } }], true];
  vi.stubGlobal(
    '$fetch',
    async (url: string, { method, body }: { method: string; body: { name: string; cut: Cut } }) => {
      if (!reachable) throw new Error('refused');
      if (method === 'GET') return kept;
      if (method === 'DELETE') return void (kept = kept.filter((c) => !url.endsWith(`/${c.id}`)));
      if (kept.some((c) => c.name === body.name)) {
        const message = `There is a cut "${body.name}" already. Nothing was changed.`;
        throw Object.assign(new Error(message), { status: 409, data: { message } });
      }
      const made = { id: kept.length + 1, ...body };
      kept = [...kept, made];
      return made;
    },
  );
});
afterEach(() => vi.unstubAllGlobals());

describe('kept cuts', () => {
  it('are listed by name, added once, and dropped', async () => {
    const cuts = useCuts();
    await cuts.load();
    expect(await cuts.keep('Doubles', { block: ['double'] })).toBe(true);
    expect(cuts.kept.map((c) => c.name)).toEqual(['Doubles', 'Power']);
    expect(await cuts.keep('Doubles', {})).toBe(false);
    expect(cuts.problem).toContain('already');
    expect(await cuts.remove(1)).toBe(true);
    expect([cuts.kept.map((c) => c.name), cuts.problem]).toEqual([['Doubles'], '']);
  });

  it('stay as they are when the server cannot be reached', async () => {
    const cuts = useCuts();
    await cuts.load();
    reachable = false;
    expect(await cuts.remove(1)).toBe(false);
    expect(await cuts.keep('Other', {})).toBe(false);
    expect([cuts.kept.length, cuts.problem]).toEqual([1, 'The server cannot be reached.']);
  });
});

describe('a cut in words', () => {
  it('says every field as a coach would', () => {
    expect(sayCut({ quarter: ['3'], play: ['power'], front: ['Odd'], hash: ['left'] })).toBe(
      'power, odd, 3rd quarter, left hash',
    );
    expect(sayCut({ man: ['RG'], block: ['double'], with: ['RT'], fault: ['high-pads'] })).toBe(
      'RG, double, together with RT, high pads',
    );
    expect(sayField('play', ['power', 'duo'])).toBe('power or duo');
    expect(sayCut({})).toBe('');
  });
  it('says a value it does not know as it stands', () => {
    for (const key of CUT_KEYS) expect(sayField(key, ['xyzzy'])).toContain(key === 'counted' ? 'not counted' : 'xyzzy');
  });
});
