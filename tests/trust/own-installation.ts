import { execFileSync, type ChildProcess } from 'node:child_process';
import { cpSync, mkdtempSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import pg from 'pg';
import { freePort, logInAt, startProcess } from '../e2e/another-process';

/** What is killed: by turns each alone, and both. */
export const VICTIMS = ['server', 'database', 'both'] as const;
export type Victim = (typeof VICTIMS)[number];

/** Makes its first program. */
export const FIRST_CODE = 'CODE-OF-A-TEST';
/** Opens the figures of its process. */
const METRICS_TOKEN = 'metrics-of-a-test';

/** Something of `scripts/setup.sh`, about this installation's own cluster; what it prints. */
const inShell = (name: string, script: string): string =>
  execFileSync('bash', ['-c', `set -eu; ROOT=$PWD; . scripts/setup.sh; NAME=${name}; ${script}`], {
    encoding: 'utf8',
  }).trim();

/** An installation of its own, with a database cluster that may be killed: the demo, on a port nobody has. */
export class Installation {
  private server: ChildProcess | null = null;
  private constructor(
    private readonly cluster: string,
    readonly databaseUrl: string,
    private readonly filmDir: string,
    private readonly port: number,
  ) {}

  /** Makes it anew and starts it; with the demo's film where somebody watches it. */
  static async make(cluster: string, withFilm = false): Promise<Installation> {
    const url = inShell(cluster, 'pg_remove $NAME; pg_start $NAME trust >/dev/null; echo $PG_URL');
    const film = mkdtempSync(join(tmpdir(), 'violet-chalk-film-'));
    if (withFilm) cpSync('demo/film', film, { recursive: true, filter: (file) => !file.endsWith('.json') });
    const made = new Installation(cluster, url, film, await freePort());
    await made.startServer();
    return made;
  }

  /** One figure of the process, as whoever watches it reads it. */
  async figure(name: string): Promise<number> {
    const answer = await fetch(`${this.at}/api/metrics`, { headers: { authorization: `Bearer ${METRICS_TOKEN}` } });
    const line = (await answer.text()).split('\n').find((l) => l.startsWith(`${name} `));
    if (!line) throw new Error(`no figure ${name}`);
    return Number(line.split(' ')[1]);
  }

  get at(): string {
    return `http://localhost:${this.port}`;
  }

  logIn(role: string): Promise<string> {
    return logInAt(this.at, role);
  }

  private async startServer(): Promise<void> {
    const { databaseUrl, filmDir, port } = this;
    const env = {
      NUXT_DATABASE_URL: databaseUrl,
      NUXT_FILM_DIR: filmDir,
      NUXT_DEMO: 'true',
      NUXT_SESSION_NAME: this.cluster,
      NUXT_METRICS_TOKEN: METRICS_TOKEN,
      NUXT_FIRST_CODE: FIRST_CODE,
      NUXT_BACKUP_DIR: join(filmDir, 'backups'),
    };
    this.server = await startProcess(port, env);
  }

  /** Kills without a word; nothing is told that it ends. */
  kill(victim: Victim): void {
    if (victim !== 'database') this.server?.kill('SIGKILL');
    if (victim === 'server') return;
    const all =
      'P=$(head -n 1 "$PG_DATA/postmaster.pid"); C=$(pgrep -P "$P"); kill -9 "$P" $C 2>/dev/null || true; while kill -0 "$P" 2>/dev/null; do sleep 0.05; done';
    inShell(this.cluster, `pg_place $NAME; ${all}`);
  }

  /** Starts again what was killed; a server that was not is left to find its way back by itself. */
  async raise(victim: Victim): Promise<void> {
    if (victim !== 'server') inShell(this.cluster, 'pg_start $NAME trust >/dev/null');
    if (victim !== 'database') await this.startServer();
  }

  /** Asks the database itself. */
  async rows<T extends pg.QueryResultRow>(sql: string, values: readonly unknown[] = []): Promise<T[]> {
    const client = new pg.Client(this.databaseUrl);
    await client.connect();
    const { rows } = await client.query<T>(sql, [...values]);
    await client.end();
    return rows;
  }

  stop(): void {
    this.server?.kill('SIGKILL');
    inShell(this.cluster, 'pg_remove $NAME');
    rmSync(this.filmDir, { recursive: true, force: true });
  }
}
