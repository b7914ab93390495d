import type { QueryInterface } from 'sequelize';

export const name = '0012-before-contact';

/** How far a runner went untouched, in the Book; of snaps from before nobody wrote it down. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('alter table book_snaps add column before_contact smallint');
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('alter table book_snaps drop column before_contact');
}
