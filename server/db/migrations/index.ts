import * as firstTables from './0001-first-tables';

/** In the order they run. Append only: a migration that has been on main is never changed. */
export const MIGRATIONS = [firstTables] as const;
