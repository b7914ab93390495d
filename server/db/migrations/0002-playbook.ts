import type { QueryInterface } from 'sequelize';

export const name = '0002-playbook';

/** The program's own schemes, fronts and formations, every version of them kept. */
export async function up(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query(`
    create table documents (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      shelf text not null check (shelf in ('schemes', 'fronts', 'formations')), slug text not null, opponent text, retired boolean not null default false,
      players boolean not null default false,
      unique (program_id, shelf, slug));
    create table document_versions (id serial primary key, program_id integer not null references programs(id) on delete cascade,
      document_id integer not null references documents(id) on delete cascade, number integer not null, text text not null, draft boolean not null default false,
      user_id integer not null references users(id), created_at timestamptz not null default now(), unique (document_id, number));
  `);
}

export async function down(queries: QueryInterface): Promise<void> {
  await queries.sequelize.query('drop table document_versions, documents');
}
