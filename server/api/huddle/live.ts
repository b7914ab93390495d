import type { H3Event } from 'h3';
import { findMember, GRADED, type Member } from '../../session/member';
import { findSession } from '../../session/sessions';
import { watchers } from '../../live/watchers';

interface Asking {
  readonly headers: Headers;
  readonly context: Record<string, unknown>;
}

/** A page of another origin may not open a socket with our cookie; programs outside a browser say no origin. */
function isOurs({ headers }: Asking): boolean {
  const origin = headers.get('origin');
  return origin === null || (URL.canParse(origin) && new URL(origin).host === headers.get('host'));
}

/** Who may watch: by the log-in behind the request, as it is now. */
async function whoWatches({ headers, context }: Asking): Promise<Member | null> {
  const request = { request: { headers }, context } as unknown as H3Event;
  // Without a cookie of ours there is nothing to open.
  const sealed = await getUserSession(request).catch(() => null);
  const session = sealed && (await findSession(sealed.secure?.session));
  const member = session && (await findMember(session.userId, session.programId));
  return member && GRADED.includes(member.role) ? member : null;
}

/** The member, or why nobody may watch. */
async function admit(asking: Asking): Promise<Member | Response> {
  if (!isOurs(asking)) return new Response('This comes from another page.', { status: 403 });
  try {
    return (await whoWatches(asking)) ?? new Response('Log in first.', { status: 401 });
  } catch {
    return new Response('The database cannot be reached just now.', { status: 503 });
  }
}

/** Tells who watches the huddle that there is something new; everything else goes through the other routes. */
export default defineWebSocketHandler({
  async upgrade(request) {
    const { headers, context } = request;
    const asking = { headers: new Headers(headers as Headers), context };
    const member = await admit(asking);
    if (member instanceof Response) throw member;
    context.programId = member.programId;
    context.mayStay = async () => (await whoWatches(asking))?.programId === member.programId;
  },
  open(peer) {
    const { programId, mayStay } = peer.context as { programId: number; mayStay: () => Promise<boolean> };
    watchers.add(peer, programId, mayStay);
  },
  message(peer, message) {
    // A page that wants to know whether the line still stands.
    if (message.text() === 'ping') peer.send('pong');
  },
  close: (peer) => watchers.drop(peer.id),
  error: (peer) => watchers.drop(peer.id),
});
