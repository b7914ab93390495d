import { useSession } from '~/features/session/store';
import { DOORS } from '~/features/session/doors';
import { RequestProblem } from '~/features/session/request';

/** Doors that are opened by a link, whoever is logged in. */
const BY_LINK = ['/join', '/reset'];

/** Rules and their words come with whoever is logged in: a door needs none of them. */
async function readyPlaybook(programId: number): Promise<void> {
  const { usePlaybook } = await import('~/features/playbook/store');
  await usePlaybook().ready(programId);
}

/** What waits on this machine is read while the rules come: the film shows it with its snap. */
async function takeUpMarks(): Promise<void> {
  const { useMarks } = await import('~/features/marks/store');
  await useMarks().takenUp();
}

/** Everything but the doors needs somebody logged in; where nothing is here yet, the first door is the one that makes a program. */
export default defineNuxtRouteMiddleware(async (to) => {
  const session = useSession();
  try {
    if (!session.known) await session.load();
    if (session.member && to.path.startsWith('/film')) void takeUpMarks();
    if (session.member) await readyPlaybook(session.member.programId);
  } catch (problem) {
    if (problem instanceof RequestProblem)
      return abortNavigation(createError({ statusCode: 503, message: `${problem.message} Is it running?` }));
    throw problem;
  }
  if (!session.member && !DOORS.includes(to.path)) {
    if (session.canBegin && session.demo.length === 0) return navigateTo('/begin');
    return navigateTo({ path: '/login', query: to.path === '/' ? {} : { next: to.fullPath } });
  }
  if (session.member && DOORS.includes(to.path) && !BY_LINK.includes(to.path)) return navigateTo('/');
});
