import { CARRIES_LOG_IN } from '#core/model/carried';
import { STAFF } from '#core/model/role';
import { askFilmAhead } from '~/features/film/ahead';
import { askAhead } from '~/features/session/ahead';
import { DOORS } from '~/features/session/doors';
import { request } from '~/features/session/request';
import { SESSION, type SessionAnswer } from '~/features/session/store';

/** While the place one asked for is still coming: who is at the machine, and what every place of his needs. */
export default defineNuxtPlugin({
  name: 'ahead',
  // Before the address is looked at: its place is fetched from then on.
  order: -60,
  setup() {
    const session = askAhead(SESSION, (url) => request<SessionAnswer>(url));
    if (DOORS.includes(window.location.pathname)) return;
    // Whoever needs one that does not come asks again, and says what is wrong.
    for (const part of [import('~/layouts/default.vue'), import('~/features/playbook/store')])
      part.catch(() => undefined);
    const ask = <T>(url: string): Promise<T> => askAhead(url, (at) => request<T>(at));
    // A stranger would be refused all of it; whoever carries a log-in that has ended is, and nobody looks at the answers.
    if (!document.querySelector(`meta[name="${CARRIES_LOG_IN}"]`)) return;
    for (const url of ['/api/playbook', '/api/program']) void ask(url);
    const isStaff = session.then(({ member }) => member !== null && STAFF.includes(member.role));
    askFilmAhead(window.location.pathname, isStaff, ask).catch(() => undefined);
  },
});
