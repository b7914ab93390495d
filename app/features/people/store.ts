import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import { PeopleSchema, type Invitation, type People, type Person } from '#core/model/account';
import type { Role } from '#core/model/role';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';

/** A link that was just made; it is shown once, as nobody keeps it. */
export interface MadeLink {
  readonly path: '/join' | '/reset';
  readonly token: string;
  readonly for: string;
  readonly sent: boolean;
}

/** Who belongs to the program, who has been asked to, and what they may do. */
export const usePeople = defineStore('people', () => {
  const found = shallowRef<People>({ people: [], waiting: [] });
  const link = shallowRef<MadeLink | null>(null);
  const problem = ref('');
  const notice = ref('');
  const attempt = attempting(problem);

  const read = async (): Promise<void> => {
    found.value = PeopleSchema.parse(await request('/api/people'));
  };
  const load = (): Promise<boolean> => attempt(read);
  /** Does something, reads everybody anew, and says it is done. */
  const doing = (says: string, what: () => Promise<unknown>): Promise<boolean> =>
    attempt(async () => {
      notice.value = '';
      link.value = null;
      await what();
      notice.value = says;
      await read();
    });

  const invite = (invitation: Invitation): Promise<boolean> =>
    doing('', async () => {
      const { token } = await request<{ token: string }>('/api/people/invitations', {
        method: 'POST',
        body: invitation,
      });
      const whom = invitation.name || invitation.email || 'whom you invited';
      link.value = { path: '/join', token, for: whom, sent: invitation.email !== '' };
    });
  const withdraw = (id: number): Promise<boolean> =>
    doing('The invitation is taken back; its link opens nothing any more.', () =>
      request(`/api/people/invitations/${id}`, { method: 'DELETE' }),
    );
  const change = ({ id, name }: Person, role: Role, playerId: number | null): Promise<boolean> =>
    doing(`${name} is changed.`, () => request(`/api/people/${id}`, { method: 'PUT', body: { role, playerId } }));
  const remove = ({ id, name }: Person): Promise<boolean> =>
    doing(`${name} is out, and logged out. What he wrote and graded stays.`, () =>
      request(`/api/people/${id}`, { method: 'DELETE' }),
    );
  const reset = ({ id, name }: Person): Promise<boolean> =>
    doing('', async () => {
      const { token } = await request<{ token: string }>(`/api/people/${id}/reset`, { method: 'POST', body: {} });
      link.value = { path: '/reset', token, for: name, sent: true };
    });

  return { found, link, problem, notice, load, invite, withdraw, change, remove, reset };
});
