import { effectScope, type EffectScope } from 'vue';
import { afterEach, beforeEach, describe, expect, it, vi } from 'vitest';
import { openJob, type StressJob } from '#core/calls/stress-job';
import { libraryText } from '#core/library/library';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { NO_TALLY, planFor, stress, type StressPlan, type Tally } from '#core/stress/stress';
import { need } from '#core/testing/need';
import { useProof } from './proof';

const JOB: StressJob = {
  scheme: libraryText('schemes', 'power')!,
  formation: { text: 'LT LG C RG RT; H right; B left', inline: true },
  space: libraryText('spaces', 'odd')!,
  side: 'right',
  tags: [],
  without: [],
  settings: SHIPPED_SETTINGS,
};
const LIMIT = 300;

/** Workers that work when they are told to. */
let workers: { plan: StressPlan; alive: boolean; hear: (data: unknown) => void; fail: (message: string) => void }[];
let scope: EffectScope;
beforeEach(() => {
  workers = [];
  class Held {
    onmessage: ((event: { data: unknown }) => void) | null = null;
    onerror: ((event: { message: string }) => void) | null = null;
    private readonly own = {
      plan: null as unknown as StressPlan,
      alive: true,
      hear: (data: unknown) => this.onmessage?.({ data }),
      fail: (message: string) => this.onerror?.({ message }),
    };
    postMessage({ plan }: { plan: StressPlan }): void {
      this.own.plan = plan;
      workers.push(this.own);
    }
    terminate(): void {
      this.own.alive = false;
    }
  }
  vi.stubGlobal('Worker', Held);
  vi.stubGlobal('navigator', { hardwareConcurrency: 3 });
  scope = effectScope();
});
afterEach(() => {
  scope.stop();
  vi.unstubAllGlobals();
});
const opened = need(openJob(JOB));
const tallyOf = (plan: StressPlan): Tally => stress(opened.prepared, opened.space, plan);
const begun = () => {
  const proof = scope.run(() => useProof())!;
  proof.start(JOB, LIMIT, 7);
  return proof;
};
/** A worker does all it was asked for. */
function work(i: number): void {
  const { plan, hear } = workers[i]!;
  hear({ kind: 'part', done: plan.to - plan.from, tally: tallyOf(plan) });
  hear({ kind: 'end' });
}

describe('a proof', () => {
  it('is shared among workers, and what they find together is what one would have found', () => {
    const proof = begun();
    expect([workers.length, proof.running.value, proof.total.value]).toEqual([2, true, LIMIT]);
    work(1);
    expect([proof.running.value, proof.share.value > 0, proof.share.value < 1]).toEqual([true, true, true]);
    work(0);
    expect([proof.running.value, proof.share.value]).toEqual([false, 1]);
    expect(proof.tally.value).toEqual(tallyOf(planFor(opened.space, LIMIT, 7)));
    const cause = [...proof.tally.value.causes][0];
    expect(cause && proof.frontOf(cause)).toMatch(/N |LE |RE /);
    expect(workers.every((w) => !w.alive)).toBe(true);
  });

  it('can be stopped with what was found so far, and forgotten', () => {
    const proof = begun();
    work(0);
    proof.stop();
    expect([proof.running.value, proof.done.value > 0, workers.some((w) => w.alive)]).toEqual([false, true, false]);
    proof.clear();
    expect([proof.tally.value, proof.total.value, proof.done.value]).toEqual([NO_TALLY, 0, 0]);
  });

  it('says so when a worker breaks down or cannot read its texts, and keeps what was found', () => {
    const proof = begun();
    work(0);
    const { done } = proof;
    const before = done.value;
    workers[1]!.fail('');
    expect(proof.problem.value).toContain('a worker could not be started');
    expect([proof.running.value, done.value]).toEqual([false, before]);
    proof.start(JOB, LIMIT, 7);
    workers[2]!.hear({ kind: 'wrong', message: 'scheme.empty' });
    expect([proof.problem.value, proof.running.value]).toEqual(['scheme.empty', false]);
  });

  it('does not begin with a text that cannot be read, and ends with the place it is in', () => {
    const proof = scope.run(() => useProof())!;
    proof.start({ ...JOB, formation: { text: 'LT LG RG RT', inline: true } }, LIMIT, 7);
    expect([workers.length, proof.running.value]).toEqual([0, false]);
    expect(proof.problem.value).toContain('C');
    proof.start(JOB, LIMIT, 7);
    scope.stop();
    expect(workers.some((w) => w.alive)).toBe(false);
  });
});
