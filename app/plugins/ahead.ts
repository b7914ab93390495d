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
    void import('~/layouts/default.vue');
    void import('~/features/playbook/store');
    const ask = <T>(url: string): Promise<T> => askAhead(url, (at) => request<T>(at));
    session
      .then(async ({ member }) => {
        if (!member) return;
        for (const url of ['/api/playbook', '/api/program']) void ask(url);
        if (STAFF.includes(member.role)) await askFilmAhead(window.location.pathname, ask);
      })
      // Whoever needs it asks again, and says what is wrong.
      .catch(() => undefined);
  },
});
