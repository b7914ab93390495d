/** Where backups lie, what makes them and what puts them back. */
export interface BackupPlaces {
  readonly folder: string;
  readonly script: string;
  readonly restoring: string;
  readonly databaseUrl: string;
  readonly filmDir: string;
}

/** As this machine is set up. */
export function backupPlaces(): BackupPlaces {
  const { backupDir, backupScript, restoreScript, databaseUrl, filmDir } = useRuntimeConfig();
  return { folder: backupDir, script: backupScript, restoring: restoreScript, databaseUrl, filmDir: String(filmDir) };
}
