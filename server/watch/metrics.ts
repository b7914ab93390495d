import { collectDefaultMetrics, Histogram, Registry } from 'prom-client';
import type { RequestLine } from './requests';

export const metrics = new Registry();
collectDefaultMetrics({ register: metrics });
const answered = new Histogram({
  name: 'chalk_request_seconds',
  help: 'How long requests took, by route and what came of them',
  labelNames: ['method', 'route', 'status'],
  buckets: [0.005, 0.02, 0.05, 0.1, 0.25, 0.5, 1, 2, 5, 15],
  registers: [metrics],
});

/** Counts one request. */
export const countRequest = ({ method, route, status, ms }: RequestLine): void =>
  answered.observe({ method, route, status: `${Math.floor(status / 100)}xx` }, ms / 1000);
