/** What can be said at the line. */
export const CALL_MEANINGS = ['loaded', 'light', 'mike', 'pair', 'gone', 'solo', 'share', 'headUp', 'clear'] as const;
export type CallMeaning = (typeof CALL_MEANINGS)[number];

/** A program's words for them; `{id}` stands for the defender meant. */
export type CallWords = Readonly<Record<CallMeaning, string>>;

/** What each says to the men; `{id}` is the letter of the defender meant. */
export const CALL_SAYS: Readonly<Record<CallMeaning, string>> = {
  loaded: 'two or more on the guard or wider',
  light: 'fewer than that',
  mike: 'who the Mike is ({id} is his letter)',
  pair: 'we double him',
  gone: 'I fill back for the puller',
  solo: 'I go alone to the next level',
  share: 'we two have those two until one of them shows inside',
  headUp: 'tackle to the end: somebody is head-up on me',
  clear: 'tackle to the end: nobody is head-up on me',
};

/** The words the product ships with; every program changes them. */
export const SHIPPED_CALL_WORDS: CallWords = {
  loaded: 'Granite',
  light: 'Cotton',
  mike: '{id} is the lamp',
  pair: 'Ferry',
  gone: 'Ticket',
  solo: 'Kite',
  share: 'Ledger',
  headUp: 'Mirror',
  clear: 'Window',
};
