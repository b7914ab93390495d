import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import type { NewAccount } from '#core/model/account';
import { READERS, STAFF, type Role } from '#core/model/role';
import { readOnce, request } from './request';

/** Where one asks who is at the machine. */
export const SESSION = '/api/session';

export interface Member {
  userId: number;
  userName: string;
  programId: number;
  programName: string;
  role: Role;
  playerId: number | null;
}
export interface DemoAccount {
  email: string;
  password: string;
  name: string;
  role: string;
}
export interface SessionAnswer {
  demo: DemoAccount[];
  member: Member | null;
  programs: { id: number; name: string; role: Role }[];
  canBegin: boolean;
  deviceKey: string | null;
  keeper: boolean;
}

/** Who is at the machine. */
export const useSession = defineStore('session', () => {
  const member = ref<Member | null>(null);
  const demo = ref<DemoAccount[]>([]);
  const programs = ref<SessionAnswer['programs']>([]);
  /** Locks what stays on this machine after the log-out. */
  const keeper = ref(false);
  const deviceKey = ref<string | null>(null);
  /** Nobody has made the first program here yet. */
  const canBegin = ref(false);
  const known = ref(false);

  async function load(): Promise<void> {
    const answer = await readOnce<SessionAnswer>(SESSION);
    member.value = answer.member;
    demo.value = answer.demo;
    programs.value = answer.programs;
    canBegin.value = answer.canBegin;
    deviceKey.value = answer.deviceKey ?? null;
    keeper.value = answer.keeper ?? false;
    known.value = true;
  }

  async function logIn(email: string, password: string): Promise<void> {
    await request('/api/session', { method: 'POST', body: { email, password } });
    await load();
  }

  async function logOut(): Promise<void> {
    await request('/api/session', { method: 'DELETE' });
    member.value = null;
    deviceKey.value = null;
  }

  async function begin(of: NewAccount & { code: string; program: string }): Promise<void> {
    await request('/api/begin', { method: 'POST', body: of });
    await load();
  }

  async function join(token: string, account: NewAccount): Promise<void> {
    await request('/api/tickets/join', { method: 'POST', body: { token, ...account } });
    await load();
  }

  async function changeProgram(id: number): Promise<void> {
    await request('/api/session/program', { method: 'PUT', body: { id } });
    await load();
  }

  return {
    member,
    demo,
    programs,
    known,
    canBegin,
    deviceKey,
    /** Keeps this installation. */
    keeper,
    /** Who grades and logs. */
    staff: computed(() => member.value !== null && STAFF.includes(member.value.role)),
    /** Who may look at every rule, front and play. */
    reads: computed(() => member.value !== null && READERS.includes(member.value.role)),
    coach: computed(() => member.value?.role === 'coach'),
    load,
    begin,
    join,
    logIn,
    logOut,
    changeProgram,
  };
});
