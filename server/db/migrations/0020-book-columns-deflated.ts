import type { QueryInterface } from 'sequelize';

export const name = '0020-book-columns-deflated';

/** The columns of seasons that are over are kept deflated; those that were kept as they are go, and are made again when the Book is tidied. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('delete from book_counted');
}

/** What is deflated cannot be read as it is. */
export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('delete from book_counted');
}
