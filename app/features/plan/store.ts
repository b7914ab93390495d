import { defineStore } from 'pinia';
import { computed, shallowRef, watch } from 'vue';
import type { Mending } from '#core/compare/mend';
import { playerAt } from '#core/film/log/lineup';
import type { Call } from '#core/model/snap';
import {
  sharesOf,
  theirManOf,
  type PlannedAnswer,
  type PlannedLook,
  type PlannedPlay,
  type TheirMan,
} from '#core/model/week-plan';
import { demandOf, soundShares } from '#core/plan/demand';
import { loadBearing, type Loss } from '#core/plan/losses';
import { numberOf, standingsOf } from '#core/plan/standing';
import { theirPlaces } from '#core/plan/their-places';
import { callsOf, type CallCell, type PlanCell } from '#core/plan/work-plan';
import { usePlaybook } from '~/features/playbook/store';
import { useRoster } from '~/features/roster/store';
import { useWeek } from '~/features/week/store';
import { usePlanning } from '~/workers/start';

/** The places of the line in their order, then whoever else blocks. */
const ORDER = ['LT', 'LG', 'C', 'RG', 'RT', 'Y', 'U', 'H', 'W', 'F', 'B', 'X', 'Z'];
const placeOf = (seat: string): number => (ORDER.includes(seat) ? ORDER.indexOf(seat) : ORDER.length);

/** What has been worked out of one call so far. */
interface Known {
  readonly cell: CallCell | null;
  readonly losses: readonly Loss[] | null;
  /** What mends it, once that is known; `null` where nothing does. */
  readonly mend: Mending | null | undefined;
  readonly gap: string;
}

/** The week's plan: what we call, what they show, and what follows for every man. */
export const usePlan = defineStore('plan', () => {
  const week = useWeek();
  const playbook = usePlaybook();
  const roster = useRoster();
  const work = usePlanning();

  const plan = computed(() => week.bodies.plan);
  const isReady = computed(() => plan.value.plays.length > 0 && plan.value.looks.length > 0);
  /** What is known of calls, by their text, as long as texts, limits and words are the same. */
  const known = shallowRef<ReadonlyMap<string, Known>>(new Map());
  const ways = computed(() => ({ own: playbook.ownTexts, settings: playbook.settings, words: playbook.words }));
  const calls = computed(() => (isReady.value ? callsOf(plan.value) : []));
  const keys = computed(() => calls.value.map((c) => JSON.stringify(c.call)));
  let asked: string[] = [];
  watch(ways, () => void (known.value = new Map()));
  /** A call is worked out once: a play that is added asks for its own answers only. */
  watch(
    [keys, ways],
    () => {
      const missing = [...new Set(keys.value)].filter((k) => !known.value.get(k)?.losses && !known.value.get(k)?.gap);
      if (missing.length === 0 || (work.running.value && missing.every((k) => asked.includes(k)))) return;
      asked = missing;
      work.ask({ ...ways.value, calls: missing.map((k) => JSON.parse(k) as Call) });
    },
    { immediate: true },
  );
  watch(work.found, (found) => {
    const next = new Map(known.value);
    for (const answer of found) {
      const key = asked[answer.call]!;
      const before = next.get(key) ?? { cell: null, losses: null, mend: undefined, gap: '' };
      if (answer.kind === 'cell') next.set(key, { ...before, cell: answer });
      else if (answer.kind === 'losses') next.set(key, { ...before, losses: answer.losses });
      else if (answer.kind === 'mend') next.set(key, { ...before, mend: answer.mend });
      else next.set(key, { ...before, gap: answer.problem });
    }
    known.value = next;
  });

  const cells = computed(() =>
    calls.value.flatMap(({ play, look }, i): PlanCell[] => {
      const found = known.value.get(keys.value[i]!);
      return found?.cell ? [{ ...found.cell, play, look, losses: found.losses }] : [];
    }),
  );
  /** Plays that cannot be worked out against a look, and why. */
  const gapAt = (play: number, look: number): string => {
    const i = calls.value.findIndex((c) => c.play === play && c.look === look);
    return known.value.get(keys.value[i] ?? '')?.gap ?? '';
  };
  const gaps = computed(() => [...new Set(calls.value.map((c) => gapAt(c.play, c.look)))].filter(Boolean));
  /** Every play has been worked out against every look, or cannot be. */
  const isWorked = computed(
    () => isReady.value && keys.value.every((k) => known.value.get(k)?.cell || known.value.get(k)?.gap),
  );
  const shares = computed(() => sharesOf(plan.value.looks));
  const sound = computed(() => soundShares(plan.value, cells.value));

  /** One play against one look: the answer, and the block it hangs on. */
  const cell = (play: number, look: number) => {
    const answer = cells.value.find((c) => c.play === play && c.look === look) ?? null;
    return { answer, gap: gapAt(play, look), hangsOn: answer?.losses ? loadBearing(answer.losses) : null };
  };

  /** Plays that are not sound against a look, those that come most often first, with what would mend them. */
  const weak = computed(() =>
    cells.value
      .filter((c) => c.verdict !== 'sound')
      .map(({ play, look, verdict, sentence }) => {
        const i = calls.value.findIndex((c) => c.play === play && c.look === look);
        const times = plan.value.plays[play]!.times * shares.value[look]!;
        return { play, look, verdict, sentence, times, mend: known.value.get(keys.value[i]!)?.mend };
      })
      .sort((a, b) => b.times - a.times),
  );

  const whoAt = (seat: string): number | null => playerAt({ seats: [], jerseys: [] }, roster.here, seat, 1);
  const demands = computed(() => (isReady.value ? demandOf(plan.value, cells.value) : []));
  const standings = computed(() => standingsOf(demands.value, week.week?.records ?? [], whoAt));
  /** Every place that is asked for something, in line order, with who plays it and what it is asked. */
  const men = computed(() =>
    [...new Set(demands.value.map((d) => d.seat))]
      .sort((a, b) => placeOf(a) - placeOf(b) || (a < b ? -1 : 1))
      .map((seat) => {
        const id = whoAt(seat);
        return {
          seat,
          player: roster.here.find((p) => p.id === id) ?? null,
          number: numberOf(standings.value, seat),
          asked: standings.value.filter((s) => s.seat === seat),
          unmanned: id === null ? demands.value.filter((d) => d.seat === seat) : [],
        };
      }),
  );

  /** Men of the roster by what they are asked most dearly, the dearest first: on them most of the plan hangs. */
  const dearest = computed(() =>
    men.value
      .flatMap(({ seat, player, number }) => (player && number ? [{ seat, player, number }] : []))
      .sort((a, b) => b.number.weight - a.number.weight),
  );

  const put = (plays: PlannedPlay[], looks: PlannedLook[]): Promise<boolean> =>
    week.change('plan', { ...plan.value, plays, looks });
  const changeAnswers = (answers: PlannedAnswer[]): Promise<boolean> => week.change('plan', { ...plan.value, answers });
  /** Whoever of theirs is on a look, and what is known of him. */
  const theirs = computed(() =>
    theirPlaces(plan.value, playbook.book, playbook.settings).map((id) => theirManOf(plan.value, id)),
  );
  const changeTheirs = (man: TheirMan): Promise<boolean> => {
    const others = (plan.value.theirs ?? []).filter((m) => m.id !== man.id);
    const isKnown = man.number !== null || man.note !== '';
    return week.change('plan', { ...plan.value, theirs: [...others, ...(isKnown ? [man] : [])] });
  };
  const openQuiz = (quiz: boolean): Promise<boolean> => week.change('plan', { ...plan.value, quiz });
  const addPlay = (play: PlannedPlay): Promise<boolean> => put([...plan.value.plays, play], plan.value.looks);
  const addLook = (look: PlannedLook): Promise<boolean> => put(plan.value.plays, [...plan.value.looks, look]);
  const changePlay = (at: number, part: Partial<PlannedPlay>): Promise<boolean> =>
    put(
      plan.value.plays.map((p, i) => (i === at ? { ...p, ...part } : p)),
      plan.value.looks,
    );
  const changeLook = (at: number, part: Partial<PlannedLook>): Promise<boolean> =>
    put(
      plan.value.plays,
      plan.value.looks.map((l, i) => (i === at ? { ...l, ...part } : l)),
    );
  const dropPlay = (at: number): Promise<boolean> =>
    put(
      plan.value.plays.filter((_, i) => i !== at),
      plan.value.looks,
    );
  const dropLook = (at: number): Promise<boolean> =>
    put(
      plan.value.plays,
      plan.value.looks.filter((_, i) => i !== at),
    );

  /** What of the opponent's fronts is not in the plan yet. */
  const unused = computed(() =>
    (week.week?.seen ?? []).filter((s) => !plan.value.looks.some((l) => l.front === s.front)),
  );

  const { running, problem } = work;
  return {
    ...{
      plan,
      isReady,
      isWorked,
      cells,
      weak,
      gaps,
      shares,
      sound,
      cell,
      demands,
      standings,
      men,
      dearest,
      unused,
      theirs,
      running,
      problem,
    },
    ...{ openQuiz, changeAnswers, changeTheirs, addPlay, addLook, changePlay, changeLook, dropPlay, dropLook },
  };
});
