import { basename, dirname } from 'node:path';
import type { H3Event } from 'h3';
import send from 'send';

/** Sends a file of the storage with byte ranges, so that film can be scrubbed without loading all of it; 404 says `gone`. */
export async function sendFile(event: H3Event, file: string, gone: string): Promise<void> {
  const { req, res } = event.node;
  await new Promise<void>((done, fail) => {
    send(req, `/${basename(file)}`, { root: dirname(file), cacheControl: false, acceptRanges: true })
      .on('headers', (response: { setHeader(name: string, value: string): void }) =>
        response.setHeader('Cache-Control', 'private, no-cache'),
      )
      .on('error', (problem: Error & { status?: number }) =>
        fail(
          createError({
            statusCode: problem.status ?? 500,
            message: problem.status === 416 ? 'The range asked for is not in this film.' : gone,
          }),
        ),
      )
      .on('end', done)
      .pipe(res);
    res.on('close', done);
  });
}
