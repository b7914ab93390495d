import { execFile, spawn, type ChildProcess } from 'node:child_process';
import { cp, mkdir, mkdtemp, readFile, rm, stat, writeFile } from 'node:fs/promises';
import { createServer } from 'node:net';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';

/** A checkout of its own, with nothing but what starts and stops it. */
let root: string;
let others: ChildProcess[];
beforeEach(async () => {
  root = await mkdtemp(join(tmpdir(), 'checkout-'));
  others = [];
  await cp('start', join(root, 'start'));
  await cp('scripts', join(root, 'scripts'), { recursive: true });
  await mkdir(join(root, '.data'));
});
afterEach(async () => {
  for (const process of others) process.kill('SIGKILL');
  await rm(root, { recursive: true, force: true });
});

interface Ended {
  readonly code: number;
  readonly says: string;
}
const run = (command: string, args: readonly string[]): Promise<Ended> =>
  new Promise((done) =>
    execFile(command, args, { cwd: root }, (problem, stdout, stderr) =>
      done({ code: typeof problem?.code === 'number' ? problem.code : 0, says: stdout + stderr }),
    ),
  );
const start = (...args: string[]): Promise<Ended> => run('bash', [join(root, 'start'), ...args]);
/** Something of `scripts/setup.sh`, as `start` uses it. */
const setup = (script: string): Promise<Ended> =>
  run('bash', ['-euo', 'pipefail', '-c', `ROOT='${root}'; . "$ROOT/scripts/setup.sh"; ${script}`]);

/** A process that has nothing to do with this checkout. */
function stranger(): ChildProcess {
  const process = spawn('sleep', ['600']);
  others.push(process);
  return process;
}
const isAlive = ({ pid }: ChildProcess): boolean => {
  try {
    return process.kill(pid!, 0);
  } catch {
    return false;
  }
};
/** The server of this checkout, as `start` knows it. */
async function ownServer(port: number): Promise<ChildProcess> {
  const file = join(root, '.output/server/index.mjs');
  await mkdir(join(root, '.output/server'), { recursive: true });
  await writeFile(file, 'setInterval(() => undefined, 1000);');
  const server = spawn('node', [file]);
  others.push(server);
  await new Promise((begun) => server.once('spawn', begun));
  await writeFile(join(root, '.data/server.pid'), `${server.pid}\n`);
  await writeFile(join(root, '.data/server.port'), `${port}\n`);
  return server;
}

describe('stopping', () => {
  it('leaves a stranger alone whose number is in an old file', async () => {
    const other = stranger();
    await writeFile(join(root, '.data/server.pid'), `${other.pid}\n`);
    const { code, says } = await start('stop');
    expect([code, isAlive(other)]).toEqual([0, true]);
    expect(says).toContain('Stopped.');
    await expect(stat(join(root, '.data/server.pid'))).rejects.toThrow();
  });

  it('ends the server of this checkout', async () => {
    const server = await ownServer(4999);
    const gone = new Promise((done) => server.once('exit', done));
    expect((await start('stop')).code).toBe(0);
    await gone;
  });

  it.each(['', 'not a number', '99999999'])('is not misled by a file that says %j', async (text) => {
    await writeFile(join(root, '.data/server.pid'), text);
    expect((await start('stop')).code).toBe(0);
  });

  it('forgets the number of a database that is a stranger’s by now', async () => {
    const other = stranger();
    const place = join(root, 'cluster');
    await mkdir(place);
    await writeFile(join(place, 'postmaster.pid'), `${other.pid}\n${place}\n`);
    await setup(`is_root() { false; }; PG_DATA='${place}'; pg_forget_stranger`);
    await expect(stat(join(place, 'postmaster.pid'))).rejects.toThrow();
    expect(isAlive(other)).toBe(true);
  });
});

describe('a start that is refused', () => {
  it('says so and leaves the running server alone', async () => {
    const server = await ownServer(4999);
    const taken = createServer();
    await new Promise<void>((done) => taken.listen(0, '127.0.0.1', done));
    const { port } = taken.address() as { port: number };
    const { code, says } = await start('--port', String(port));
    taken.close();
    expect([code, isAlive(server)]).toEqual([1, true]);
    expect(says).toContain(`Port ${port} is taken by another program`);
    expect(says).toContain('Nothing was changed.');
  });

  it.each<[string[], string]>([
    [['--port', '0'], '--port takes a number'],
    [['--port', 'x'], '--port takes a number'],
    [['--colour'], 'There is no option'],
    [['restore'], 'Say which backup'],
    [['restore', 'old.tar'], '--yes'],
  ])('%j', async (args, says) => {
    const ended = await start(...args);
    expect(ended.code).not.toBe(0);
    expect(ended.says).toContain(says);
  });
});

describe('a secret', () => {
  const file = (): string => join(root, '.data/a.secret');
  const keep = (): Promise<Ended> => setup(`keep_secret '${file()}' 'crypto.randomBytes(8).toString("hex")'`);

  it('is made once, for nobody else to read', async () => {
    await keep();
    const first = await readFile(file(), 'utf8');
    await keep();
    expect(first).toMatch(/^[0-9a-f]{16}\n$/);
    expect(await readFile(file(), 'utf8')).toBe(first);
    expect((await stat(file())).mode & 0o077).toBe(0);
  });

  it('is made anew where an interrupted start left an empty file', async () => {
    await writeFile(file(), '');
    await keep();
    expect(await readFile(file(), 'utf8')).toMatch(/^[0-9a-f]{16}\n$/);
  });
});
