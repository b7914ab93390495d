/** What is asked of the line in the tests. */
export const CALL_OF_HUDDLE = {
  call: {
    ...{ scheme: 'power', side: 'right', tags: [], formationName: 'H right', frontName: 'Over', overrides: {} },
    formation: 'LT LG C RG RT H right; B left',
    front: 'LE 5 left; N 1 left; T 3 right; RE 5 right; W 30 left; M 10 right',
  },
  says: '',
};

/** Of what a phone is given, what the tests look at. */
export interface PhoneSees {
  readonly number: number;
  readonly stage: string;
  readonly said: readonly { readonly seat: string; readonly whom: string }[];
}
