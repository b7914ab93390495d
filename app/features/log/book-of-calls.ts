import type { Call } from '#core/model/snap';
import type { Known } from '#core/film/log/columns';
import type { usePlaybook } from '~/features/playbook/store';

type Playbook = ReturnType<typeof usePlaybook>;

/** Everything a program can call, with its texts. */
export function knownOf({ book }: Playbook): Known {
  const texts = (shelf: 'fronts' | 'formations') =>
    book.list(shelf).map(({ id, name }) => ({ name, text: book.clauses(shelf, id) }));
  return {
    plays: book.list('schemes').map(({ id, name }) => ({ id, name })),
    formations: texts('formations'),
    fronts: texts('fronts'),
  };
}

/** What a first snap is called as until somebody says otherwise: the first play and front of the book. */
export function firstCall({ book, schemes }: Playbook): Call {
  const scheme = schemes[0] ?? book.list('schemes')[0]!;
  const formation = scheme.from ?? 'five-man';
  const front = book.list('fronts')[0]!;
  return {
    scheme: scheme.id,
    side: 'right',
    tags: [],
    formation: book.clauses('formations', formation),
    formationName: book.name('formations', formation),
    front: book.clauses('fronts', front.id),
    frontName: front.name,
    overrides: {},
  };
}
