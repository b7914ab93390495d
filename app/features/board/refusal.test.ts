import { describe, expect, it } from 'vitest';
import { Playbook } from '#core/calls/playbook';
import { sayProblems } from './refusal';

const formation = (text: string) =>
  new Playbook([{ shelf: 'formations', id: 'old', text: `formation old "Old"\n${text}` }]).formation('old').diagnostics;

describe('what is said of material', () => {
  it('is nothing when it is laid out well', () => expect(sayProblems(formation('LT LG C RG RT\n'))).toBe(''));

  it('that cannot be laid out: the board stays as it was', () => {
    expect(sayProblems(formation('LT LG C RG\n'))).toMatch(/not there: RT\. The board shows what it showed before\.$/);
  });

  it('that was laid out but for one order: not that the board stayed as it was', () => {
    const said = sayProblems(formation('LT LG C RG RT\nmotion Z left\n'));
    expect(said).toMatch(/Z.* It is laid out without that\.$/);
    expect(said).not.toContain('showed before');
  });
});
