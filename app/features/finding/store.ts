import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { firstCause } from '#core/grade/free/first-cause';
import { whoseWas } from '#core/grade/free/whose';
import {
  FindingSchema,
  NOTHING_FOUND,
  type Cause,
  type Finding,
  type FreeMan,
  type ReadMark,
} from '#core/model/finding';
import { useFilm } from '~/features/film/store';
import { attempting } from '~/features/session/attempt';
import { inTurn } from '~/features/session/in-turn';
import { request } from '~/features/session/request';

/** What was found out about the snap in hand, beside the marks of its men: who came free, how it failed, what backs decided. */
export const useFinding = defineStore('finding', () => {
  const film = useFilm();
  const finding = shallowRef<Finding>(NOTHING_FOUND);
  const problem = ref('');
  const loaded = ref<number | null>(null);
  /** The snap as the server has it, as far as it has answered. */
  let server: { readonly snapId: number; revision: number; kept: Finding } | null = null;
  const inOrder = inTurn();
  const attempt = attempting(problem);

  const open = (snapId: number): Promise<boolean> =>
    attempt(async () => {
      finding.value = NOTHING_FOUND;
      loaded.value = null;
      const answer = await request<{ revision: number; finding: unknown }>(`/api/snaps/${snapId}/finding`);
      if (film.snap?.id !== snapId) return;
      finding.value = FindingSchema.parse(answer.finding);
      server = { snapId, revision: answer.revision, kept: finding.value };
      loaded.value = snapId;
    });

  /** Keeps a change, one after the other however fast they come; when one is refused, what the server has stands again. */
  async function keep(next: Finding): Promise<boolean> {
    const own = server;
    if (loaded.value === null || own === null) return false;
    finding.value = next;
    return inOrder(async () => {
      const done = await attempt(async () => {
        const { revision } = await request<{ revision: number }>(`/api/snaps/${own.snapId}/finding`, {
          method: 'PUT',
          body: { revision: own.revision, finding: next },
        });
        own.revision = revision;
        own.kept = next;
      });
      if (!done && server === own) finding.value = own.kept;
      return done;
    });
  }

  /** Who was free? The engine says whose he was, and the coach says whether that is so. */
  function free(defender: string): Promise<boolean> {
    const { free: there } = finding.value;
    if (there.some((f) => f.defender === defender))
      return keep({ ...finding.value, free: there.filter((f) => f.defender !== defender) });
    const rule = whoseWas(film.snap!.resolution, defender, film.snap!.logged.said);
    return keep({ ...finding.value, free: [...there, { defender, rule, verdict: null, charged: [], note: '' }] });
  }
  const judge = (defender: string, part: Partial<FreeMan>): Promise<boolean> =>
    keep({
      ...finding.value,
      free: finding.value.free.map((f) => (f.defender === defender ? { ...f, ...part } : f)),
    });

  /** Files what the engine and the coach differ on, with the front it came up against. */
  function askRule(about: string, text: string): Promise<boolean> {
    const free = finding.value.free.map((f) => (f.defender === about ? { ...f, verdict: 'asked' as const } : f));
    return keep({ ...finding.value, free, questions: [...finding.value.questions, { about, text }] });
  }
  const dropQuestion = (at: number): Promise<boolean> =>
    keep({ ...finding.value, questions: finding.value.questions.filter((_, i) => i !== at) });

  /** How the snap failed as its marks say, until a coach has said so or otherwise. */
  const proposed = computed<Cause | null>(() =>
    film.snap
      ? firstCause(
          film.snap.resolution,
          Object.entries(film.marks).map(([blocker, grade]) => ({ blocker, grade })),
        )
      : null,
  );
  const setCause = (cause: Cause | null): Promise<boolean> => keep({ ...finding.value, cause });

  function setRead(read: ReadMark): Promise<boolean> {
    const others = finding.value.reads.filter((r) => r.seat !== read.seat || r.read !== read.read);
    const there = finding.value.reads.find((r) => r.seat === read.seat && r.read === read.read);
    return keep({ ...finding.value, reads: there?.mark === read.mark ? others : [...others, read] });
  }

  return { finding, problem, loaded, proposed, open, free, judge, askRule, dropQuestion, setCause, setRead };
});
