import { describe, expect, it, vi } from 'vitest';
import * as calls from '../calls/resolve-call';
import { A_CALL } from '../testing/a-call';
import { WAYS } from '../testing/a-week-paper';
import { workOnce } from './work-once';

vi.mock('../calls/resolve-call', { spy: true });

describe('a call for the week’s paper', () => {
  it('is worked out once as long as the ways are the same, and as it always is', () => {
    const work = vi.mocked(calls.workCall);
    const ways = { ...WAYS };
    work.mockClear();
    const first = workOnce(A_CALL, ways);
    expect(workOnce({ ...A_CALL }, ways)).toBe(first);
    expect(work).toHaveBeenCalledTimes(1);
    expect(workOnce({ ...A_CALL, side: 'left' }, ways)).not.toEqual(first);
    expect(workOnce({ ...A_CALL, frontName: 'Otherwise called' }, ways)).toMatchObject({
      value: { front: { name: 'Otherwise called' } },
    });
    expect(work).toHaveBeenCalledTimes(3);
    // Other settings, other words: other ways.
    expect(workOnce(A_CALL, { ...WAYS })).toEqual(first);
    expect(work).toHaveBeenCalledTimes(4);
    const none = workOnce({ ...A_CALL, formation: 'nobody' }, ways);
    expect([none.ok, workOnce({ ...A_CALL, formation: 'nobody' }, ways)]).toEqual([false, none]);
  });
});
