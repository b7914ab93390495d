/** Where backups lie and what makes them. */
export interface BackupPlaces {
  readonly folder: string;
  readonly script: string;
  readonly databaseUrl: string;
  readonly filmDir: string;
}

/** As this machine is set up. */
export function backupPlaces(): BackupPlaces {
  const { backupDir, backupScript, databaseUrl, filmDir } = useRuntimeConfig();
  return { folder: backupDir, script: backupScript, databaseUrl, filmDir: String(filmDir) };
}
