import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { isContact, type Drill } from '#core/model/drill';
import { SHIPPED_PRACTICE, type PracticeDay, type PracticeLine, type PracticeWays } from '#core/model/practice';
import { breachesOf } from '#core/practice/breaches';
import { throughput } from '#core/practice/bodies';
import { isFor, isOnTheLine, practising, type Practising } from '#core/practice/men';
import { planWeek, type WeekToPlan } from '#core/practice/plan-week';
import { theirWays } from '#core/practice/their-ways';
import { AttendanceDaySchema, type Here } from '#core/roster/attendance';
import { usePlan } from '~/features/plan/store';
import { usePlaybook } from '~/features/playbook/store';
import { useRoster } from '~/features/roster/store';
import { attempting } from '~/features/session/attempt';
import { onlyNewest } from '~/features/session/newest';
import { request } from '~/features/session/request';
import { useWeek } from '~/features/week/store';

/** A week's individual time: who is there, what the planner made of it, and what the coach has changed. */
export const usePractice = defineStore('practice', () => {
  const week = useWeek();
  const plan = usePlan();
  const playbook = usePlaybook();
  const roster = useRoster();
  const problem = ref('');
  /** What the last plan could not do. */
  const told = ref<readonly string[]>([]);
  const attempt = attempting(problem);

  const ways = computed<PracticeWays>(() => playbook.program.practice ?? SHIPPED_PRACTICE);
  const days = computed(() => week.bodies.practice.days);
  const drills = computed(() => new Map(playbook.book.drills().map((d) => [d.id, d])));
  const drillOf = (id: string): Drill | null => drills.value.get(id) ?? null;
  const nameOf = (id: number): string => {
    const man = roster.players.find((p) => p.id === id);
    return man ? `${man.number} ${man.name}` : 'a man who is gone';
  };

  /** Who was written down how, by day; whom nobody has written down is expected. */
  const presence = shallowRef<ReadonlyMap<string, ReadonlyMap<number, Here>>>(new Map());
  const menOn = (day: string): Practising[] => {
    const there = presence.value.get(day);
    return roster.here.map((p) => practising(p, there?.get(p.id) ?? 'here'));
  };
  /** The line coach's own men on a day, whoever is away last. */
  const lineOn = (day: string) =>
    menOn(day)
      .filter(isOnTheLine)
      .map((m) => ({ ...m, name: nameOf(m.playerId) }))
      .sort((a, b) => Number(a.here === 'away') - Number(b.here === 'away'));

  const presences = onlyNewest();
  async function readPresence(): Promise<void> {
    const isNewest = presences.begin();
    const found = await Promise.all(
      days.value.map(async ({ day }) => AttendanceDaySchema.parse(await request(`/api/attendance?day=${day}`))),
    );
    if (isNewest())
      presence.value = new Map(found.map((f) => [f.day, new Map(f.men.map((m) => [m.playerId, m.here]))]));
  }
  /** The newest reading of who is there: nobody is planned for before it has come, or has failed. */
  let reading: Promise<boolean> = Promise.resolve(true);
  const open = (): Promise<boolean> =>
    (reading = attempt(async () => {
      await roster.open();
      await readPresence();
    }));

  /** A man is there, limited or away: it is written down for the day and the plan can be made anew. */
  const setHere = (day: string, playerId: number, here: Here): Promise<boolean> =>
    attempt(async () => {
      const before = presence.value;
      const mine = new Map(before.get(day) ?? []).set(playerId, here);
      presence.value = new Map(before).set(day, mine);
      try {
        await request('/api/attendance', { method: 'PUT', body: { day, men: [{ playerId, here, note: '' }] } });
      } catch (failure) {
        presence.value = before;
        throw failure;
      }
    });

  const theirs = computed(() => {
    const formation = playbook.book.formation(plan.plan.plays[0]?.formation ?? 'tight-end');
    if (!formation.ok) return theirWays([]);
    return theirWays(
      plan.plan.looks.flatMap((l) => {
        const front = playbook.book.front(l.front, formation.value, playbook.settings);
        return front.ok ? front.value.movements : [];
      }),
    );
  });
  const toPlan = (which: readonly PracticeDay[]): WeekToPlan => ({
    ...{ days: which, men: menOn, standings: plan.standings, theirs: theirs.value },
    ...{ drills: [...drills.value.values()], ways: ways.value, level: playbook.settings.levelOfPlay },
  });
  const put = (next: readonly PracticeDay[]): Promise<boolean> => week.change('practice', { days: [...next] });

  /** Fills every day anew around what is held. */
  async function planAll(): Promise<boolean> {
    await reading;
    const planned = planWeek(toPlan(days.value));
    told.value = planned.told;
    return put(planned.days);
  }
  /** Fills one day anew; the others stay as they are and count. */
  async function planDay(day: string): Promise<boolean> {
    await reading;
    const frozen = days.value.map((d) =>
      d.day === day ? d : { ...d, lines: d.lines.map((l) => ({ ...l, held: true })) },
    );
    const planned = planWeek(toPlan(frozen));
    told.value = planned.told;
    return put(days.value.map((d) => (d.day === day ? planned.days.find((p) => p.day === day)! : d)));
  }

  const addDay = (day: PracticeDay): Promise<boolean> =>
    put([...days.value, day].sort((a, b) => (a.day < b.day ? -1 : 1)));
  const dropDay = (day: string): Promise<boolean> => put(days.value.filter((d) => d.day !== day));
  const changeDay = (day: string, part: Partial<PracticeDay>): Promise<boolean> =>
    put(days.value.map((d) => (d.day === day ? { ...d, ...part } : d)));
  const changeLine = (day: string, id: string, part: Partial<PracticeLine>): Promise<boolean> =>
    put(
      days.value.map((d) =>
        d.day === day ? { ...d, lines: d.lines.map((l) => (l.id === id ? { ...l, held: true, ...part } : l)) } : d,
      ),
    );
  const dropLine = (day: string, id: string): Promise<boolean> =>
    put(days.value.map((d) => (d.day === day ? { ...d, lines: d.lines.filter((l) => l.id !== id) } : d)));

  /** Moves a line to a place in a day; it is the coach's own from then on. */
  function moveLine(from: string, id: string, to: string, at: number): Promise<boolean> {
    const line = days.value.find((d) => d.day === from)?.lines.find((l) => l.id === id);
    if (!line) return Promise.resolve(false);
    const without = days.value.map((d) => (d.day === from ? { ...d, lines: d.lines.filter((l) => l.id !== id) } : d));
    return put(
      without.map((d) => {
        if (d.day !== to) return d;
        const lines = [...d.lines];
        const newId = lines.some((l) => l.id === id) ? `${id}-${to}` : id;
        lines.splice(Math.max(0, Math.min(at, lines.length)), 0, { ...line, id: newId, held: true });
        return { ...d, lines };
      }),
    );
  }

  /** A drill the coach wants, for everybody it is for. */
  function addDrill(day: string, id: string): Promise<boolean> {
    const drill = drillOf(id)!;
    const men = menOn(day).filter(
      (m) =>
        isOnTheLine(m) && isFor(drill, m) && (m.here === 'here' || (m.here === 'limited' && drill.contact === 'none')),
    );
    const { repsPerMinute, waits } = throughput(drill, men.length);
    const minutes = drill.minutes.usual;
    const station = {
      ...{ drill: id, men: men.map((m) => m.playerId), reps: Math.round(10 * repsPerMinute * minutes) / 10, waits },
      ...{ why: 'Put in by a coach.', pairs: [] },
    };
    const taken = new Set(days.value.flatMap((d) => d.lines.map((l) => l.id)));
    let n = 1;
    while (taken.has(`${day}-own-${n}`)) n++;
    const line: PracticeLine = { id: `${day}-own-${n}`, minutes, stations: [station], held: true };
    return put(days.value.map((d) => (d.day === day ? { ...d, lines: [...d.lines, line] } : d)));
  }

  /** Where the week goes beyond what was entered. */
  const breaches = computed(() =>
    breachesOf({
      ...{ days: days.value, ways: ways.value, level: playbook.settings.levelOfPlay },
      ...{ drillOf, men: menOn, nameOf },
    }),
  );
  /** Minutes in which men meet, the most of any man, on a day. */
  const contactOn = ({ lines }: PracticeDay): number =>
    lines
      .filter((l) => l.stations.some((s) => isContact(drillOf(s.drill)?.contact ?? 'none')))
      .reduce((sum, l) => sum + l.minutes, 0);

  const changeWays = (part: Partial<PracticeWays>): Promise<boolean> =>
    attempt(() => playbook.changeProgram({ practice: { ...ways.value, ...part } }));

  return {
    ...{ days, drills, ways, problem, told, theirs, breaches, presence },
    ...{ drillOf, nameOf, menOn, lineOn, contactOn, open, setHere, planAll, planDay, changeWays },
    ...{ addDay, dropDay, changeDay, changeLine, dropLine, moveLine, addDrill },
  };
});
