import { useSession } from '~/features/session/store';
import { usePlaybook } from '~/features/playbook/store';
import { RequestProblem } from '~/features/session/request';

/** Everything but the log-in page needs somebody logged in; players have no film list of their own. */
export default defineNuxtRouteMiddleware(async (to) => {
  const session = useSession();
  try {
    if (!session.known) await session.load();
    if (session.member) await usePlaybook().ready(session.member.programId);
  } catch (problem) {
    if (problem instanceof RequestProblem)
      return abortNavigation(createError({ statusCode: 503, message: `${problem.message} Is it running?` }));
    throw problem;
  }
  if (!session.member && to.path !== '/login')
    return navigateTo({ path: '/login', query: to.path === '/' ? {} : { next: to.fullPath } });
  if (session.member && to.path === '/login') return navigateTo('/walkthrough');
});
