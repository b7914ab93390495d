/** The shelves a program can put texts of its own on. */
export const SHELVES = ['schemes', 'fronts', 'formations', 'spaces', 'drills'] as const;
export type BookShelf = (typeof SHELVES)[number];
