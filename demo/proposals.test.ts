import { describe, expect, it } from 'vitest';
import { workCall } from '#core/calls/resolve-call';
import { proposals } from '#core/grade/propose/propose-job';
import { proposedOf, takeProposal } from '#core/grade/propose/take';
import { doneGrade } from '#core/grade/rubrics/index';
import type { Proposal } from '#core/model/proposal';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { need } from '#core/testing/need';
import { demoMeasured } from './measured';
import { proposedFor } from './proposals';
import { DEMO_SNAPS, type FilmFault } from './scenario';

/** Snaps that run as they are asked to, of every kind there is on the film. */
const CLEAN = [1, 3, 7, 10, 13, 16, 17, 19, 22];
const snapWith = (number: number, faults: FilmFault[]) => ({ ...DEMO_SNAPS[number - 1]!, faults });
const of = (found: readonly Proposal[], man: string): Proposal => found.find((p) => p.blocker === man)!;

describe('what the film proposes of a play that ran as asked', () => {
  it.each(CLEAN)('snap %i: everybody has his man', (number) => {
    const found = proposedFor(snapWith(number, []), 70 + number);
    expect(found.length).toBeGreaterThan(4);
    const told = found.filter((p) => p.assignment !== null);
    expect(told.filter((p) => p.assignment !== 'right').map((p) => `${p.blocker}: ${p.why}`)).toEqual([]);
    for (const p of told) {
      expect(p.why).toMatch(/\.$/);
      expect(p.sure).toBeGreaterThan(0.5);
      expect(p.sure).toBeLessThan(1);
    }
  });
});

describe('what it proposes of one who errs', () => {
  it.each([
    [18, 'LT', 'wrong-man'],
    [23, 'LG', 'wrong-man'],
    [1, 'RT', 'wrong-man'],
    [7, 'C', 'wrong-man'],
  ] as const)('snap %i, %s on another man: a wrong man, and whose way it was', (number, man, fault) => {
    const found = proposedFor(snapWith(number, [{ man, fault }]), 300 + number);
    expect(of(found, man)).toMatchObject({ assignment: 'wrong' });
    expect(of(found, man).faults[0]!.fault).toBe('wrong-man');
    expect(found.filter((p) => p.blocker !== man && p.assignment === 'wrong').length).toBeLessThanOrEqual(1);
  });

  it('a pull too deep is told with the feet, and is no wrong man', () => {
    const found = proposedFor(snapWith(5, [{ man: 'RG', fault: 'too-deep' }]), 11);
    const sign = of(found, 'RG').faults.find((f) => f.fault === 'too-deep');
    expect(sign!.why).toMatch(/^Pulled \d\.\d ft, give or take \d\.\d deep, \d\.\d ft deeper than asked\.$/);
    expect(of(found, 'RG').assignment).not.toBe('wrong');
  });

  it('one who climbs beside his track is told by how much', () => {
    const found = proposedFor(snapWith(14, [{ man: 'RG', fault: 'wrong-track' }]), 12);
    const signs = of(found, 'RG').faults;
    expect(signs.some((f) => f.fault === 'wrong-track' || f.fault === 'missed')).toBe(true);
    expect(of(proposedFor(snapWith(14, []), 12), 'RG').faults).toEqual([]);
  });
});

describe('a proposal', () => {
  const done = doneGrade('assignment-technique@1');
  const proposal: Proposal = {
    blocker: 'LG',
    had: [{ defender: 'T', from: 0.6, seconds: 1.2, sure: 1 }],
    assignment: 'right',
    sure: 0.874,
    why: 'He came to T.',
    outcome: 'success',
    cost: { consequence: 'costly', why: 'T was 2 ft from the ball.' },
    faults: [],
  };

  it('that is taken is the grade it says, with what was proposed beside it', () => {
    expect(takeProposal(proposal, done)).toEqual({
      ...done,
      outcome: 'success',
      proposed: { assignment: 'right', sure: 0.87, faults: [] },
    });
  });

  it('takes a fault it is sure enough of, and with it the technique; another it only tells', () => {
    const faults = [
      { fault: 'too-deep', sure: 0.8, why: '' },
      { fault: 'late-off', sure: 0.3, why: '' },
    ];
    expect(takeProposal({ ...proposal, faults }, done)).toMatchObject({
      technique: 'minus',
      faults: ['too-deep'],
      consequence: 'costly',
    });
    expect(proposedOf({ ...proposal, faults }).faults).toEqual(['too-deep', 'late-off']);
  });

  it('of a wrong man says whom he hit, and leaves his technique alone', () => {
    const wrong: Proposal = { ...proposal, assignment: 'wrong', faults: [{ fault: 'wrong-man', sure: 0.7, why: '' }] };
    expect(takeProposal(wrong, done)).toMatchObject({ assignment: 'wrong', technique: 'plus', hit: 'T' });
  });

  it('that proposes nothing is no grade', () => {
    expect(takeProposal({ ...proposal, assignment: null }, done)).toBeNull();
  });
});

describe('the demo’s followed snaps', () => {
  it('come to proposals as the page asks for them, and a call nobody can read to none', () => {
    const { call } = DEMO_SNAPS[0]!;
    const followed = demoMeasured(1)!.followed!;
    const { resolution } = need(workCall(call));
    const job = { call, resolution, settings: SHIPPED_SETTINGS, followed, bends: [] };
    const found = [...proposals(job)];
    expect(found.map((p) => p.blocker).sort()).toEqual(resolution.assignments.map((a) => a.blocker).sort());
    expect(found.every((p) => p.assignment === 'right')).toBe(true);
    expect([...proposals({ ...job, call: { ...call, front: 'nonsense' } })]).toEqual([]);
    expect([...proposals({ ...job, call: { ...call, formation: 'LT' } })]).toEqual([]);
  });
});
