import { createPinia, setActivePinia } from 'pinia';
import { effectScope, nextTick } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import type { Proposal } from '#core/model/proposal';
import { useFilm } from '~/features/film/store';
import { useSession } from '~/features/session/store';
import { aMember } from '~/testing/a-member';
import { withWorkers } from '~/testing/fake-worker';
import { aSnap } from '~/testing/a-snap';
import { demoMeasured } from '#demo/measured';
import { DEMO_SNAPS } from '#demo/scenario';
import { useProposals } from './use-proposals';
import { sayCost, sayProposal, sayWhole, sayWhy } from './words';
import { resolveCall } from '#core/calls/resolve-call';
import { need } from '#core/testing/need';

const followed = (n: number) => demoMeasured(n)!.followed;
let asked: string[];
let answer: (url: string) => unknown;
let scope: ReturnType<typeof effectScope>;

beforeEach(() => {
  setActivePinia(createPinia());
  withWorkers();
  asked = [];
  answer = (url) => ({ measuring: { atSnap: [], followed: url.includes('/3/') ? null : followed(1), bends: [] } });
  vi.stubGlobal('$fetch', async (url: string) => {
    asked.push(url);
    return structuredClone(answer(url));
  });
  useSession().member = aMember();
  scope = effectScope();
});
afterEach(() => {
  scope.stop();
  vi.unstubAllGlobals();
});
const { call } = DEMO_SNAPS[0]!;
/** On the fourth nobody was followed. */
const show = (id: number): void =>
  void (useFilm().snap = aSnap(id, { call, resolution: need(resolveCall(call)), followed: id !== 4 }));
const until = async (holds: () => boolean): Promise<void> => {
  await expect.poll(() => holds()).toBe(true);
};

describe('what the film makes of a snap', () => {
  it('is worked out beside the screen where everybody was followed, and forgotten with the next snap', async () => {
    show(1);
    const { pending } = scope.run(() => useProposals())!;
    await nextTick();
    expect(pending.value).toBe(true);
    await until(() => Object.keys(useFilm().proposals).length > 0);
    expect(pending.value).toBe(false);
    expect(useFilm().proposals.LT).toMatchObject({ blocker: 'LT', assignment: 'right' });
    expect(asked).toEqual(['/api/snaps/1/measuring']);
    useFilm().proposals = {};
    show(3);
    await nextTick();
    await until(() => asked.length === 2 && !pending.value);
    expect(useFilm().proposals).toEqual({});
  });

  it('is waited for no longer where there is nothing to say: the call cannot be read any more', async () => {
    const unread = { ...call, formation: 'nobody knows' };
    useFilm().snap = aSnap(1, { call: unread, resolution: need(resolveCall(call)), followed: true });
    const { pending, problem } = scope.run(() => useProposals())!;
    expect(pending.value).toBe(true);
    await until(() => !pending.value);
    expect([useFilm().proposals, problem.value]).toEqual([{}, '']);
  });

  it('is asked for by nobody who may only look', async () => {
    useSession().member!.role = 'player';
    show(1);
    scope.run(() => useProposals());
    await nextTick();
    expect(asked).toEqual([]);
  });

  it('is not asked for where nobody was followed', async () => {
    show(4);
    scope.run(() => useProposals());
    await nextTick();
    await nextTick();
    expect(asked).toEqual([]);
    useFilm().snap = { ...useFilm().snap!, followed: true };
    await until(() => asked.length === 1);
  });

  it('starts nothing when it comes after the place was left', async () => {
    const Started = vi.fn();
    let goOn = (): void => undefined;
    const left = new Promise<void>((done) => (goOn = done));
    vi.stubGlobal('Worker', Started);
    vi.stubGlobal('$fetch', async (url: string) => {
      asked.push(url);
      await left;
      return structuredClone(answer(url));
    });
    show(1);
    scope.run(() => useProposals());
    await until(() => asked.length === 1);
    scope.stop();
    goOn();
    await vi.dynamicImportSettled();
    await new Promise((done) => setTimeout(done));
    expect(Started).not.toHaveBeenCalled();
  });

  it('says why it is not there, and the film is graded without', async () => {
    answer = () => {
      throw Object.assign(new Error('x'), { status: 503, data: { message: 'The database does not answer.' } });
    };
    show(1);
    const { problem, pending } = scope.run(() => useProposals())!;
    await until(() => problem.value !== '');
    expect([problem.value, useFilm().proposals, pending.value]).toEqual(['The database does not answer.', {}, false]);
  });
});

describe('a proposal in words', () => {
  const proposal: Proposal = {
    ...{
      blocker: 'LG',
      had: [],
      assignment: 'right',
      sure: 0.9,
      why: 'He had T.',
      outcome: null,
      cost: null,
      faults: [],
    },
  };
  it('is short under the man, with a question mark where it is not sure', () => {
    expect(sayProposal(proposal)).toBe('right');
    expect(sayProposal({ ...proposal, sure: 0.6, assignment: 'wrong' })).toBe('wrong?');
    expect(sayProposal({ ...proposal, assignment: null })).toBe('cannot tell');
    const faults = [
      { fault: 'wrong-man', sure: 1, why: '' },
      { fault: 'too-deep', sure: 0.8, why: 'Pulled 4 ft.' },
    ];
    expect(sayProposal({ ...proposal, faults })).toBe('right, pulled too deep?');
    expect(sayWhy({ ...proposal, faults })).toBe('He had T. (90 % sure.) pulled too deep: Pulled 4 ft.');
    expect(sayWhole({ ...proposal, faults }).startsWith('right, pulled too deep? He had T.')).toBe(true);
    expect(sayWhole(proposal).startsWith('right. He had T.')).toBe(true);
    const cost = {
      consequence: 'costly',
      why: 'T was 2 ft from the ball after 1.9 s, 4 ft past it; never nearer.',
    } as const;
    expect(sayCost(cost)).toBe(`costly: ${cost.why}`);
    expect(sayWhy({ ...proposal, cost })).toBe('He had T. (90 % sure.)');
    expect(sayWhy({ ...proposal, assignment: 'wrong', cost })).toBe(`He had T. (90 % sure.) Costly: ${cost.why}`);
  });
});
