import { ref } from 'vue';
import { SHELF_KIND, type BookShelf } from '#core/calls/playbook';
import { attempting, type Attempt } from '~/features/session/attempt';
import { usePlaybook } from './store';

/** The short name that follows from a name: letters and digits with hyphens between. */
export const shortName = (name: string): string =>
  name
    .trim()
    .toLowerCase()
    .replace(/[^a-z0-9]+/g, '-')
    .replace(/^-|-$/g, '');

/** A text of a shelf with its header; quotation marks of a name are left out. */
export const textWithHeader = (shelf: BookShelf, id: string, name: string, body: string): string =>
  `${SHELF_KIND[shelf]} ${id} "${name.replace(/"/g, '')}"\n${body.trim()}\n`;

/** Keeps one text of a shelf in the program's book: what is being done, what came of it. Nothing typed is ever lost by a failure. */
export function useKeeping(shelf: BookShelf) {
  const playbook = usePlaybook();
  const problem = ref('');
  const notice = ref('');

  const trying = attempting(problem, `Your ${SHELF_KIND[shelf]} is still here.`);
  const attempt: Attempt = (what) => {
    notice.value = '';
    return trying(what);
  };

  /** Saves a text under a short name; over the program's own of that name, else beside what ships. */
  const save = (id: string, name: string, body: string, opponent: string | null = null): Promise<boolean> =>
    attempt(async () => {
      const own = playbook.own(shelf, id);
      const text = textWithHeader(shelf, id, name, body);
      if (own) {
        await playbook.save(own, text, own.version, false);
        if (own.opponent !== opponent) await playbook.shelve(own, { opponent });
      } else await playbook.add([{ shelf, text, opponent }]);
      notice.value = `Saved as "${name}".`;
    });

  const retire = (id: string): Promise<boolean> =>
    attempt(async () => {
      const own = playbook.own(shelf, id);
      if (own) await playbook.shelve(own, { retired: true });
    });

  return { problem, notice, attempt, save, retire };
}
