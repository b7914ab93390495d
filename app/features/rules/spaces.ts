import { useLocalStorage } from '@vueuse/core';
import { computed, ref } from 'vue';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { libraryIds, libraryText, spaceFrom } from '#core/library/library';
import { movementMenu } from '#core/movement/menu';
import { openSpace, spaceAround } from '#core/stress/space';
import { usePlaybook } from '~/features/playbook/store';
import { useSession } from '~/features/session/store';

/** A space as a choice: `key` says where its text comes from. */
export interface SpaceChoice { key: string; name: string }
export interface SpaceGroup { name: string; choices: SpaceChoice[] }

const MAX_BYTES = 200_000;
/** The name a space gives itself; nothing when the text is none. */
const named = (key: string, text: string): SpaceChoice[] => {
  const space = spaceFrom(text);
  return space.ok ? [{ key, name: space.value.name }] : [];
};

/** Spaces of fronts a proof may run over: the shipped ones, those around a front of the book, and the coach's own files, kept on this machine. */
export function useSpaces(formationId: () => string) {
  const playbook = usePlaybook();
  const session = useSession();
  const own = useLocalStorage<Record<string, string>>(`violet-chalk-spaces-${session.member?.programId ?? 0}`, {});
  const problem = ref('');

  const groups = computed<SpaceGroup[]>(() => [
    { name: 'Families of fronts', choices: libraryIds('spaces').flatMap((id) => named(`shipped ${id}`, libraryText('spaces', id)!)) },
    { name: 'Your own', choices: Object.entries(own.value).flatMap(([id, text]) => named(`own ${id}`, text)) },
    { name: 'Around one front, half a foot off', choices: playbook.fronts.map(({ id, name }) => ({ key: `around ${id}`, name })) },
    { name: 'Around one front, with all it can do after the snap', choices: playbook.fronts.map(({ id, name }) => ({ key: `moving ${id}`, name: `${name}, moving` })) },
  ].filter((g) => g.choices.length > 0));

  /** The text of a choice; empty, and said in `problem`, when its front cannot stand against this formation. */
  function textOf(key: string): string {
    problem.value = '';
    const [kind, id] = [key.slice(0, key.indexOf(' ')), key.slice(key.indexOf(' ') + 1)];
    if (kind === 'shipped') return libraryText('spaces', id) ?? '';
    if (kind === 'own') return own.value[id] ?? '';
    const formation = playbook.book.formation(formationId());
    const front = formation.ok ? playbook.book.front(id, formation.value, playbook.settings) : formation;
    if (!formation.ok || !front.ok) {
      problem.value = `This front cannot be read against ${formationId()}: ${front.diagnostics.map(wordDiagnostic).join('; ')}`;
      return '';
    }
    return JSON.stringify(spaceAround(front.value, kind === 'moving' ? movementMenu(front.value, formation.value).flatMap((g) => g.moves) : []), null, 1);
  }

  /** Takes a file as a space of the coach's own and gives its key; a file that is none is told and changes nothing. */
  async function take(file: File): Promise<string | null> {
    if (file.size > MAX_BYTES) {
      problem.value = `${file.name} is larger than ${MAX_BYTES / 1000} kB: no space of fronts is. Nothing was taken.`;
      return null;
    }
    const text = await file.text();
    const read = spaceFrom(text);
    const formation = playbook.book.formation(formationId());
    const opened = read.ok && formation.ok ? openSpace(read.value, formation.value, playbook.settings) : null;
    const wrong = !read.ok ? read : opened && !opened.ok ? opened : null;
    problem.value = wrong ? `${file.name}: ${wrong.diagnostics.map(wordDiagnostic).join('; ')} Nothing was taken.` : '';
    if (wrong || !read.ok) return null;
    own.value = { ...own.value, [read.value.id]: text };
    return `own ${read.value.id}`;
  }

  function forget(key: string): void {
    own.value = Object.fromEntries(Object.entries(own.value).filter(([id]) => `own ${id}` !== key));
  }

  return { groups, problem, textOf, take, forget };
}
