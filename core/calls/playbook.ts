import { error, type Result } from '../diagnostics/diagnostic';
import { withSplit } from '../language/lineups/own-split';
import { readFormation } from '../language/lineups/read-formation';
import { readFront } from '../language/lineups/read-front';
import { readTree } from '../language/read';
import { readTitle } from '../language/read-title';
import type { Drill } from '../model/drill';
import type { Formation } from '../model/formation';
import type { Front } from '../model/front';
import { SHIPPED_SETTINGS, type Settings } from '../model/settings';
import type { BookShelf } from '../model/shelves';
import type { CompiledScheme } from '../resolve/prepare/compile';
import {
  drillFrom,
  formationFrom,
  frontFrom,
  libraryIds,
  libraryText,
  schemeFrom,
  spaceFrom,
} from '../library/library';

export { SHELVES, type BookShelf } from '../model/shelves';
/** What a text on a shelf is, and begins with where it is in the rule language; what is none of it is JSON. */
export const SHELF_KIND = {
  schemes: 'scheme',
  fronts: 'front',
  formations: 'formation',
  spaces: 'space',
  drills: 'drill',
} as const satisfies Record<BookShelf, string>;

/** Shelves whose texts are JSON, and what reads them. */
export const JSON_SHELVES = { spaces: spaceFrom, drills: drillFrom } as const;
export const isJsonShelf = (shelf: BookShelf): shelf is keyof typeof JSON_SHELVES => Object.hasOwn(JSON_SHELVES, shelf);

export interface OwnText {
  readonly shelf: BookShelf;
  readonly id: string;
  readonly text: string;
}

export interface Entry {
  readonly id: string;
  readonly name: string;
  readonly family: string;
  readonly school: string | null;
  /** The formation a scheme is usually called from. */
  readonly from: string | null;
  /** The program's own, in place of or beside what ships. */
  readonly own: boolean;
}

const TOP = { line: 1, column: 1, endColumn: 1 };

/** What a program can call: everything that ships, and its own texts over it. */
export class Playbook {
  private readonly texts: Record<BookShelf, Map<string, { text: string; own: boolean }>>;
  private readonly compiled = new Map<string, Result<CompiledScheme>>();
  private readonly listed = new Map<BookShelf, readonly Entry[]>();

  constructor(
    own: readonly OwnText[] = [],
    private readonly ways: Pick<Settings, 'splitInches'> = SHIPPED_SETTINGS,
  ) {
    const shelf = (name: BookShelf): Map<string, { text: string; own: boolean }> => {
      const texts = new Map(libraryIds(name).map((id) => [id, { text: libraryText(name, id)!, own: false }]));
      for (const o of own) if (o.shelf === name) texts.set(o.id, { text: o.text, own: true });
      return texts;
    };
    this.texts = {
      schemes: shelf('schemes'),
      fronts: shelf('fronts'),
      formations: shelf('formations'),
      spaces: shelf('spaces'),
      drills: shelf('drills'),
    };
  }

  text(shelf: BookShelf, id: string): string | null {
    return this.texts[shelf].get(id)?.text ?? null;
  }

  list(shelf: BookShelf): readonly Entry[] {
    let found = this.listed.get(shelf);
    if (!found)
      this.listed.set(
        shelf,
        (found = [...this.texts[shelf]].map(([id, { text, own }]) =>
          isJsonShelf(shelf) ? jsonEntry(shelf, id, text, own) : entryOf(id, text, own),
        )),
      );
    return found;
  }

  name(shelf: BookShelf, id: string): string {
    return this.list(shelf).find((e) => e.id === id)?.name ?? id;
  }

  /** A scheme ready to be worked out; compiled once. */
  scheme(id: string): Result<CompiledScheme> {
    let found = this.compiled.get(id);
    if (!found) {
      const text = this.text('schemes', id);
      found =
        text === null
          ? { ok: false, diagnostics: [error('playbook.unknown', TOP, { what: 'play', id })] }
          : schemeFrom(text);
      this.compiled.set(id, found);
    }
    return found;
  }

  /** A formation by its id, or from inline notation; one of the shelf with the program's split. */
  formation(idOrText: string): Result<Formation> {
    const text = this.text('formations', idOrText);
    return text === null ? readFormation(idOrText) : formationFrom(text, { kept: true, ...this.ways });
  }

  /** A front by its id, or from inline notation, placed against a formation. */
  front(idOrText: string, formation: Formation, settings?: Settings): Result<Front> {
    const text = this.text('fronts', idOrText);
    return text === null
      ? readFront(idOrText, formation, 'own', 'Own front', settings)
      : frontFrom(text, formation, settings);
  }

  /** Every drill that can be read: the library's, and the program's own over and beside them. */
  drills(): Drill[] {
    return [...this.texts.drills.values()].flatMap(({ text }) => {
      const read = drillFrom(text);
      return read.ok ? [read.value] : [];
    });
  }

  /** The clauses of a formation or front, as inline notation. */
  clauses(shelf: 'fronts' | 'formations', idOrText: string): string {
    const text = this.text(shelf, idOrText);
    const tree = text === null ? null : readTree(shelf === 'formations' ? withSplit(text, this.ways) : text).tree;
    return tree && tree.kind !== 'scheme' ? tree.clauses.map((c) => c.text).join('; ') : idOrText;
  }

  /** The schools of the family a play is of, by name; their texts are not read. */
  schoolsOf(id: string): readonly Entry[] {
    const family = this.list('schemes').find((e) => e.id === id)?.family;
    return this.list('schemes').filter((e) => e.family === family && e.school !== null);
  }

  /** The same, read: what could be called instead. */
  schools(id: string): CompiledScheme[] {
    return this.schoolsOf(id).flatMap((e) => {
      const read = this.scheme(e.id);
      return read.ok ? [read.value] : [];
    });
  }
}

function entryOf(id: string, text: string, own: boolean): Entry {
  const title = readTitle(text);
  const head = (key: string): string | null => title?.head.find((h) => h.key === key)?.value ?? null;
  return { id, name: title?.name ?? id, family: head('family') ?? '', school: head('school'), from: head('from'), own };
}

function jsonEntry(shelf: keyof typeof JSON_SHELVES, id: string, text: string, own: boolean): Entry {
  const read = JSON_SHELVES[shelf](text);
  return { id, name: read.ok ? read.value.name : id, family: '', school: null, from: null, own };
}

/** What ships and nothing else. */
export const SHIPPED_PLAYBOOK = new Playbook();
