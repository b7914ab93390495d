import { describe, expect, it } from 'vitest';
import { SHIPPED_CALL_WORDS } from './call-words';
import { ProgramBodySchema } from './program';

describe('what a program does its own way', () => {
  const words = (active: string) => ({ callWords: { active, sets: { Everyday: SHIPPED_CALL_WORDS } } });

  it('has this week’s words among its own sets, and nowhere else', () => {
    expect(ProgramBodySchema.safeParse(words('Everyday')).success).toBe(true);
    for (const active of ['toString', 'constructor', '__proto__', 'Week 6', ''])
      expect(ProgramBodySchema.safeParse(words(active)).success, active).toBe(false);
  });

  it('says only what it changes', () => {
    expect(ProgramBodySchema.parse({})).toEqual({});
    expect(ProgramBodySchema.parse({ begun: ['play'], plays: ['power'] })).toEqual({
      begun: ['play'],
      plays: ['power'],
    });
  });
});
