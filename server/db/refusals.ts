import { ConnectionError, DatabaseError, UniqueConstraintError } from 'sequelize';

/** What is said of trouble with the database, with the status it is answered with. */
export interface Refusal {
  readonly statusCode: 409 | 503;
  readonly message: string;
}

const AWAY: Refusal = {
  statusCode: 503,
  message: 'The database does not answer just now. Nothing was changed; try again in a moment.',
};
const FULL: Refusal = {
  statusCode: 503,
  message:
    'The disk of the database is full. Nothing was changed; make room on the machine that serves the application.',
};
const BUSY: Refusal = {
  statusCode: 503,
  message: 'Somebody else was changing the same thing. Nothing was changed; try again.',
};
const THERE: Refusal = { statusCode: 409, message: 'That is there already. Nothing was changed.' };

/** By PostgreSQL's error classes (the first two characters of a code), single codes, and what the system says of a connection. */
const BY_CODE: readonly (readonly [code: RegExp, refusal: Refusal])[] = [
  [/^53100$/, FULL],
  [/^(08|53|57P|58)/, AWAY],
  [/^57014$/, AWAY],
  // What the network says when the other end is gone.
  [/^E[A-Z]+$/, AWAY],
  [/^(40P01|40001|55P03)$/, BUSY],
];

/** How trouble with the database is answered; `null` for what is no trouble but a mistake of ours. */
export function refusalOf(problem: unknown): Refusal | null {
  if (problem instanceof UniqueConstraintError) return THERE;
  if (problem instanceof ConnectionError) return AWAY;
  if (!(problem instanceof DatabaseError)) return null;
  return refusalBy((problem.original as { code?: string }).code, problem.message);
}

/** The same where nothing but the database is asked, without the layer between: what the driver itself has thrown. */
export function refusalOfDriver(problem: unknown): Refusal | null {
  if (!(problem instanceof Error)) return null;
  return refusalOf(problem) ?? refusalBy((problem as { code?: string }).code, problem.message);
}

function refusalBy(code: string | undefined, message: string): Refusal | null {
  // A connection that is cut in the middle of a statement has no code, only the driver's own words.
  if (code === undefined) return /connection/i.test(message) ? AWAY : null;
  return BY_CODE.find(([codes]) => codes.test(code))?.[1] ?? null;
}
