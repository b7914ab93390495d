import { finished, type Readable } from 'node:stream';

/** Bytes that wait to be written before the sender is held back. */
const WAITING = 256_000;

/**
 * What is sent, in the very pieces in which it comes. The body that a request has by itself copies each of them: of a large film that is as
 * much again for the collector, which then takes longer than the film. Fails where the connection breaks; whoever sends is held back while
 * nobody reads.
 */
export function piecesOf(request: Readable): ReadableStream<Uint8Array> {
  let isWanted = true;
  return new ReadableStream<Uint8Array>(
    {
      start(controller) {
        request.on('data', (piece: Uint8Array) => {
          controller.enqueue(piece);
          if (controller.desiredSize! <= 0) request.pause();
        });
        finished(request, { writable: false }, (problem) => {
          if (problem) controller.error(problem);
          else if (isWanted) controller.close();
        });
      },
      pull: () => void request.resume(),
      cancel() {
        isWanted = false;
        request.removeAllListeners('data').resume();
      },
    },
    new ByteLengthQueuingStrategy({ highWaterMark: WAITING }),
  );
}
