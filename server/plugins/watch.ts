import { log } from '../watch/log';
import { countRequest } from '../watch/metrics';
import { levelOf, newRequestId, routeOf } from '../watch/requests';

/** Writes down every request when its answer has gone out, and gives each a number that stands in the answer too. */
export default defineNitroPlugin((nitro) => {
  nitro.hooks.hook('request', (event) => {
    const [id, began] = [newRequestId(), performance.now()];
    const { req, res } = event.node;
    res.setHeader('x-request-id', id);
    res.once('close', () => {
      const path = (req.url ?? '/').split('?')[0]!;
      const line = {
        ...{ id, method: req.method ?? '', status: res.statusCode },
        route: routeOf(path, event.context.matchedRoute?.path as string | undefined),
        ms: Math.round(10 * (performance.now() - began)) / 10,
      };
      countRequest(line);
      log[levelOf(line)](line);
    });
  });
  nitro.hooks.hook('error', (problem, { event }) => {
    const status = (problem as { statusCode?: number }).statusCode ?? 500;
    if (status < 500) return;
    const id = event?.node.res.getHeader('x-request-id');
    log.error({ id, problem: problem.message, stack: problem.stack });
  });
});
