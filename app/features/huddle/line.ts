import { useIntervalFn, useWebSocket } from '@vueuse/core';
import { computed } from 'vue';

/** While the line is down: how often is asked anyway, and how long until it is tried again, ms. */
const ASK_MS = 5_000;
const AGAIN_MS = 1_000;
/** How often it is made sure that the line stands, and how long the answer may take, ms. */
const PING_MS = 20_000;
const PONG_MS = 10_000;

/**
 * A line to the server over which comes that there is something new. It is made again whenever it breaks; what came meanwhile is asked for, and
 * while there is none it is asked for every few seconds, so that a proxy without sockets is no hindrance.
 */
export function useLine(news: () => unknown) {
  const url = `${location.protocol === 'https:' ? 'wss' : 'ws'}://${location.host}/api/huddle/live`;
  const { status } = useWebSocket(url, {
    autoReconnect: { delay: AGAIN_MS },
    heartbeat: {
      message: 'ping',
      responseMessage: 'pong',
      pongTimeout: PONG_MS,
      scheduler: (beat) => useIntervalFn(beat, PING_MS),
    },
    onConnected: () => void news(),
    onMessage: (_, { data }) => void (data !== 'pong' && news()),
  });
  useIntervalFn(() => {
    if (status.value !== 'OPEN') void news();
  }, ASK_MS);
  return { isUp: computed(() => status.value === 'OPEN') };
}
