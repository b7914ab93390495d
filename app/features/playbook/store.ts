import { defineStore } from 'pinia';
import { computed, ref, shallowRef } from 'vue';
import { Playbook, type BookShelf, type Entry, type OwnText } from '#core/calls/playbook';
import type { Naming } from '#core/model/naming';
import { shippedNaming } from '#core/names/shipped';
import { againstLeague, hasLeagueRules } from '#core/identify/league';
import type { ProgramBody } from '#core/model/program';
import { SHIPPED_SETTINGS, type Settings } from '#core/model/settings';
import { SHIPPED_CALL_WORDS, type CallWords } from '#core/model/call-words';
import { inTurn } from '~/features/session/in-turn';
import { readOnce, request } from '~/features/session/request';

export interface OwnDocument {
  id: number;
  shelf: BookShelf;
  slug: string;
  opponent: string | null;
  retired: boolean;
  players: boolean;
  text: string | null;
  version: number;
  draft: { number: number; text: string; by: string } | null;
}
export interface Version {
  number: number;
  text: string;
  draft: boolean;
  by: string;
  at: string;
}

/** What this program can call and how it works it out: everything that ships, its own texts over it, its limits and words. */
export const usePlaybook = defineStore('playbook', () => {
  const documents = shallowRef<readonly OwnDocument[]>([]);
  /** What the server has, and what is on its way there; together they are how the program does things now. */
  const kept = shallowRef<ProgramBody>({});
  const onItsWay = shallowRef<readonly ProgramBody[]>([]);
  const program = computed<ProgramBody>({
    get: () => Object.assign({}, kept.value, ...onItsWay.value),
    set: (body) => void (kept.value = body),
  });
  const turn = inTurn();
  const knownFor = ref<number | null>(null);

  async function load(): Promise<void> {
    const [found, body] = await Promise.all([
      readOnce<OwnDocument[]>('/api/playbook'),
      readOnce<ProgramBody>('/api/program'),
    ]);
    documents.value = found;
    kept.value = body;
  }

  /** Loads a program's texts when they are not the ones at hand. */
  async function ready(programId: number): Promise<void> {
    if (knownFor.value === programId) return;
    await load();
    knownFor.value = programId;
  }

  /** The program's own texts that count, as they cross to a worker. */
  const ownTexts = computed<OwnText[]>(() =>
    documents.value
      .filter((d) => d.text !== null && !d.retired)
      .map((d) => ({ shelf: d.shelf, id: d.slug, text: d.text! })),
  );
  const settings = computed<Settings>(() => program.value.settings ?? SHIPPED_SETTINGS);
  const book = computed(() => new Playbook(ownTexts.value, settings.value));
  const words = computed<CallWords>(
    () => program.value.callWords?.sets[program.value.callWords.active] ?? SHIPPED_CALL_WORDS,
  );

  const naming = computed<Naming>(() => program.value.naming ?? shippedNaming('words'));

  const own = (shelf: BookShelf, slug: string): OwnDocument | null =>
    documents.value.find((d) => d.shelf === shelf && d.slug === slug) ?? null;

  /** What the program runs: what it has chosen of the library, and its own; the whole library until it has chosen. */
  const schemes = computed<readonly Entry[]>(() => {
    const all = book.value.list('schemes');
    const chosen = program.value.plays;
    return chosen?.length ? all.filter((e) => e.own || chosen.includes(e.id)) : all;
  });

  /** Plays in the order of their families, ready for a grouped list. */
  const plays = computed(() => inFamilies(schemes.value));
  /** The same with one more that is on the board though the program does not run it. */
  const playsWith = (id: string): ReturnType<typeof inFamilies> =>
    schemes.value.some((e) => e.id === id)
      ? plays.value
      : inFamilies([...schemes.value, ...book.value.list('schemes').filter((e) => e.id === id)]);
  const fronts = computed(() =>
    book.value.list('fronts').map(({ id, name }) => ({
      ...{ id, name, opponent: own('fronts', id)?.opponent ?? null },
      against: againstOurLeague(id),
    })),
  );
  /** Why the program's league does not allow a front; empty for one that may be played. */
  function againstOurLeague(id: string): string {
    if (!hasLeagueRules(settings.value)) return '';
    const formation = book.value.formation('five-man');
    if (!formation.ok) return '';
    const front = book.value.front(id, formation.value);
    return front.ok ? againstLeague(front.value, formation.value, settings.value).join(' ') : '';
  }
  const formations = computed(() => book.value.list('formations').map(({ id, name }) => ({ id, name })));

  async function add(
    texts: { shelf: BookShelf; text: string; opponent?: string | null }[],
    overwrite = false,
  ): Promise<void> {
    await request('/api/playbook', { method: 'POST', body: { texts, overwrite } });
    await load();
  }

  async function save(
    document: OwnDocument,
    text: string,
    base: number,
    draft: boolean,
  ): Promise<{ version: number; draft: boolean }> {
    const saved = await request<{ version: number; draft: boolean }>(`/api/playbook/${document.id}`, {
      method: 'PUT',
      body: { text, base, draft },
    });
    await load();
    return saved;
  }

  async function shelve(
    document: OwnDocument,
    change: { retired?: boolean; opponent?: string | null; players?: boolean },
  ): Promise<void> {
    await request(`/api/playbook/${document.id}/shelf`, { method: 'PUT', body: change });
    await load();
  }

  const versions = (document: OwnDocument): Promise<Version[]> =>
    request<Version[]>(`/api/playbook/${document.id}/versions`);

  /** Changes parts of it: they count at once, whatever is changed next builds on them, and what the server refuses is taken back. */
  async function changeProgram(change: ProgramBody): Promise<void> {
    onItsWay.value = [...onItsWay.value, change];
    try {
      kept.value = await turn(() => request<ProgramBody>('/api/program', { method: 'PUT', body: change }));
    } finally {
      onItsWay.value = onItsWay.value.filter((c) => c !== change);
    }
  }

  return {
    documents,
    program,
    ownTexts,
    book,
    settings,
    words,
    naming,
    schemes,
    plays,
    playsWith,
    fronts,
    formations,
    own,
    load,
    ready,
    add,
    save,
    shelve,
    versions,
    changeProgram,
  };
});

function inFamilies(entries: readonly Entry[]): { family: string; items: { id: string; name: string }[] }[] {
  const groups = new Map<string, Entry[]>();
  for (const e of entries) groups.set(e.family, [...(groups.get(e.family) ?? []), e]);
  return [...groups].map(([family, items]) => ({ family, items: items.map(({ id, name }) => ({ id, name })) }));
}
