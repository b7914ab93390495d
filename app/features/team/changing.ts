import { ref } from 'vue';
import type { ProgramBody } from '#core/model/program';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';

/** Changes what a program does its own way, and says that it is done. */
export function useChanging() {
  const playbook = usePlaybook();
  const problem = ref('');
  const notice = ref('');
  const attempt = attempting(problem);
  const change = (part: ProgramBody, says: string): Promise<boolean> =>
    attempt(async () => {
      notice.value = '';
      await playbook.changeProgram(part);
      notice.value = says;
    });
  return { problem, notice, change };
}
