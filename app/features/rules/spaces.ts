import { computed, ref } from 'vue';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { spaceFrom } from '#core/library/library';
import type { Entry } from '#core/calls/playbook';
import { movementMenu } from '#core/movement/menu';
import { openSpace, spaceAround } from '#core/stress/space';
import { usePlaybook, type OwnDocument } from '~/features/playbook/store';
import { RequestProblem } from '~/features/session/request';
import { useSession } from '~/features/session/store';

/** A space as a choice: `key` says where its text comes from. */
export interface SpaceChoice {
  key: string;
  name: string;
}
export interface SpaceGroup {
  name: string;
  choices: SpaceChoice[];
}

const MAX_BYTES = 200_000;
/** Spaces of fronts a proof may run over: the shipped ones, the program's own, and those around a front of the book. What an assistant takes is his for this sitting. */
export function useSpaces(formationId: () => string) {
  const playbook = usePlaybook();
  const session = useSession();
  const sitting = ref<{ id: string; name: string; text: string }[]>([]);
  const problem = ref('');

  const listed = (wanted: (entry: Entry) => boolean): SpaceChoice[] =>
    playbook.book
      .list('spaces')
      .filter(wanted)
      .map(({ id, name }) => ({ key: `book ${id}`, name }));
  const groups = computed<SpaceGroup[]>(() =>
    [
      { name: 'Families of fronts', choices: listed((e) => !e.own) },
      { name: 'Our own', choices: listed((e) => e.own) },
      {
        name: 'Taken for this sitting',
        choices: sitting.value.map(({ id, name }) => ({ key: `sitting ${id}`, name })),
      },
      {
        name: 'Around one front, half a foot off',
        choices: playbook.fronts.map(({ id, name }) => ({ key: `around ${id}`, name })),
      },
      {
        name: 'Around one front, with all it can do after the snap',
        choices: playbook.fronts.map(({ id, name }) => ({ key: `moving ${id}`, name: `${name}, moving` })),
      },
    ].filter((g) => g.choices.length > 0),
  );

  /** The text of a choice; empty, and said in `problem`, when its front cannot stand against this formation. */
  function textOf(key: string): string {
    problem.value = '';
    const [kind, id] = [key.slice(0, key.indexOf(' ')), key.slice(key.indexOf(' ') + 1)];
    if (kind === 'book' || kind === 'sitting') {
      const text = kind === 'book' ? playbook.book.text('spaces', id) : sitting.value.find((s) => s.id === id)?.text;
      if (!text) problem.value = `The space “${id}” is no longer there. Choose another one.`;
      return text ?? '';
    }
    const formation = playbook.book.formation(formationId());
    const front = formation.ok ? playbook.book.front(id, formation.value, playbook.settings) : formation;
    if (!formation.ok || !front.ok) {
      problem.value = `This front cannot be read against ${formationId()}: ${front.diagnostics.map(wordDiagnostic).join('; ')}`;
      return '';
    }
    return JSON.stringify(
      spaceAround(
        front.value,
        kind === 'moving' ? movementMenu(front.value, formation.value).flatMap((g) => g.moves) : [],
      ),
      null,
      1,
    );
  }

  const attempt = async (what: () => Promise<void>): Promise<boolean> =>
    what().then(
      () => true,
      (failure: unknown) => {
        if (!(failure instanceof RequestProblem)) throw failure;
        problem.value = failure.message;
        return false;
      },
    );

  /** Takes a file as a space of the program's own and gives its key; a file that is none is told and changes nothing. */
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
    const { id, name } = read.value;
    if (session.member?.role !== 'coach') {
      sitting.value = [...sitting.value.filter((s) => s.id !== id), { id, name, text }];
      return `sitting ${id}`;
    }
    return (await attempt(() => playbook.add([{ shelf: 'spaces', text }], true))) ? `book ${id}` : null;
  }

  /** The program's own text behind a choice, when this member may retire it. */
  const ownOf = (key: string): OwnDocument | null =>
    session.member?.role === 'coach' && key.startsWith('book ')
      ? playbook.own('spaces', key.slice('book '.length))
      : null;

  async function retire(key: string): Promise<boolean> {
    const document = ownOf(key);
    return document !== null && attempt(() => playbook.shelve(document, { retired: true }));
  }

  return { groups, problem, textOf, take, ownOf, retire };
}
