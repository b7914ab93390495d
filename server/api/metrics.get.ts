import { timingSafeEqual } from 'node:crypto';
import { hashOf } from '../session/tickets';
import { metrics } from '../watch/metrics';

/** Figures of this process for who watches it; only with the token it was started with, and nowhere without one. */
export default defineEventHandler(async (event) => {
  const { metricsToken } = useRuntimeConfig();
  const given = (getRequestHeader(event, 'authorization') ?? '').replace(/^Bearer /, '');
  const isKnown = metricsToken !== '' && timingSafeEqual(Buffer.from(hashOf(given)), Buffer.from(hashOf(metricsToken)));
  if (!isKnown) throw createError({ statusCode: 404, message: 'There is no GET /api/metrics.' });
  setResponseHeader(event, 'content-type', metrics.contentType);
  return metrics.metrics();
});
