import type { BackupPlaces } from '../usecases/backups';

/** Where backups lie, as this machine is set up. */
export function backupPlaces(): BackupPlaces {
  const { backupDir, backupScript, databaseUrl, filmDir } = useRuntimeConfig();
  return { folder: backupDir, script: backupScript, databaseUrl, filmDir: String(filmDir) };
}
