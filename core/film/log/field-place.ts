/** A place on the field in words, from the yards to the goal line we play to: "own 35", "their 20", "midfield"; empty when unknown. */
export function sayFieldPlace(toGoal: number | null): string {
  if (toGoal === null) return '';
  if (toGoal === 50) return 'midfield';
  return toGoal > 50 ? `own ${100 - toGoal}` : `their ${toGoal}`;
}

export type ReadPlace =
  { readonly ok: true; readonly toGoal: number | null } | { readonly ok: false; readonly problem: string };

/** Reads "own 35", "their 20", "midfield", "50" back; nothing written is a place nobody knows. */
export function readFieldPlace(text: string): ReadPlace {
  const said = text.trim().toLowerCase();
  if (said === '') return { ok: true, toGoal: null };
  if (said === 'midfield' || said === '50') return { ok: true, toGoal: 50 };
  const [, whose, yards] = /^(own|our|their|theirs)\s+(\d{1,2})$/.exec(said) ?? [];
  const line = Number(yards);
  if (!whose || line < 1 || line > 50)
    return {
      ok: false,
      problem: `"${text.trim()}" is no place on the field; write "own 35", "their 20" or "midfield"`,
    };
  return { ok: true, toGoal: whose.startsWith('o') ? 100 - line : line };
}
