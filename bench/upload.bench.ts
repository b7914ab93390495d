import { randomBytes, randomUUID } from 'node:crypto';
import { once } from 'node:events';
import { createWriteStream, existsSync, readFileSync, rmSync } from 'node:fs';
import { createServer, request } from 'node:http';
import type { AddressInfo } from 'node:net';
import { join } from 'node:path';
import { Readable } from 'node:stream';
import { pipeline } from 'node:stream/promises';
import { DEMO } from './in-browser';

/*
 * A gigabyte sent to a running demo (./start) as its page sends film, beside the same bytes written to its disk, and sent to a server that
 * throws them away; and what memory the server takes meanwhile, where it runs on this machine. It is no film: the program takes it away itself.
 */
const BYTES = 1_000_000_000;
/** What the page sends in one request, bytes. */
const PART = 8_000_000;
const DATA = process.env.CHALK_DATA ?? '.data';
const TUS = { 'tus-resumable': '1.0.0' };

const part = randomBytes(PART);
/** Another first part, so that no film is the same as one that was sent before. */
const own = randomBytes(PART);
/** So many bytes, as they are sent. */
const bytes = (): Readable =>
  Readable.from(
    (function* () {
      for (let left = BYTES; left > 0; left -= PART) yield part.subarray(0, Math.min(PART, left));
    })(),
  );
const rate = async (what: () => Promise<unknown>): Promise<number> => {
  const start = performance.now();
  await what();
  return BYTES / 1e3 / (performance.now() - start);
};

/** Sends the bytes in one request. */
async function send(to: string): Promise<void> {
  const sending = request(to, { method: 'POST', headers: { 'content-length': String(BYTES) } });
  const answered = once(sending, 'response') as Promise<[{ resume: () => void }]>;
  await pipeline(bytes(), sending);
  const [answer] = await answered;
  answer.resume();
}

async function toNobody(): Promise<void> {
  const server = createServer((asked, answer) => asked.resume().on('end', () => answer.end())).listen(0, '127.0.0.1');
  await once(server, 'listening');
  await send(`http://127.0.0.1:${(server.address() as AddressInfo).port}`);
  server.close();
}

async function toDisk(): Promise<void> {
  const file = join(DATA, 'film', `bench-${randomUUID()}`);
  await pipeline(bytes(), createWriteStream(file, { flush: true }));
  rmSync(file);
}

async function toDemo(cookie: string): Promise<void> {
  const said = Object.entries({ name: 'bench.bin', kind: 'practice' }).map(
    ([key, value]) => `${key} ${Buffer.from(value).toString('base64')}`,
  );
  const made = await fetch(`${DEMO}/api/upload`, {
    method: 'POST',
    headers: { cookie, ...TUS, 'upload-length': String(BYTES), 'upload-metadata': said.join(',') },
  });
  if (made.status !== 201) throw new Error(`the upload was not begun: ${made.status} ${await made.text()}`);
  const place = new URL(made.headers.get('location')!, DEMO).pathname;
  const type = 'application/offset+octet-stream';
  for (let offset = 0; offset < BYTES; offset += PART) {
    const headers = { cookie, ...TUS, 'upload-offset': String(offset), 'content-type': type };
    const body = offset === 0 ? own : part.subarray(0, Math.min(PART, BYTES - offset));
    const answer = await fetch(DEMO + place, { method: 'PATCH', headers, body });
    if (answer.status !== 204) throw new Error(`part at ${offset} was not taken: ${answer.status}`);
  }
}

/** Memory of the server, MB; `null` where it does not run here. */
function memory(): number | null {
  const pid = join(DATA, 'server.pid');
  if (!existsSync(pid)) return null;
  const status = readFileSync(`/proc/${readFileSync(pid, 'utf8').trim()}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1e3;
}

async function main(): Promise<void> {
  const entered = await fetch(`${DEMO}/api/session`, {
    method: 'POST',
    headers: { 'content-type': 'application/json' },
    body: JSON.stringify({ email: 'coach@lanterns.example', password: 'lantern-coach' }),
  }).catch(() => null);
  if (!entered?.ok) return console.log(`nothing answers at ${DEMO}: start the demo with ./start, or set CHALK_URL`);
  const cookie = entered.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
  const disk = await rate(toDisk);
  const loopback = await rate(toNobody);
  const before = memory();
  let most = before ?? 0;
  const looking = setInterval(() => (most = Math.max(most, memory() ?? 0)), 100);
  const sent = await rate(() => toDemo(cookie));
  clearInterval(looking);
  const bound = Math.min(disk, loopback);
  console.log(
    `1 GB: ${sent.toFixed(0)} MB/s; to the disk alone ${disk.toFixed(0)}, over loopback alone ${loopback.toFixed(0)}; ${(sent / bound).toFixed(2)} of the slower (goal 0.5)`,
  );
  if (before !== null)
    console.log(
      `memory of the server ${before.toFixed(0)} MB before, ${most.toFixed(0)} MB at the most (${(most - before).toFixed(0)} more, goal 150)`,
    );
}

await main();
