import { describe, expect, it } from 'vitest';
import { resolveCall } from '../calls/resolve-call';
import type { Meeting } from '../film/follow/events';
import { A_CALL } from '../testing/a-call';
import { askedBesideDone } from './meeting-lines';

const resolution = resolveCall(A_CALL);
if (!resolution.ok) throw new Error('the call is broken');
const { assignments } = resolution.value;
const met = (defender: string, from: number, to: number | null, sure = 1, sureTo = 1, blocker = 'C'): Meeting => ({
  blocker,
  defender,
  from,
  to,
  nearest: 1.6,
  sure,
  sureTo,
});
const of = (man: string, meetings: readonly Meeting[]) =>
  askedBesideDone(assignments, meetings, 30, -1 / 30).find((b) => b.man === man)!;
const asked = assignments.find((a) => a.blocker === 'C')!.target!;

describe('asked beside done', () => {
  it('says whom a man was asked to block and whom he met, when and until when', () => {
    expect(of('C', [met(asked, 13, 31)])).toEqual({
      man: 'C',
      asked,
      done: `${asked} 0.4 s to 1.0 s`,
      same: true,
    });
  });
  it('says another man where the film is sure of it, and nothing where it is not', () => {
    const other = asked === 'N' ? 'T' : 'N';
    expect(of('C', [met(other, 13, null)])).toMatchObject({ done: `${other} 0.4 s`, same: false });
    expect(of('C', [met(other, 13, null, 0.2)])).toMatchObject({ done: `perhaps ${other} 0.4 s`, same: null });
    expect(of('C', [])).toMatchObject({ done: 'met nobody', same: null });
  });
  it('says of an end nobody saw that it is about then', () => {
    expect(of('C', [met(asked, 13, 31, 1, 0.3)]).done).toBe(`${asked} 0.4 s to about 1.0 s`);
    expect(of('C', [met(asked, 13, null, 1, 0.3)]).done).toBe(`${asked} 0.4 s`);
  });
  it('tells the surest two of many, in the order in which they were', () => {
    const many = [met('T', 40, 50), met('M', 5, 9, 0.1), met('W', 20, 30), met('N', 60, 70, 0.3)];
    expect(of('C', many).done).toBe('W 0.6 s to 1.0 s, T 1.3 s to 1.6 s');
  });
  it('names the second man of a double, and leaves out who has nobody', () => {
    const double = assignments.find((a) => a.next !== null)!;
    expect(of(double.blocker, []).asked).toBe(`${double.target}, then ${double.next}`);
    const all = askedBesideDone(assignments, [], 30, 0).map((b) => b.man);
    expect(all).toEqual(assignments.filter((a) => a.target !== null).map((a) => a.blocker));
  });
});
