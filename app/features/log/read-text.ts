/** What a browser offers when a table is asked for. */
export const TABLE_FILES = '.csv,.tsv,.txt,text/csv';

/** The text of a file in UTF-8, without the mark some programs begin it with; `null` when it is none. */
export async function readText(file: File): Promise<string | null> {
  try {
    const text = new TextDecoder('utf-8', { fatal: true }).decode(await file.arrayBuffer());
    return text.includes('\0') ? null : text.replace(/^\uFEFF/, '');
  } catch {
    return null;
  }
}
