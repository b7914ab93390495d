import { execFileSync } from 'node:child_process';
import { closeSync, constants, mkdtempSync, openSync, readSync, rmSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { afterEach, beforeEach, describe, expect, it } from 'vitest';
import { logInto } from './log';

let folder: string;
let fd: number;
beforeEach(() => {
  folder = mkdtempSync(join(tmpdir(), 'log-'));
  execFileSync('mkfifo', [join(folder, 'pipe')]);
  fd = openSync(join(folder, 'pipe'), constants.O_RDWR | constants.O_NONBLOCK);
});
afterEach(() => {
  closeSync(fd);
  rmSync(folder, { recursive: true });
});

/** Everything that is in the pipe now. */
function readOut(): string {
  const chunk = Buffer.alloc(1 << 16);
  let text = '';
  for (;;) {
    try {
      text += chunk.toString('utf8', 0, readSync(fd, chunk));
    } catch {
      return text;
    }
  }
}

describe('the log', () => {
  it('into a pipe that nobody reads drops what is too much, holds nobody up, and goes on with whole lines when it is read', async () => {
    let dropped = 0;
    const log = logInto(fd, () => void dropped++);
    const lines = 6000;
    for (let i = 0; i < lines; i++) log.info({ i, words: 'x'.repeat(1000) }, 'something happened');
    expect(dropped).toBeGreaterThan(lines / 2);
    let text = '';
    const linesRead = (): number => {
      text += readOut();
      return text.split('\n').length - 1;
    };
    await expect.poll(linesRead, { interval: 5 }).toBe(lines - dropped);
    const read = text
      .trimEnd()
      .split('\n')
      .map((line) => (JSON.parse(line) as { i: number }).i);
    expect(read).toEqual(Array.from({ length: lines - dropped }, (_, i) => i));
    log.info('after');
    await expect.poll(() => readOut()).toContain('after');
  });
});
