import type { QueryInterface } from 'sequelize';

export const name = '0016-games-of-theirs';

/** Games of an opponent's that are watched to see what he does: against whom he plays; `null` of a game of the program's own. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('alter table games add column theirs text');
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('alter table games drop column theirs');
}
