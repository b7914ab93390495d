import { spawn, type ChildProcess } from 'node:child_process';
import { createServer } from 'node:net';
import { expect } from '@playwright/test';

/** A port nobody has just now. */
export const freePort = (): Promise<number> =>
  new Promise((done) => {
    const probe = createServer().listen(0, '127.0.0.1', () => {
      const { port } = probe.address() as { port: number };
      probe.close(() => done(port));
    });
  });

/** Another process of the same application on the same database and film, as behind a proxy; ready when it is returned. */
export async function startProcess(port: number, more: NodeJS.ProcessEnv = {}): Promise<ChildProcess> {
  const server = spawn('node', ['.output/server/index.mjs'], {
    env: {
      ...process.env,
      ...{ NITRO_HOST: '127.0.0.1', NITRO_PORT: String(port), NODE_ENV: 'production' },
      ...{ NUXT_DATABASE_URL: process.env.E2E_DATABASE_URL, NUXT_FILM_DIR: process.env.FILM_DIR },
      ...{ NUXT_SESSION_PASSWORD: process.env.E2E_SESSION_PASSWORD, NUXT_SESSION_NAME: process.env.E2E_SESSION_NAME },
      ...more,
    },
    stdio: ['ignore', 'pipe', 'inherit'],
  });
  await expect(async () => expect((await fetch(`http://localhost:${port}/api/health`)).status).toBe(200)).toPass({
    timeout: 60_000,
  });
  return server;
}

/** Logs a demo account in at a process; its cookie. */
export async function logInAt(at: string, role: string): Promise<string> {
  const answer = await fetch(`${at}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: `${role}@lanterns.example`, password: `lantern-${role}` }),
  });
  expect(answer.status).toBe(200);
  return answer.headers.get('set-cookie')!.split(';')[0]!;
}
