import type { Diagnostic } from './diagnostic';
import { ENGLISH } from './messages/english';

/** The sentence a coach reads. */
export function wordDiagnostic(diagnostic: Diagnostic): string {
  return ENGLISH[diagnostic.code].replace(/\{(\w+)\}/g, (_, name: string) => String(diagnostic.params[name] ?? '?'));
}

/** `file:line:col severity code message`, as compilers print it. */
export const formatDiagnostic = (file: string, d: Diagnostic): string =>
  `${file}:${d.span.line}:${d.span.column} ${d.severity} ${d.code} ${wordDiagnostic(d)}`;
