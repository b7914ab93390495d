import type { Readable } from 'node:stream';
import type { H3Event } from 'h3';

/** Sends a file somebody takes away under a name; whoever hangs up in the middle leaves nothing open here. */
export function sendAway(
  event: H3Event,
  file: Readable,
  { name, type }: { name: string; type: string },
): Promise<void> {
  setResponseHeaders(event, {
    'Content-Type': type,
    'Content-Disposition': `attachment; filename="${name}"`,
    'Cache-Control': 'no-store',
  });
  event.node.res.once('close', () => file.destroy());
  return sendStream(event, file);
}
