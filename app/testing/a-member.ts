import type { Member } from '~/features/session/store';

/** Who is at the machine: a coach, but for what is given. */
export function aMember(given: Partial<Member> = {}): Member {
  return {
    userId: 1,
    userName: 'Maren Quill',
    programId: 1,
    programName: 'Lanterns',
    role: 'coach',
    playerId: null,
    ...given,
  };
}
