import { describe, expect, it } from 'vitest';
import { checkText } from '../language/check';
import { readFormation } from '../language/lineups/read-formation';
import { Playbook } from './playbook';

/** Kept by a build that passed over orders nobody can obey. */
const OLD = 'formation old "Old"\nLT LG C RG RT\nsplit Y 30in\nmotion Z left\nB left\n';
const book = new Playbook([{ shelf: 'formations', id: 'old', text: OLD }]);

describe('a formation kept with an order that cannot be obeyed', () => {
  it('stands as it did until it is mended, and is told about in its place', () => {
    const kept = book.formation('old');
    expect(kept.ok && kept.value.men.map((m) => m.id)).toEqual(['LT', 'LG', 'C', 'RG', 'RT', 'B']);
    expect(kept.diagnostics.map((d) => [d.severity, d.code, d.span.line])).toEqual([
      ['warning', 'formation.nobody', 4],
      ['warning', 'formation.nobody', 3],
    ]);
  });

  it('can be kept so no more, nor typed', () => {
    expect(
      checkText(OLD)
        .filter((d) => d.severity === 'error')
        .map((d) => d.span.line),
    ).toEqual([4, 3]);
    expect(readFormation('LT LG C RG RT; motion Z left').ok).toBe(false);
  });

  it('is still refused when there is no line to stand in', () => {
    const broken = new Playbook([{ shelf: 'formations', id: 'old', text: 'formation old "Old"\nLT LG C RG\n' }]);
    expect(broken.formation('old').ok).toBe(false);
  });
});

describe('the split of a program', () => {
  const at = (inches: number, id: string): (number | undefined)[] => {
    const read = new Playbook([], { splitInches: inches }).formation(id);
    return read.ok ? ['LT', 'LG', 'C', 'RG', 'RT'].map((seat) => read.value.men.find((m) => m.id === seat)?.x) : [];
  };

  it('holds in every formation that does not say its own, and the shipped one changes nothing', () => {
    expect(at(24, 'five-man')).toEqual([-8, -4, 0, 4, 8]);
    expect(at(36, 'five-man')).toEqual([-10, -5, 0, 5, 10]);
    expect(at(36, 'goal-line-pair')).toEqual(at(24, 'goal-line-pair'));
  });

  it('goes with a formation wherever its notation goes, and notation alone says all of it', () => {
    const wide = new Playbook([], { splitInches: 36 });
    const text = wide.clauses('formations', 'five-man');
    expect(text).toContain('split 36in');
    const [far, near] = [new Playbook().formation(text), wide.formation('LT LG C RG RT')];
    expect(far.ok && far.value.men.find((m) => m.id === 'RT')!.x).toBe(10);
    expect(near.ok && near.value.men.find((m) => m.id === 'RT')!.x).toBe(8);
  });
});
