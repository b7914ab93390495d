/** What a person may do in a program: its name, and what it comes to in a few words. */
export const ROLES = {
  coach: { name: 'line coach', says: 'runs the room: everything' },
  assistant: { name: 'assistant', says: 'logs, measures, grades, drafts rules' },
  reader: { name: 'other coach', says: 'reads rules, fronts and plays; no grades, no film' },
  player: { name: 'player', says: 'sees his own grades, his clips and what is released to players' },
} as const satisfies Record<string, { name: string; says: string }>;
export type Role = keyof typeof ROLES;
export const ROLE_IDS = Object.keys(ROLES) as [Role, ...Role[]];

/** Who grades and logs. */
export const STAFF: readonly Role[] = ['coach', 'assistant'];
/** Who may look at every rule, front and play. */
export const READERS: readonly Role[] = ['coach', 'assistant', 'reader'];
/** Who may look at grades: a player at his own. */
export const GRADED: readonly Role[] = ['coach', 'assistant', 'player'];
