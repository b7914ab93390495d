import type { QueryInterface } from 'sequelize';

export const name = '0013-what-it-meant';

/** Whom a man was asked to block, and what it meant when he did not, in the Book: read off the grades it was made from. */
export async function up(queries: QueryInterface): Promise<void> {
  const { sequelize } = queries;
  await sequelize.query('alter table book_marks add column target text, add column consequence text');
  await sequelize.query(
    `update book_marks b set target = g.asked->>'target', consequence = g.body->>'consequence' from grades g where g.id = b.grade_id`,
  );
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('alter table book_marks drop column target, drop column consequence');
}
