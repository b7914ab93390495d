import { isAboutHeader, readTree } from '#core/language/read';
import type { BookShelf } from '#core/calls/playbook';

const SHELF: Record<string, BookShelf> = { scheme: 'schemes', front: 'fronts', formation: 'formations' };

/** Hands a text, or something else, over as a file. */
export function download(name: string, what: string | Blob): void {
  const url = URL.createObjectURL(typeof what === 'string' ? new Blob([what], { type: 'text/plain' }) : what);
  const link = Object.assign(document.createElement('a'), { href: url, download: name });
  link.click();
  URL.revokeObjectURL(url);
}

const MAX_BYTES = 400_000;

/** Reads chosen files as texts for their shelves; a file that is none is named, and then nothing is taken. */
export async function readFiles(
  files: readonly File[],
): Promise<{ texts: { shelf: BookShelf; text: string }[]; problem: string }> {
  const texts: { shelf: BookShelf; text: string }[] = [];
  for (const file of files) {
    if (file.size > MAX_BYTES)
      return {
        texts: [],
        problem: `${file.name} is larger than ${MAX_BYTES / 1000} kB: no rule sheet is. Nothing was imported.`,
      };
    const text = await file.text();
    const { tree, diagnostics } = readTree(text.slice(0, 400));
    const kind = diagnostics.some(isAboutHeader) ? undefined : tree?.kind;
    if (!kind)
      return { texts: [], problem: `${file.name} begins with no scheme, front or formation. Nothing was imported.` };
    texts.push({ shelf: SHELF[kind]!, text });
  }
  return { texts, problem: '' };
}
