import { describe, expect, it } from 'vitest';
import { formationFrom, frontFrom, libraryText } from '../library/library';
import { shippedScheme } from '../calls/resolve-call';
import { afterMotion, answerFrom, canMotion } from './lineups';
import { need } from '../testing/need';

const formation = (id: string) => need(formationFrom(libraryText('formations', id)!));
const answer = (from: ReturnType<typeof formation>) =>
  answerFrom(need(shippedScheme('power')), from, need(frontFrom(libraryText('fronts', 'over-walked')!, from)), {
    side: 'right',
  });

describe('two ways of lining up', () => {
  it('an H on the play side kicks the end nobody else can', () => {
    const [without, h] = [answer(formation('five-man')), answer(formation('h-back'))];
    expect(h.free.length).toBeLessThan(without.free.length + 1);
    expect(h.surplus).not.toBe(without.surplus);
    expect(h.numbers).not.toBe(without.numbers);
  });

  it('a man in motion stands where his place is on the other side, and going back brings the first answer', () => {
    const h = formation('h-left');
    expect(canMotion(h)).toContain('H');
    const gone = afterMotion(h, 'H');
    expect(gone.men.find((m) => m.id === 'H')!.x).toBe(-h.men.find((m) => m.id === 'H')!.x);
    expect(answer(afterMotion(gone, 'H'))).toEqual(answer(h));
    expect(answer(gone)).not.toEqual(answer(h));
  });
});
