import { ConnectionError, DatabaseError, UniqueConstraintError } from 'sequelize';
import { describe, expect, it } from 'vitest';
import { refusalOf, refusalOfDriver } from './refusals';

/** What the driver threw, as it reaches us. */
const trouble = (message: string, code?: string): DatabaseError =>
  new DatabaseError(Object.assign(new Error(message), { sql: 'select 1', ...(code ? { code } : {}) }) as never);

describe('trouble with the database', () => {
  it.each([
    ['read ECONNRESET', 'ECONNRESET'],
    ['write EPIPE', 'EPIPE'],
    ['connect ECONNREFUSED', 'ECONNREFUSED'],
    ['Connection terminated unexpectedly', undefined],
    ['the database system is shutting down', '57P01'],
    ['the database system is in recovery mode', '57P03'],
    ['sorry, too many clients already', '53300'],
    ['canceling statement due to statement timeout', '57014'],
    ['could not extend file', '53100'],
    ['deadlock detected', '40P01'],
  ])('is 503 with a sentence that says nothing was changed: %s', (message, code) => {
    expect(refusalOf(trouble(message, code))).toMatchObject({
      statusCode: 503,
      message: expect.stringContaining('Nothing was changed'),
    });
  });

  it.each([
    ['Client has encountered a connection error and is not queryable', undefined],
    ['Connection terminated unexpectedly', undefined],
    ['connect ECONNREFUSED', 'ECONNREFUSED'],
    ['the database system is starting up', '57P03'],
  ])('is the same where the driver itself is asked: %s', (message, code) => {
    const plain = Object.assign(new Error(message), code ? { code } : {});
    expect(refusalOfDriver(plain)).toMatchObject({ statusCode: 503 });
    expect(refusalOfDriver(trouble(message, code))).toMatchObject({ statusCode: 503 });
    // Elsewhere another connection may be meant.
    expect(refusalOf(plain)).toBeNull();
    for (const other of [new Error('nothing of the kind'), { message }, null])
      expect(refusalOfDriver(other)).toBeNull();
  });

  it('is 409 where something is there already, 503 where nobody answers', () => {
    expect(refusalOf(new UniqueConstraintError({}))?.statusCode).toBe(409);
    expect(refusalOf(new ConnectionError(new Error('no route')))?.statusCode).toBe(503);
  });

  it('is a mistake of ours where the statement itself is wrong', () => {
    for (const code of ['42601', '42P01', '23502', '22P02']) expect(refusalOf(trouble('wrong', code))).toBeNull();
    expect(refusalOf(trouble('something else'))).toBeNull();
    expect(refusalOf(new Error('not from the database'))).toBeNull();
  });
});
