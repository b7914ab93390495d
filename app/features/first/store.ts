import { inSentence } from '#core/vocabulary/in-sentence';
import { defineStore } from 'pinia';
import { computed, ref } from 'vue';
import { usePlaybook } from '~/features/playbook/store';
import { attempting } from '~/features/session/attempt';
import { inTurn } from '~/features/session/in-turn';
import { request } from '~/features/session/request';
import { shortName, textWithHeader } from '~/features/playbook/keep';
import { STEPS, type StepId } from './steps';

/** The first steps of a program: which were taken, and where one is. */
export const useFirst = defineStore('first', () => {
  const playbook = usePlaybook();
  const problem = ref('');
  const attempt = attempting(problem);
  const turn = inTurn();
  const done = computed<readonly string[]>(() => playbook.program.begun ?? []);
  /** A program that was just made, with steps still to take; one of an older build never is. */
  const isFresh = computed(() => playbook.program.begun !== undefined && STEPS.some((s) => !done.value.includes(s.id)));
  const chosen = ref<StepId | null>(null);
  /** The step one is at: the one that was chosen, else the first that is open. */
  const at = computed<StepId>(() => chosen.value ?? STEPS.find((s) => !done.value.includes(s.id))?.id ?? STEPS[0].id);
  const go = (id: StepId): void => {
    chosen.value = id;
  };

  /** Takes a step, or leaves it as it ships; on to the next that is open at once, and back to it when it could not be kept. */
  async function take(id: StepId): Promise<boolean> {
    const after = STEPS.findIndex((s) => s.id === id) + 1;
    const open = (s: { id: StepId }): boolean => s.id !== id && !done.value.includes(s.id);
    chosen.value = (STEPS.slice(after).find(open) ?? STEPS.find(open))?.id ?? null;
    const kept = await turn(() => attempt(() => playbook.changeProgram({ begun: [...new Set([...done.value, id])] })));
    if (!kept) chosen.value = id;
    return kept;
  }

  /** One tap: a play is run from now on, or not any more. */
  const togglePlay = (id: string): Promise<boolean> =>
    turn(() =>
      attempt(async () => {
        const plays = playbook.program.plays ?? [];
        await playbook.changeProgram({
          plays: plays.includes(id) ? plays.filter((p) => p !== id) : [...plays, id],
        });
      }),
    );

  /** Writes the next opponent into the schedule and his front into the book; returns the front's id. */
  async function meet(opponent: string, week: number, front: string): Promise<string | null> {
    const name = `${opponent} ${inSentence(playbook.book.name('fronts', front))}`;
    const id = shortName(name);
    const kept = await attempt(async () => {
      await request('/api/games', { method: 'POST', body: { opponent, week } });
      if (playbook.book.text('fronts', id) === null) {
        const lines = playbook.book.clauses('fronts', front).split('; ').join('\n');
        await playbook.add([{ shelf: 'fronts', text: textWithHeader('fronts', id, name, lines), opponent }]);
      }
    });
    return kept ? id : null;
  }

  return { done, isFresh, at, problem, go, take, togglePlay, meet };
});
