/** A place in a text: 1-based line and column, as an editor counts them. */
export interface Span {
  readonly line: number;
  readonly column: number;
  readonly endColumn: number;
}

export type Severity = 'error' | 'warning';

/** What is wrong with somebody's material: a code and its parameters; the wording lives in `messages/`. */
export interface Diagnostic {
  readonly code: DiagnosticCode;
  readonly severity: Severity;
  readonly span: Span;
  readonly params: Readonly<Record<string, string | number>>;
}

export const NOWHERE: Span = { line: 1, column: 1, endColumn: 1 };

export type DiagnosticCode = keyof typeof import('./messages/english').ENGLISH;

/** A value, or what stands in its way. */
export type Result<T> = { ok: true; value: T; diagnostics: Diagnostic[] } | { ok: false; diagnostics: Diagnostic[] };

export const error = (code: DiagnosticCode, span: Span, params: Diagnostic['params'] = {}): Diagnostic => ({
  code,
  severity: 'error',
  span,
  params,
});

export const warning = (code: DiagnosticCode, span: Span, params: Diagnostic['params'] = {}): Diagnostic => ({
  code,
  severity: 'warning',
  span,
  params,
});

export const hasErrors = (diagnostics: readonly Diagnostic[]): boolean =>
  diagnostics.some((d) => d.severity === 'error');
