/** What can be said at the line. */
export const CALL_MEANINGS = ['loaded', 'light', 'mike', 'pair', 'gone', 'solo', 'share', 'headUp', 'clear'] as const;
export type CallMeaning = (typeof CALL_MEANINGS)[number];

/** A program's words for them; `{id}` stands for the defender meant. */
export type CallWords = Readonly<Record<CallMeaning, string>>;

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
