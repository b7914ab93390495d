import { describe, expect, it } from 'vitest';
import { workCall } from '../calls/resolve-call';
import { A_CALL } from '../testing/a-call';
import { WAYS } from '../testing/a-week-paper';
import { workOnce } from './work-once';

describe('a call for the week’s paper', () => {
  it('is worked out once as long as the ways are the same, and as it always is', () => {
    const ways = { ...WAYS };
    const first = workOnce(A_CALL, ways);
    expect(first).toEqual(workCall(A_CALL, ways));
    expect(workOnce({ ...A_CALL }, ways)).toBe(first);
    expect(workOnce({ ...A_CALL, side: 'left' }, ways)).not.toEqual(first);
    const otherwise = workOnce({ ...A_CALL, frontName: 'Otherwise called' }, ways);
    expect(otherwise).toMatchObject({ value: { front: { name: 'Otherwise called' } } });
    // Other settings, other words: other ways, and it is worked out anew.
    const anew = workOnce(A_CALL, { ...WAYS });
    expect(anew).toEqual(first);
    expect(anew).not.toBe(first);
    const none = workOnce({ ...A_CALL, formation: 'nobody' }, ways);
    expect([none.ok, workOnce({ ...A_CALL, formation: 'nobody' }, ways)]).toEqual([false, none]);
  });
});
