import { howMany } from '#core/vocabulary/how-many';
import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { callOfName } from '#core/names/names';
import { nextEntry, usualFormation, usualFront, usualPersonnel } from '#core/film/log/habits';
import { lineupAt, lineupDoubts, NO_CHANGES, substitute, type Lineup } from '#core/film/log/lineup';
import { situationAfter } from '#core/film/log/series';
import { newestPlayed, type GameItem, type LogEntry, type SnapItem } from '#core/model/game';
import { today } from '~/features/season/today';
import { LINE_SEATS } from '#core/model/formation';
import type { Call, Logged, Situation } from '#core/model/snap';
import { usePlaybook } from '~/features/playbook/store';
import { useRoster } from '~/features/roster/store';
import { attempting } from '~/features/session/attempt';
import { inTurn } from '~/features/session/in-turn';
import { onlyNewest } from '~/features/session/newest';
import { request } from '~/features/session/request';
import { useSession } from '~/features/session/store';
import { useBegun } from './begun';
import { firstCall } from './book-of-calls';
import {
  sayFieldSince,
  sayMoved,
  sayPlays,
  sayWears,
  stands,
  writeField,
  type FieldStep,
  type KeptLineup,
} from './on-field';
import { backOf, changedSince, stepBetween, type LogStep } from './take-back';

/** Something that somebody has to say yes to first. */
export interface AskedFirst {
  readonly says: string;
  readonly yes: () => Promise<boolean>;
}
/** What is written at once, and on which terms. */
interface Writing {
  readonly entries: readonly LogEntry[];
  readonly without?: readonly number[];
  readonly confirmed: boolean;
  readonly dryRun?: boolean;
}
interface Written {
  written: boolean;
  added: number[];
  changed: number[];
  affected: { number: number; men: string[] }[];
}
/** So many steps back. */
const MOST_STEPS = 100;

/** The log of one game: what was called and seen on each snap, what came of it, and who was on the field. */
export const useLog = defineStore('log', () => {
  const playbook = usePlaybook();
  const roster = useRoster();
  const session = useSession();
  const me = (): number => session.member?.userId ?? 0;
  const games = shallowRef<GameItem[]>([]);
  const game = ref<number | null>(null);
  const log = shallowRef<SnapItem[]>([]);
  const lineup = shallowRef<KeptLineup>({ revision: 0, lineup: NO_CHANGES });
  /** The entry in hand: a new snap, or one that is there. */
  const draft = shallowRef<LogEntry | null>(null);
  const begun = useBegun();
  const problem = ref('');
  const asked = shallowRef<AskedFirst | null>(null);
  const attempt = attempting(problem, 'What you have written stays here.');
  /**
   * What was done since the log was opened, the last step last: each can be taken back. Not for longer: whoever was at the film meanwhile may
   * have marked frames or measured, which would go with a snap that is taken out.
   */
  const steps = shallowRef<(LogStep | FieldStep)[]>([]);
  const lastStep = computed(() => steps.value.at(-1) ?? null);
  const inOrder = inTurn();
  let saving: Promise<unknown> = Promise.resolve();

  const isNew = computed(() => !log.value.some((s) => s.number === draft.value?.number));
  const series = computed(() => {
    const numbers = [...new Set(log.value.map((s) => s.situation.series))].sort((a, b) => a - b);
    return numbers.map((number) => ({ number, snaps: log.value.filter((s) => s.situation.series === number) }));
  });

  const opening = onlyNewest();
  function open(id: number | null): Promise<boolean> {
    const isNewest = opening.begin();
    return attempt(async () => {
      await roster.load();
      const all = await request<GameItem[]>('/api/games');
      if (!isNewest()) return;
      games.value = all;
      const wanted = games.value.some((g) => g.id === id) ? id : (newestPlayed(games.value, today())?.id ?? null);
      [game.value, steps.value] = [wanted, []];
      if (wanted === null) return;
      await reload(wanted);
      if (isNewest()) fresh();
    }, isNewest);
  }

  async function reload(of: number): Promise<void> {
    const [snaps, field] = await Promise.all([
      request<SnapItem[]>(`/api/games/${of}/snaps`),
      request<KeptLineup>(`/api/games/${of}/lineup`),
    ]);
    if (game.value !== of) return;
    log.value = snaps;
    lineup.value = field;
  }

  /** Begins the next snap, with what it most likely is; one that was begun before is gone on with. */
  function fresh(): void {
    asked.value = null;
    const next = nextEntry(log.value, firstCall(playbook));
    const { userId, gameId, entry } = begun.value ?? {};
    const isIt = userId === me() && gameId === game.value && entry?.number === next.number;
    draft.value = isIt ? entry! : next;
  }
  /** Begins the next snap with nothing of one that was begun before. */
  function freshAnew(): void {
    begun.value = null;
    fresh();
  }
  /** Takes a snap that is there in hand. */
  function edit(number: number): void {
    const found = log.value.find((s) => s.number === number);
    if (!found) return fresh();
    asked.value = null;
    const { call, situation, logged } = found;
    draft.value = { number, call, situation, logged };
  }

  function put(change: Partial<LogEntry>): void {
    const entry = { ...draft.value!, ...change };
    draft.value = entry;
    if (isNew.value) begun.value = { userId: me(), gameId: game.value!, entry };
  }
  const putSituation = (change: Partial<Situation>): void =>
    put({ situation: { ...draft.value!.situation, ...change } });
  const putLogged = (change: Partial<Logged>): void => put({ logged: { ...draft.value!.logged, ...change } });

  /** Changes the call; a new snap takes what usually goes with it: formation, front, personnel. */
  function putCall(change: Partial<Call>): void {
    const { call, logged } = draft.value!;
    const isPlay = change.scheme !== undefined && change.scheme !== call.scheme;
    const next: Call = { ...call, ...(isPlay ? { tags: [], overrides: {} } : {}), ...change };
    if (isNew.value && isPlay && change.formation === undefined)
      Object.assign(next, usualFormation(log.value, next.scheme));
    const moved = next.formation !== call.formation;
    if (isNew.value && moved && change.front === undefined) Object.assign(next, usualFront(log.value, next.formation));
    const personnel = moved && isNew.value ? usualPersonnel(log.value, next.formation) : logged.personnel;
    put({ call: next, logged: { ...logged, personnel } });
  }

  /** Reads a call as the program says it; a sentence when it cannot be read, and the call stays. */
  function sayCall(text: string): string {
    const read = callOfName(playbook.naming, text);
    if (!read.ok) return wordDiagnostic(read.diagnostics[0]!).replace(/[^?]$/, '$&.');
    const { scheme, side, tags, formation, motion } = read.value;
    const from = formation ? `${playbook.book.clauses('formations', formation)}` : null;
    putCall({
      scheme,
      side,
      tags: [...tags],
      ...(from ? { formation: from, formationName: playbook.book.name('formations', formation!) } : {}),
    });
    if (motion) putCall({ formation: `${draft.value!.call.formation}; motion ${motion}` });
    return '';
  }

  /** Writes the entry in hand, and goes on with the next snap. */
  function save(confirmed = false): Promise<boolean> {
    const done = attempt(async () => {
      const of = game.value!;
      const entry = draft.value!;
      const was = log.value;
      const answer = await write(of, { entries: [entry], confirmed });
      if (answer.written) {
        if (begun.value?.gameId === of && begun.value.entry.number === entry.number) begun.value = null;
        await reload(of);
        note(of, `snap ${entry.number} ${answer.added.length ? 'logged' : 'changed'}`, touchedBy(answer), was);
        return isLast(entry.number) ? fresh() : edit(entry.number);
      }
      asked.value = { says: sayAffected(answer.affected), yes: () => save(true) };
    });
    saving = done;
    return done;
  }
  const isLast = (number: number): boolean => log.value.at(-1)?.number === number;

  const write = (of: number, what: Writing): Promise<Written> =>
    request<Written>(`/api/games/${of}/log`, { method: 'PUT', body: what });

  /** Notes what was done to a log that was read anew since, so that it can be taken back. */
  function note(of: number, says: string, touched: readonly number[], was: readonly SnapItem[]): void {
    if (game.value !== of) return;
    const step = stepBetween(of, says, touched, was, log.value);
    if (step) noteStep(step);
  }
  const noteStep = (step: LogStep | FieldStep): void => void (steps.value = [...steps.value, step].slice(-MOST_STEPS));
  /** Takes the last step back, with what followed from it, once what is being saved is; what somebody has changed since stays, and it is said. */
  const takeBack = (confirmed = false): Promise<boolean> =>
    inOrder(async () => {
      await saving;
      return attempt(() => stepBack(confirmed));
    });
  async function stepBack(confirmed: boolean): Promise<void> {
    asked.value = null;
    const step = lastStep.value;
    if (!step) return;
    await reload(step.game);
    if ('is' in step) return fieldBack(step, confirmed);
    const since = changedSince(step, log.value);
    if (since.length === 0) {
      const answer = await write(step.game, { ...backOf(step), confirmed });
      if (!answer.written)
        return void (asked.value = { says: sayAffected(answer.affected), yes: () => takeBack(true) });
      await reload(step.game);
    }
    forget(step);
    if (since.length) problem.value = saySince(step.says, since);
    else if (game.value === step.game) goBackTo(step);
  }
  const forget = (step: LogStep | FieldStep): void => void (steps.value = steps.value.filter((s) => s !== step));
  async function fieldBack(step: FieldStep, confirmed: boolean): Promise<void> {
    if (!stands(step, lineup.value.lineup)) problem.value = sayFieldSince(step.says);
    else if (!(await putField(step.game, step.was, confirmed, () => takeBack(true)))) return;
    forget(step);
  }
  /** What was taken back is in hand again: one may want it otherwise. */
  function goBackTo({ before, after }: LogStep): void {
    const [number] = before.size ? before.keys() : after.keys();
    const written = after.get(number!);
    if (log.value.some((s) => s.number === number)) return edit(number!);
    fresh();
    if (written && draft.value?.number === number) put(written);
  }

  /** What a table would write, and where grades were given against something else; nothing is written. */
  async function tryEntries(entries: readonly LogEntry[]): Promise<Written | null> {
    let answer: Written | null = null;
    await attempt(async () => {
      answer = await write(game.value!, { entries, confirmed: false, dryRun: true });
    });
    return answer;
  }
  const writeEntries = (entries: readonly LogEntry[]): Promise<boolean> =>
    attempt(async () => {
      const [of, was] = [game.value!, log.value];
      const answer = await write(of, { entries, confirmed: true });
      await reload(of);
      note(of, sayTable(entries.length), touchedBy(answer), was);
      freshAnew();
    });

  const remove = (number: number): Promise<boolean> =>
    attempt(async () => {
      const [of, was] = [game.value!, log.value];
      const found = was.find((s) => s.number === number);
      if (found) await request(`/api/snaps/${found.id}`, { method: 'DELETE' });
      await reload(of);
      // What was marked on its film has gone with it: that does not come back.
      if (found?.angles.length === 0) note(of, `snap ${number} taken out`, [number], was);
      freshAnew();
    });

  /** Puts who was on the field of a game; grades that would become another man's are asked about first. Whether it was written. */
  async function putField(of: number, next: Lineup, confirmed: boolean, yes: () => Promise<boolean>): Promise<boolean> {
    const answer = await writeField(of, { ...lineup.value, lineup: next }, confirmed);
    if (game.value !== of) return 'kept' in answer;
    if ('kept' in answer) lineup.value = answer.kept;
    else asked.value = { says: sayMoved(answer.moved), yes };
    return 'kept' in answer;
  }
  /** Another man plays a place from a snap on, or a man wears another number. */
  const change = (says: string, next: Lineup, confirmed = false): Promise<boolean> =>
    attempt(async () => {
      asked.value = null;
      const [of, was] = [game.value!, lineup.value.lineup];
      const isWritten = await putField(of, next, confirmed, () => change(says, next, true));
      if (isWritten && game.value === of) noteStep({ game: of, says, was, is: next });
    });
  const nameOf = (id: number | null): string => roster.players.find((p) => p.id === id)?.name ?? 'nobody';
  function comeIn(from: number, seat: string, playerId: number | null): Promise<boolean> {
    const coming = { from, seat, playerId };
    return change(sayPlays(coming, nameOf), substitute(lineup.value.lineup, coming));
  }
  function wear(from: number, playerId: number, number: number): Promise<boolean> {
    const { jerseys, ...rest } = lineup.value.lineup;
    const others = jerseys.filter((c) => c.playerId !== playerId || c.from !== from);
    const worn = { from, playerId, number };
    return change(sayWears(worn, nameOf), { ...rest, jerseys: [...others, worn].sort((a, b) => a.from - b.from) });
  }

  /** Places somebody can be in at a snap: the five, and whoever else blocks there. */
  const seatsAt = (number: number): string[] => [
    ...new Set([...LINE_SEATS, ...(log.value.find((s) => s.number === number)?.asked ?? []).map((a) => a.blocker)]),
  ];
  const fieldAt = (number: number) => lineupAt(lineup.value.lineup, roster.players, seatsAt(number), number);
  const doubtsAt = (number: number): string[] => lineupDoubts(fieldAt(number));

  return {
    games,
    game,
    log,
    lineup,
    series,
    draft,
    isNew,
    problem,
    asked,
    open,
    fresh,
    edit,
    put,
    putSituation,
    putLogged,
    putCall,
    sayCall,
    save,
    tryEntries,
    writeEntries,
    remove,
    lastStep,
    takeBack,
    comeIn,
    wear,
    nameOf,
    seatsAt,
    fieldAt,
    doubtsAt,
  };
});

/** Whether what a snap begins with is what followed from the one before. */
export const followsOn = (before: LogEntry | undefined, entry: LogEntry): boolean => {
  if (!before) return true;
  const { down, distance, series } = situationAfter(before.situation);
  const own = entry.situation;
  return own.down === down && own.distance === distance && own.series === series;
};

export const sayAffected = (affected: Written['affected']): string =>
  `${affected.map(({ number, men }) => `Snap ${number}: ${men.join(', ')}`).join('. ')}. ${
    affected.length === 1 && affected[0]!.men.length === 1 ? 'He was' : 'They were'
  } graded against another assignment. The marks stay as they are; look at them again.`;

const touchedBy = ({ added, changed }: Written): number[] => [...added, ...changed];
const sayTable = (snaps: number): string => `${howMany(snaps, 'snap')} of a table written`;

const saySince = (says: string, since: readonly number[]): string =>
  `${since.length === 1 ? 'Snap' : 'Snaps'} ${since.join(', ')} ${since.length === 1 ? 'was' : 'were'} changed since. What you did (${says}) stays as it is now.`;
