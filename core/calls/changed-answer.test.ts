import { describe, expect, it } from 'vitest';
import { A_CALL } from '../testing/a-call';
import { need } from '../testing/need';
import { libraryText } from '../library/library';
import { changedAnswer } from './changed-answer';
import { Playbook } from './playbook';
import { resolveCall } from './resolve-call';

const kept = { call: A_CALL, resolution: need(resolveCall(A_CALL)) };
const power = libraryText('schemes', 'power')!;
const withPower = (text: string) => ({ playbook: new Playbook([{ shelf: 'schemes', id: 'power', text }]) });

describe('an answer kept with a snap', () => {
  it('has not changed while nothing has', () => expect(changedAnswer(kept)).toBeNull());

  it('names who would be asked something else by today’s rules', () => {
    const other = power.replace('always: pull and lead for L1,', 'always: pull and lead for L2,');
    expect(other).not.toBe(power);
    expect(changedAnswer(kept, withPower(other))!.men).toContain('LG');
  });

  it('does not mind a reason or a word that is said otherwise', () => {
    expect(
      changedAnswer(kept, {
        playbook: new Playbook(),
        words: {
          loaded: 'x',
          light: 'x',
          mike: 'x',
          pair: 'x',
          gone: 'x',
          solo: 'x',
          share: 'x',
          headUp: 'x',
          clear: 'x',
        },
      }),
    ).toBeNull();
  });

  it('names a man who has come or gone', () => {
    const { H: _gone, ...rest } = Object.fromEntries(kept.resolution.assignments.map((a) => [a.blocker, a]));
    expect(
      changedAnswer({ call: A_CALL, resolution: { ...kept.resolution, assignments: Object.values(rest) } })!.men,
    ).toEqual(['H']);
  });

  it('says why when it cannot be worked out any more', () => {
    const lost = { ...kept, call: { ...A_CALL, formation: 'LT LG C RG' } };
    expect(changedAnswer(lost)).toEqual({ men: [], why: expect.stringContaining('not there: RT') });
    const retired = { ...kept, call: { ...A_CALL, scheme: 'gone' } };
    expect(changedAnswer(retired)).toEqual({ men: [], why: expect.stringContaining('gone') });
  });
});
