import { describe, expect, it } from 'vitest';
import { AUDITED, sayAudit, type Audited } from './audit';
import { EmailSchema, InvitationSchema, PasswordSchema } from './account';
import { GRADED, READERS, ROLE_IDS, STAFF } from './role';

describe('a password', () => {
  it.each(['kurz', 'aaaaaaaaaaaa', 'Password2026', '1234567890', 'qwertyuiop1', 'football2026'])('%s is none', (p) => {
    expect(PasswordSchema.safeParse(p).success).toBe(false);
  });
  it.each(['nine bridges', 'three wet towels', 'Xq4!Xq4!Xq4!'])('%s is one', (p) => {
    expect(PasswordSchema.safeParse(p).success).toBe(true);
  });
});

describe('an address', () => {
  it('is kept in small letters without spaces around it', () => {
    expect(EmailSchema.parse('  Coach@Club.Example ')).toBe('coach@club.example');
    expect(EmailSchema.safeParse('coach at club').success).toBe(false);
  });
});

describe('an invitation', () => {
  it('of a player names his man of the roster, and nobody else’s does', () => {
    expect(InvitationSchema.safeParse({ role: 'player' }).error!.issues[0]!.path).toEqual(['playerId']);
    expect(InvitationSchema.safeParse({ role: 'coach', playerId: 3 }).success).toBe(false);
    expect(InvitationSchema.parse({ role: 'player', playerId: 3 })).toEqual({
      ...{ role: 'player', playerId: 3, name: '', email: '' },
    });
    expect(InvitationSchema.parse({ role: 'assistant', email: 'A@b.example' }).email).toBe('a@b.example');
  });
});

describe('roles', () => {
  it('let nobody at grades who only reads rules', () => {
    expect(GRADED).not.toContain('reader');
    expect(STAFF).not.toContain('reader');
    expect(READERS).not.toContain('player');
    expect(new Set([...GRADED, ...READERS])).toEqual(new Set(ROLE_IDS));
  });
});

describe('what was done', () => {
  it('is said in a sentence, also when whoever did it is gone', () => {
    expect(sayAudit({ who: 'Maren Quill', what: 'removed', about: 'Ivo Tam' })).toBe(
      'Maren Quill took out of the program Ivo Tam',
    );
    for (const what of Object.keys(AUDITED) as Audited[])
      expect(sayAudit({ who: '', what, about: '' })).toMatch(
        /^(Somebody who is no longer here|The program itself) \w+/,
      );
  });
});
