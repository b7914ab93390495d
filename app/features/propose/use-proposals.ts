import { computed, onScopeDispose, ref, watch, type Ref } from 'vue';
import { useFilm } from '~/features/film/store';
import { usePlaybook } from '~/features/playbook/store';
import { atRest } from '~/features/session/at-rest';
import { request, RequestProblem } from '~/features/session/request';
import { useProposing } from '~/workers/start';
import { comingPart } from '~/features/session/part';

/** Works out what the film makes of the snap that is shown, where everybody was followed on it, and lays it beside the marks. */
export function useProposals(): { readonly problem: Readonly<Ref<string>>; readonly pending: Readonly<Ref<boolean>> } {
  const film = useFilm();
  const playbook = usePlaybook();
  const asked = useProposing();
  const failed = ref('');
  const problem = computed(() => failed.value || asked.problem.value);
  /** It is being fetched or worked out; what comes may be that there is nothing to say. */
  const fetching = ref(false);
  const pending = computed(() => fetching.value || asked.running.value);
  let of: number | null = null;

  async function begin(snapId: number, followed: boolean): Promise<void> {
    of = snapId;
    asked.forget();
    failed.value = '';
    fetching.value = !film.readOnly && followed;
    if (!fetching.value) return;
    await atRest();
    // Whoever goes fast from snap to snap is not waiting for those he passed.
    if (of !== snapId) return;
    try {
      const [answer, { MeasuringSchema }] = await Promise.all([
        request<{ measuring: unknown }>(`/api/snaps/${snapId}/measuring`),
        comingPart(import('#core/model/measured')),
      ]);
      const { followed, bends } = MeasuringSchema.parse(answer.measuring);
      const snap = film.snap;
      if (snap?.id !== snapId || of !== snapId) return;
      if (!followed) return void (fetching.value = false);
      const { call, resolution } = snap;
      asked.ask(JSON.parse(JSON.stringify({ call, resolution, settings: playbook.settings, followed, bends })));
      fetching.value = false;
    } catch (failure) {
      if (!(failure instanceof RequestProblem)) throw failure;
      // The film is watched and graded without; it is said where proposals would stand.
      if (of === snapId) [failed.value, fetching.value] = [failure.message, false];
    }
  }
  watch(
    () => [film.snap?.id, film.snap?.revision, film.snap?.followed] as const,
    ([id, , followed]) => {
      if (id !== undefined) void begin(id, followed ?? false);
    },
    { immediate: true },
  );
  // What comes once the place is left is for nobody.
  onScopeDispose(() => void (of = null));
  watch(asked.whole, (found) => {
    if (film.snap?.id === of) film.proposals = Object.fromEntries(found.map((p) => [p.blocker, p]));
  });
  return { problem, pending };
}
