import type { Socket } from 'node:net';
import type { Server } from 'node:http';

/** Longer than browsers, proxies and our own tests keep a connection they do not use: none of them writes into one that is just being closed. */
const KEEP_ALIVE_MS = 75_000;

/** Keeps connections that are not used open for a while; the server is known with its first request. */
export default defineNitroPlugin((nitro) => {
  let known = false;
  nitro.hooks.hook('request', (event) => {
    if (known) return;
    known = true;
    const { server } = event.node.req.socket as Socket & { server?: Server };
    if (server) server.keepAliveTimeout = KEEP_ALIVE_MS;
  });
});
