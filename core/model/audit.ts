import * as z from 'zod';

/** What is written down when something is done with people or their records, and how it is said before whom it was done to. */
export const AUDITED = {
  begun: 'made this program',
  invited: 'invited',
  'invitation withdrawn': 'took back the invitation of',
  joined: 'joined as',
  'role changed': 'changed what may be done by',
  removed: 'took out of the program',
  'reset made': 'made a link for a new password for',
  'password reset': 'set a new password by a link',
  'roster changed': 'changed the roster:',
  left: 'wrote down as having left:',
  'came back': 'wrote down as being back:',
  erased: 'erased everything said of',
  'erased in time': 'erased, its time being up, everything said of',
  published: 'published the grades of',
  unpublished: 'took back the grades of',
  'keep time changed': 'changed how long whoever left is known:',
  'season begun': 'began the season',
  exported: 'took a copy out of',
  imported: 'put a copy into',
} as const satisfies Record<string, string>;
export type Audited = keyof typeof AUDITED;
const AUDITED_IDS = Object.keys(AUDITED) as [Audited, ...Audited[]];

export const AuditEntrySchema = z.object({
  id: z.int(),
  /** Who did it; empty when his account is gone. */
  who: z.string(),
  what: z.enum(AUDITED_IDS),
  about: z.string(),
  at: z.string(),
});
export type AuditEntry = z.infer<typeof AuditEntrySchema>;

/** One entry in a sentence without its full stop. */
export const sayAudit = ({ who, what, about }: Pick<AuditEntry, 'who' | 'what' | 'about'>): string =>
  [who || (what === 'erased in time' ? 'The program itself' : 'Somebody who is no longer here'), AUDITED[what], about]
    .filter(Boolean)
    .join(' ');
