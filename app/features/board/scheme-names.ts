import { readTree } from '#core/language/read';
import { libraryIds, libraryText } from '#core/library/library';

const names = new Map(libraryIds('schemes').map((id) => [id, readTree(libraryText('schemes', id)!).tree?.name ?? id]));

/** What a scheme is called; its id when it no longer ships. */
export const schemeName = (id: string): string => names.get(id) ?? id;
