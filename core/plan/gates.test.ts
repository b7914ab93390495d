import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import type { QuizResult } from '../model/quiz';
import type { RepMark, Script } from '../model/script';
import { gateOf, sayGate } from './gates';
import { NOTHING_PRACTISED, repsSoFar, walksSoFar } from './reps-so-far';

const power = { scheme: 'power', side: 'right' as const, tags: [] };
const asked = (scheme: string, right: number, of: number): QuizResult => ({
  item: { ...power, scheme, formationName: 'H right', frontName: 'Over', seat: 'LT' },
  ...{ men: 3, of, right, missed: {}, film: { of: 0, same: 0 } },
});
const rep = (scheme: string): Script['reps'][number] => ({
  ...{ ...power, scheme, formation: 'LT LG C RG RT', formationName: 'Five', front: 'N 0', frontName: 'Odd' },
  ...{ bodies: [], cones: [], why: '' },
});
const SCRIPT: Script = {
  ...{ id: 'one', kind: 'team', uncovered: [], resets: 0, film: [] },
  reps: ['power', 'duo', 'power', 'power', 'power', 'power'].map(rep),
};
const mark = (at: number, good: boolean): RepMark => ({ script: 'one', rep: at, good, missed: [] });
const none = { gateQuiz: null, gateReps: null };
const both = { gateQuiz: 0.8, gateReps: 0.6 };

describe('the gate before a play', () => {
  it('counts its own answers and reps and nobody else’s', () => {
    const marks = [mark(0, true), mark(1, false), mark(2, false), { ...mark(3, true), script: 'another' }];
    const gate = gateOf(power, [asked('power', 4, 6), asked('duo', 1, 9)], { scripts: [SCRIPT], marks }, none);
    expect(gate).toEqual({ quiz: { good: 4, of: 6 }, reps: { good: 1, of: 2 }, state: 'none' });
    expect(sayGate(gate)).toBe('quiz 4 of 6, reps 1 of 2');
  });

  it('counts a walk-through as walked and as no rep', () => {
    const walk: Script = { ...SCRIPT, id: 'walk', kind: 'walk-through' };
    const marks = [mark(0, true), { ...mark(2, true), script: 'walk' }, { ...mark(1, true), script: 'walk' }];
    const practised = { scripts: [SCRIPT, walk], marks };
    expect([repsSoFar(power, practised), walksSoFar(power, practised)]).toEqual([{ good: 1, of: 1 }, 1]);
    expect(walksSoFar({ ...power, scheme: 'duo' }, practised)).toBe(1);
  });

  it('gives advice only where the coach has set one, and only on enough', () => {
    const marks = [0, 2, 3, 4, 5].map((at, i) => mark(at, i < 3));
    const state = (right: number, of: number) =>
      gateOf(power, [asked('power', right, of)], { scripts: [SCRIPT], marks }, both);
    expect([state(8, 10).state, state(7, 10).state, state(4, 4).state]).toEqual(['reached', 'not reached', 'open']);
    expect(sayGate(state(7, 10))).toBe('quiz 7 of 10, reps 3 of 5: cut it, or teach it once more');
    expect(sayGate(state(8, 10))).toBe('quiz 8 of 10, reps 3 of 5: it may go into the game');
    // What is known to be short decides, however little is known of the rest.
    expect(gateOf(power, [asked('power', 7, 10)], { scripts: [SCRIPT], marks: [mark(0, true)] }, both).state).toBe(
      'not reached',
    );
    expect(sayGate(gateOf(power, [], NOTHING_PRACTISED, both))).toBe('no quiz yet, no reps yet: too few to say');
  });

  it('is never reached by less than what reaches it', () => {
    fc.assert(
      fc.property(fc.integer({ min: 5, max: 40 }), fc.nat(40), fc.nat(40), (of, a, b) => {
        const [less, more] = [Math.min(a, b, of), Math.min(Math.max(a, b), of)];
        const at = (right: number) =>
          gateOf(power, [asked('power', right, of)], NOTHING_PRACTISED, { gateQuiz: 0.7, gateReps: null }).state;
        if (at(less) === 'reached') expect(at(more)).toBe('reached');
        expect(at(of)).toBe('reached');
      }),
    );
  });
});
