import { describe, expect, it } from 'vitest';
import { capOf, FILM_HANDS } from './keys';

describe('the keys of the film place', () => {
  it('are each one key and say what they do', () => {
    expect(new Set(FILM_HANDS.map((h) => h.key)).size).toBe(FILM_HANDS.length);
    expect(FILM_HANDS.every((h) => h.says.length > 0 && h.cap.length > 0)).toBe(true);
    expect(FILM_HANDS.some((h) => /^[1-9]$/.test(h.key))).toBe(false);
  });

  it('have a name of their own where a button does the same', () => {
    const names = FILM_HANDS.flatMap((h) => h.name ?? []);
    expect(new Set(names).size).toBe(names.length);
    expect([capOf('play'), capOf('snap'), capOf('rest')]).toEqual(['space', 'shift j', 'Enter']);
  });

  it('that mark a man or a frame do nothing for the room', () => {
    const marks = FILM_HANDS.filter(
      (h) => (h.group === 'The man in hand' && !['c', 'Escape'].includes(h.key)) || h.says.startsWith('here is'),
    );
    expect(marks.length).toBeGreaterThan(12);
    expect([...marks, FILM_HANDS.find((h) => h.key === 'Enter')!].every((h) => h.keeps)).toBe(true);
    expect(FILM_HANDS.find((h) => h.name === 'play')!.keeps).toBeUndefined();
  });

  it('that change something are for those who grade', () => {
    for (const h of FILM_HANDS)
      if (h.group === 'The man in hand' && h.key !== 'Escape') expect(h.staff, h.cap).toBe(true);
    expect(FILM_HANDS.filter((h) => h.says.startsWith('here is')).every((h) => h.staff)).toBe(true);
    for (const h of FILM_HANDS) if (h.keeps) expect(h.staff, h.cap).toBe(true);
  });
});
