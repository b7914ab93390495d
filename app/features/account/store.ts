import { defineStore } from 'pinia';
import { ref, shallowRef } from 'vue';
import * as z from 'zod';
import { OwnSessionSchema, type OwnSession } from '#core/model/account';
import { attempting } from '~/features/session/attempt';
import { request } from '~/features/session/request';
import { useSession } from '~/features/session/store';

/** One's own account: name, password, and where one is logged in. */
export const useAccount = defineStore('account', () => {
  const session = useSession();
  const sessions = shallowRef<readonly OwnSession[]>([]);
  const bringing = ref(false);
  const problem = ref('');
  const notice = ref('');
  const attempt = attempting(problem);

  const read = async (): Promise<void> => {
    sessions.value = z.array(OwnSessionSchema).parse(await request('/api/account/sessions'));
  };
  const load = (): Promise<boolean> => attempt(read);

  const doing = (says: string, what: () => Promise<unknown>): Promise<boolean> =>
    attempt(async () => {
      notice.value = '';
      await what();
      notice.value = says;
    });
  const changeName = (name: string): Promise<boolean> =>
    doing('Your name is changed.', async () => {
      await request('/api/account/name', { method: 'PUT', body: { name } });
      await session.load();
    });
  const changePassword = (old: string, password: string): Promise<boolean> =>
    doing('Your password is changed; everywhere else you are logged out.', async () => {
      await request('/api/account/password', { method: 'PUT', body: { old, password } });
      await read();
    });
  const end = ({ id, machine }: OwnSession): Promise<boolean> =>
    doing(`You are logged out at ${machine || 'the other machine'}.`, async () => {
      await request(`/api/account/sessions/${id}`, { method: 'DELETE' });
      await read();
    });
  const makeProgram = (name: string): Promise<boolean> =>
    attempt(async () => {
      await request('/api/programs', { method: 'POST', body: { name } });
    });
  const visitDemo = (): Promise<boolean> =>
    attempt(async () => {
      await request('/api/demo', { method: 'POST', body: {} });
    });

  /** Makes another program of a copy, all of it or nothing. */
  const bringIn = (file: File): Promise<boolean> =>
    attempt(async () => {
      bringing.value = true;
      try {
        await request('/api/copy', { method: 'POST', body: file, type: 'application/zip' });
      } finally {
        bringing.value = false;
      }
    });

  return {
    sessions,
    bringing,
    bringIn,
    problem,
    notice,
    load,
    changeName,
    changePassword,
    end,
    makeProgram,
    visitDemo,
  };
});
