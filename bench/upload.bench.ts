import { createServer } from 'node:http';
import type { AddressInfo } from 'node:net';
import { readFileSync, rmSync } from 'node:fs';
import { mkdtemp, open } from 'node:fs/promises';
import { join } from 'node:path';
import { PART_BYTES } from '#core/film/incoming/part';
import { DEMO } from './in-browser';

/*
 * About a gigabyte of film sent to a running demo (./start, of this folder) in the parts the page sends, beside the same parts sent to a server that
 * does nothing with them, and written to the same disk until they are on it. And how much memory the server takes meanwhile. What was sent is
 * given up before it is whole: nothing of it stays.
 */
const ROOT = new URL('../../../', import.meta.url).pathname;
const PART = Buffer.alloc(PART_BYTES, 'violet chalk ');
const PROTOCOL = { 'Tus-Resumable': '1.0.0' };
const PARTS = 31;
const BYTES = PARTS * PART.length;
const MEMORY_EVERY_MS = 100;

const rate = (start: number): number => BYTES / 1e3 / (performance.now() - start);

async function sendParts(to: string, headers: Record<string, string>): Promise<void> {
  for (let i = 0; i < PARTS; i++) {
    const partly = { ...headers, ...PROTOCOL, 'Upload-Offset': String(i * PART.length) };
    const type = { 'content-type': 'application/offset+octet-stream' };
    const answer = await fetch(to, { method: 'PATCH', headers: { ...partly, ...type }, body: PART });
    if (!answer.ok) throw new Error(`part ${i + 1} was answered with ${answer.status}: ${await answer.text()}`);
  }
}

/** Megabytes a second to a server that forgets what it is sent. */
async function loopback(): Promise<number> {
  const server = createServer((request, response) => {
    request.resume().on('end', () => response.writeHead(204).end());
  });
  await new Promise<void>((listening) => server.listen(0, '127.0.0.1', listening));
  const start = performance.now();
  await sendParts(`http://127.0.0.1:${(server.address() as AddressInfo).port}`, {});
  const found = rate(start);
  await new Promise((closed) => server.close(closed));
  return found;
}

/** Megabytes a second onto the disk the film lies on. */
async function disk(): Promise<number> {
  const folder = await mkdtemp(join(ROOT, '.data/bench-'));
  const file = await open(join(folder, 'film'), 'w');
  const start = performance.now();
  for (let i = 0; i < PARTS; i++) await file.write(PART);
  await file.sync();
  const found = rate(start);
  await file.close();
  rmSync(folder, { recursive: true });
  return found;
}

/** Megabytes the server of this folder takes now. */
function memory(): number {
  const status = readFileSync(`/proc/${readFileSync(join(ROOT, '.data/server.pid'), 'utf8').trim()}/status`, 'utf8');
  return Number(/VmRSS:\s+(\d+)/.exec(status)![1]) / 1024;
}

async function upload(cookie: string): Promise<{ rate: number; before: number; most: number }> {
  const said = Buffer.from('bench.mp4').toString('base64');
  const kind = Buffer.from('teaching').toString('base64');
  const begun = await fetch(`${DEMO}/api/upload`, {
    method: 'POST',
    headers: {
      cookie,
      ...PROTOCOL,
      'Upload-Length': String(BYTES + 1),
      'Upload-Metadata': `name ${said},kind ${kind}`,
    },
  });
  if (begun.status !== 201) throw new Error(`the upload was answered with ${begun.status}: ${await begun.text()}`);
  const place = new URL(begun.headers.get('location')!, DEMO).href;
  const before = memory();
  let most = before;
  const looking = setInterval(() => (most = Math.max(most, memory())), MEMORY_EVERY_MS);
  const start = performance.now();
  await sendParts(place, { cookie }).finally(() => clearInterval(looking));
  const found = rate(start);
  await fetch(place, { method: 'DELETE', headers: { cookie, ...PROTOCOL } });
  return { rate: found, before, most };
}

const login = { email: 'coach@lanterns.example', password: 'lantern-coach' };
const session = await fetch(`${DEMO}/api/session`, {
  method: 'POST',
  headers: { 'content-type': 'application/json' },
  body: JSON.stringify(login),
}).catch(() => null);
if (!session?.ok) console.log(`nothing answers at ${DEMO}: start the demo with ./start, or set CHALK_URL`);
else {
  const cookie = session.headers
    .getSetCookie()
    .map((c) => c.split(';')[0])
    .join('; ');
  const sent = await upload(cookie);
  const [bare, written] = [await loopback(), await disk()];
  const slower = Math.min(bare, written);
  console.log(
    `${(BYTES / 1e9).toFixed(2)} GB sent at ${sent.rate.toFixed(0)} MB/s; loopback ${bare.toFixed(0)}, disk ${written.toFixed(0)}: ${(sent.rate / slower).toFixed(2)} of the slower (goal 0.5)`,
  );
  console.log(
    `the server took ${sent.before.toFixed(0)} MB before, at most ${sent.most.toFixed(0)} meanwhile: ${(sent.most - sent.before).toFixed(0)} more (goal 150)`,
  );
}
