import type { QueryInterface } from 'sequelize';

export const name = '0003-spaces';

/** Spaces of fronts on a shelf of their own. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    alter table documents drop constraint documents_shelf_check;
    alter table documents add constraint documents_shelf_check check (shelf in ('schemes', 'fronts', 'formations', 'spaces'));
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    delete from documents where shelf = 'spaces';
    alter table documents drop constraint documents_shelf_check;
    alter table documents add constraint documents_shelf_check check (shelf in ('schemes', 'fronts', 'formations'));
  `);
}
