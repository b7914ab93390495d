import { ref, watch, type Ref } from 'vue';
import { MeasuringSchema } from '#core/model/measured';
import { useFilm } from '~/features/film/store';
import { usePlaybook } from '~/features/playbook/store';
import { atRest } from '~/features/session/at-rest';
import { request, RequestProblem } from '~/features/session/request';
import { useProposing } from '~/workers/start';

/** Works out what the film makes of the snap that is shown, where everybody was followed on it, and lays it beside the marks. */
export function useProposals(): { readonly problem: Ref<string> } {
  const film = useFilm();
  const playbook = usePlaybook();
  const asked = useProposing();
  const problem = ref('');
  let of: number | null = null;

  async function begin(snapId: number): Promise<void> {
    of = snapId;
    asked.forget();
    problem.value = '';
    if (film.readOnly) return;
    await atRest();
    // Whoever goes fast from snap to snap is not waiting for those he passed.
    if (of !== snapId) return;
    try {
      const answer = await request<{ measuring: unknown }>(`/api/snaps/${snapId}/measuring`);
      const { followed, bends } = MeasuringSchema.parse(answer.measuring);
      const snap = film.snap;
      if (!followed || snap?.id !== snapId || of !== snapId) return;
      const { call, resolution } = snap;
      asked.ask(JSON.parse(JSON.stringify({ call, resolution, settings: playbook.settings, followed, bends })));
    } catch (failure) {
      if (!(failure instanceof RequestProblem)) throw failure;
      // The film is watched and graded without; it is said where proposals would stand.
      if (of === snapId) problem.value = failure.message;
    }
  }
  watch(
    () => [film.snap?.id, film.snap?.revision] as const,
    ([id]) => {
      if (id !== undefined) void begin(id);
    },
    { immediate: true },
  );
  watch(asked.whole, (found) => {
    if (film.snap?.id === of) film.proposals = Object.fromEntries(found.map((p) => [p.blocker, p]));
  });
  return { problem };
}
