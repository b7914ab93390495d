import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { request } from './request';

export interface Member {
  userId: number;
  userName: string;
  programId: number;
  programName: string;
  role: 'coach' | 'assistant' | 'player';
  playerId: number | null;
}
export interface DemoAccount {
  email: string;
  password: string;
  name: string;
  role: string;
}
interface SessionAnswer {
  demo: DemoAccount[];
  member: Member | null;
  programs: { id: number; name: string; role: string }[];
}

/** Who is at the machine. */
export const useSession = defineStore('session', () => {
  const member = ref<Member | null>(null);
  const demo = ref<DemoAccount[]>([]);
  const programs = ref<SessionAnswer['programs']>([]);
  const known = ref(false);

  async function load(): Promise<void> {
    const answer = await request<SessionAnswer>('/api/session');
    member.value = answer.member;
    demo.value = answer.demo;
    programs.value = answer.programs;
    known.value = true;
  }

  async function logIn(email: string, password: string): Promise<void> {
    await request('/api/session', { method: 'POST', body: { email, password } });
    await load();
  }

  async function logOut(): Promise<void> {
    await request('/api/session', { method: 'DELETE' });
    member.value = null;
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
    staff: computed(() => member.value !== null && member.value.role !== 'player'),
    load,
    logIn,
    logOut,
    changeProgram,
  };
});
