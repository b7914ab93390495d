import { hasErrors, type Diagnostic } from '#core/diagnostics/diagnostic';
import { wordDiagnostic } from '#core/diagnostics/wording';

/** A sentence with its end. */
const ended = (said: string): string => (/[.?!]$/.test(said) ? said : `${said}.`);

/** What a place says about material that could not be laid out, or that was laid out and is doubtful; empty when there is nothing. */
export function sayProblems(problems: readonly Diagnostic[]): string {
  if (problems.length === 0) return '';
  const said = problems.map((problem) => ended(wordDiagnostic(problem))).join(' ');
  return hasErrors(problems)
    ? `${said} The board shows what it showed before.`
    : `${said} It is laid out without that.`;
}
