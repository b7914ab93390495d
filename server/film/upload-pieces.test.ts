import { Readable } from 'node:stream';
import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { piecesOf } from './upload-pieces';

async function* readAll(stream: ReadableStream<Uint8Array>): AsyncGenerator<Uint8Array> {
  const reader = stream.getReader();
  for (let piece = await reader.read(); !piece.done; piece = await reader.read()) yield piece.value;
}
const bytes = (of: readonly Uint8Array[]): number[] => of.flatMap((piece) => [...piece]);

describe('what is sent, piece by piece', () => {
  it('is the same bytes in the same order, without a copy of any', async () => {
    await fc.assert(
      fc.asyncProperty(fc.array(fc.uint8Array({ minLength: 1, maxLength: 40 }), { maxLength: 30 }), async (pieces) => {
        const sent = pieces.map((p) => Buffer.from(p));
        const request = new Readable({ read: () => undefined });
        const got: Uint8Array[] = [];
        const reading = (async () => {
          for await (const piece of readAll(piecesOf(request))) got.push(piece);
        })();
        for (const piece of [...sent, null]) {
          request.push(piece);
          await new Promise((turn) => setImmediate(turn));
        }
        await reading;
        expect(bytes(got)).toEqual(bytes(pieces));
        expect(got.every((piece) => sent.includes(piece as Buffer<ArrayBuffer>))).toBe(true);
      }),
      { numRuns: 40 },
    );
  });

  it('holds the sender back while nobody reads, and lets him go on', async () => {
    let read = 0;
    const request = new Readable({ read: () => void request.push(++read > 50 ? null : Buffer.alloc(64_000)) });
    const stream = piecesOf(request);
    await new Promise((turn) => setTimeout(turn, 20));
    const waiting = read;
    let got = 0;
    for await (const piece of readAll(stream)) got += piece.length;
    expect([waiting < 12, got]).toEqual([true, 50 * 64_000]);
  });

  it('fails where the connection breaks, whether or not it says why', async () => {
    for (const why of [new Error('reset'), undefined]) {
      const request = new Readable({ read: () => undefined });
      const reader = piecesOf(request).getReader();
      request.push(Buffer.from('half'));
      expect((await reader.read()).value).toEqual(Buffer.from('half'));
      const rest = reader.read();
      request.destroy(why);
      await expect(rest).rejects.toThrow(why ? 'reset' : /premature/i);
    }
  });

  it('lets what is still sent run out where nobody wants it', async () => {
    let read = 0;
    const request = new Readable({ read: () => void request.push(++read > 50 ? null : Buffer.alloc(64_000)) });
    const ended = new Promise((done) => request.once('end', done));
    await piecesOf(request).cancel();
    await ended;
    expect(read).toBe(51);
  });
});
