import { join } from 'node:path';
import send from 'send';
import { requireMember } from '../../session/member';
import { readId } from '../../session/read-input';
import { clipFile } from '../../usecases/film';

/** A clip with byte ranges, so that film can be scrubbed without loading all of it. */
export default defineEventHandler(async (event) => {
  const file = await clipFile(await requireMember(event), readId(event));
  const { filmDir } = useRuntimeConfig();
  await new Promise<void>((done, fail) => {
    send(event.node.req, join('/', file), { root: String(filmDir), cacheControl: false, acceptRanges: true })
      .on('headers', (response: { setHeader(name: string, value: string): void }) =>
        response.setHeader('Cache-Control', 'private, max-age=3600'),
      )
      .on('error', (problem: Error & { status?: number }) =>
        fail(
          createError({
            statusCode: problem.status ?? 500,
            message:
              problem.status === 416
                ? 'The range asked for is not in this clip.'
                : 'The film of this snap is not on this machine. Its grades are kept; put the file back into the film folder.',
          }),
        ),
      )
      .on('end', done)
      .pipe(event.node.res);
    event.node.res.on('close', done);
  });
});
