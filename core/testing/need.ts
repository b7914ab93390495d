import type { Result } from '../diagnostics/diagnostic';

/** The value of a result that a test takes for granted. */
export function need<T>(result: Result<T>): T {
  if (!result.ok) throw new Error(JSON.stringify(result.diagnostics));
  return result.value;
}
