import { execFileSync } from 'node:child_process';
import { createHash } from 'node:crypto';
import { mkdtempSync, readFileSync } from 'node:fs';
import { tmpdir } from 'node:os';
import { join } from 'node:path';
import { expect, test } from '@playwright/test';
import { Installation, VICTIMS } from './own-installation';

/** How often something is killed while a film comes in: the server, the database, both; more by hand: `KILLS=200`. */
const KILLS = Number(process.env.KILLS ?? 3);
const PART = 8_192;
const TUS = { 'tus-resumable': '1.0.0' };

let home: Installation;
let cookie: string;
test.beforeAll(async () => {
  home = await Installation.make('uploads-cluster');
  cookie = await home.logIn('assistant');
});
test.afterAll(() => home.stop());

/** A clip of the demo that no other is the same as. */
function clipOf(round: number): Buffer {
  const file = join(mkdtempSync(join(tmpdir(), 'violet-chalk-')), 'clip.webm');
  const from = ['-i', 'demo/film/snap-01-end-zone.webm', '-c', 'copy', '-metadata', `title=${round} ${Date.now()}`];
  execFileSync('ffmpeg', ['-v', 'error', '-nostdin', '-y', ...from, file]);
  return readFileSync(file);
}
const headers = (more: Record<string, string>): Record<string, string> => ({ cookie, ...TUS, ...more });

async function begin(name: string, length: number): Promise<string> {
  const said = Object.entries({ name, kind: 'practice' }).map(
    ([key, value]) => `${key} ${Buffer.from(value).toString('base64')}`,
  );
  const made = await fetch(`${home.at}/api/upload`, {
    method: 'POST',
    headers: headers({ 'upload-length': String(length), 'upload-metadata': said.join(',') }),
  });
  expect(made.status).toBe(201);
  return home.at + made.headers.get('location')!.replace(/^https?:\/\/[^/]+/, '');
}

/** Sends part after part from an offset until all is there or the server is gone; up to where it has said that it has it. */
async function sendFrom(place: string, bytes: Buffer, from: number): Promise<number> {
  let offset = from;
  while (offset < bytes.length) {
    try {
      const answer = await fetch(place, {
        method: 'PATCH',
        headers: headers({ 'upload-offset': String(offset), 'content-type': 'application/offset+octet-stream' }),
        body: new Uint8Array(bytes.subarray(offset, offset + PART)),
      });
      // Without its database it says so, and has taken nothing.
      if (answer.status === 503) return offset;
      if (answer.status !== 204) throw new Error(`not taken: ${answer.status} ${await answer.text()}`);
      offset = Number(answer.headers.get('upload-offset'));
    } catch (problem) {
      if (problem instanceof Error && problem.message.startsWith('not taken')) throw problem;
      return offset;
    }
  }
  return offset;
}

test('no part the server has said it has is lost, and the film is whole and there once, whatever is killed whenever', async () => {
  test.setTimeout(60_000 + KILLS * 30_000);
  let isInterrupted = 0;
  for (let round = 0; round < KILLS; round++) {
    const name = `killed-${round}-${Date.now()}.webm`;
    const bytes = clipOf(round);
    const place = await begin(name, bytes.length);
    const sending = sendFrom(place, bytes, 0);
    await new Promise((soon) => setTimeout(soon, 20 + 31 * (round % 9)));
    const victim = VICTIMS[round % VICTIMS.length]!;
    home.kill(victim);
    const acknowledged = await sending;
    if (acknowledged < bytes.length) isInterrupted++;
    await home.raise(victim);
    const head = await fetch(place, { method: 'HEAD', headers: headers({}) });
    // One that was whole before it was killed is no upload any more, but a film.
    if (head.status === 200) {
      const there = Number(head.headers.get('upload-offset'));
      expect(there).toBeGreaterThanOrEqual(acknowledged);
      expect(await sendFrom(place, bytes, there)).toBe(bytes.length);
    } else expect([404, 410]).toContain(head.status);
    await expect(async () => {
      const rows = await home.rows('select state, checksum from films where name = $1', [name]);
      expect(rows).toEqual([{ state: 'ready', checksum: createHash('sha256').update(bytes).digest('hex') }]);
    }).toPass({ timeout: 60_000 });
  }
  expect(isInterrupted).toBeGreaterThan(0);
  process.stdout.write(`${KILLS} kills while films came in, of ${VICTIMS.join(', ')} by turns\n`);
});
