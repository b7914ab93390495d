import { NOBODY, type Proposal } from '../../vocabulary/scene';

/*
 * Every way a proposal comes about, each written out field by field in one order: they are made by the hundred thousand, and objects
 * that are copied, or made in another order, are read several times as slowly.
 */

export const NO_DEFENDERS: readonly number[] = [];

/** Nothing chosen yet. */
export const NO_PROPOSAL: Proposal = {
  sentence: -1,
  action: 0,
  target: NOBODY,
  all: NO_DEFENDERS,
  partner: NOBODY,
  other: NOBODY,
  job: '',
  him: NOBODY,
  pulls: false,
  pairs: false,
  tooFar: false,
  instead: null,
};

/** An action of a sentence before anybody is found for it. */
export const openProposal = (sentence: number, action: number, job: string, pulls: boolean): Proposal => ({
  sentence,
  action,
  target: NOBODY,
  all: NO_DEFENDERS,
  partner: NOBODY,
  other: NOBODY,
  job,
  him: NOBODY,
  pulls,
  pairs: false,
  tooFar: false,
  instead: null,
});

/** An action whose man is handed out later, by a sentence that has named somebody. */
export const later = (open: Proposal, him: number): Proposal => (him === NOBODY ? open : onto(open, him, NOBODY));

/** One man on one defender. */
export const onto = ({ sentence, action, job, pulls }: Proposal, him: number, target: number): Proposal => ({
  sentence,
  action,
  target,
  all: NO_DEFENDERS,
  partner: NOBODY,
  other: NOBODY,
  job,
  him,
  pulls,
  pairs: false,
  tooFar: false,
  instead: null,
});

/** Everyone a sentence names. */
export const naming = ({ sentence, action, job, pulls }: Proposal, him: number, all: readonly number[]): Proposal => ({
  sentence,
  action,
  target: NOBODY,
  all,
  partner: NOBODY,
  other: NOBODY,
  job,
  him,
  pulls,
  pairs: false,
  tooFar: false,
  instead: null,
});

/** A pair that asks its partners; who is too far away for it goes to the next level at once. */
export const pairing = (
  { sentence, action, job, pulls }: Proposal,
  him: number,
  target: number,
  partner: number,
  other: number,
  tooFar: boolean,
): Proposal => ({
  sentence,
  action,
  target: tooFar ? NOBODY : target,
  all: NO_DEFENDERS,
  partner,
  other,
  job,
  him,
  pulls,
  pairs: !tooFar,
  tooFar,
  instead: null,
});

/** Something else than his own sentence says. */
export const insteadOf = (
  { sentence, action }: Proposal,
  target: number,
  job: string,
  instead: Proposal['instead'],
): Proposal => ({
  sentence,
  action,
  target,
  all: NO_DEFENDERS,
  partner: NOBODY,
  other: NOBODY,
  job,
  him: NOBODY,
  pulls: false,
  pairs: false,
  tooFar: false,
  instead,
});
