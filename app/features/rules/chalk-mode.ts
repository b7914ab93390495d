import { autocompletion, type CompletionContext, type CompletionResult } from '@codemirror/autocomplete';
import { HighlightStyle, StreamLanguage, syntaxHighlighting } from '@codemirror/language';
import { linter, type Diagnostic as Mark } from '@codemirror/lint';
import type { Extension } from '@codemirror/state';
import { EditorView } from '@codemirror/view';
import { HEAD_KEYS } from '#core/language/read-lines';
import { tags } from '@lezer/highlight';
import { wordDiagnostic } from '#core/diagnostics/wording';
import { checkText } from '#core/language/check';
import { completeAt, DECLARATIONS } from '#core/language/complete';
import { styleNumber } from '../session/style-number';

const JOINTS = /^(when|otherwise|always|then|else|and|or|not|if)\b/;
/** Said with the word of a joint, and none. */
const PHRASES = /^(nobody|somebody) else\b/;
const HEAD = new RegExp(
  `^(${['scheme', 'front', 'formation', ...HEAD_KEYS, ...DECLARATIONS.map((d) => d.split(' ')[0])].join('|')})\\b`,
);

/** Colours by what a word does: joints of a sentence, names in quotes, remarks; whose rules they are stands out. */
const chalk = StreamLanguage.define<Record<string, never>>({
  startState: () => ({}),
  token(stream) {
    if (stream.match(/^#.*/)) return 'comment';
    if (stream.match(/^"[^"]*"?/)) return 'string';
    if (stream.sol() && stream.match(HEAD)) return 'meta';
    if (stream.sol() && /\S/.test(stream.peek() ?? '')) {
      stream.skipToEnd();
      return 'heading';
    }
    if (stream.match(PHRASES)) return null;
    if (stream.match(JOINTS)) return 'keyword';
    if (stream.match(/^[\p{L}\p{N}'’-]+/u)) return null;
    stream.next();
    return null;
  },
});

const colours = HighlightStyle.define([
  { tag: tags.comment, color: 'var(--soft)', fontStyle: 'italic' },
  { tag: tags.string, color: 'var(--defence)' },
  { tag: tags.meta, color: 'var(--soft)' },
  { tag: tags.keyword, color: 'var(--violet)', fontWeight: '650' },
  { tag: tags.heading, fontWeight: '750' },
]);

const look = EditorView.theme({
  '&': { height: '100%', fontSize: '13.5px', backgroundColor: 'var(--sheet)', color: 'var(--ink)' },
  '.cm-content': {
    fontFamily: "'Archivo Variable', sans-serif",
    fontVariationSettings: "'wdth' 88",
    caretColor: 'var(--violet)',
    padding: '10px 0',
  },
  '.cm-gutters': {
    fontFamily: "'Archivo Variable', sans-serif",
    fontSize: '12px',
    backgroundColor: 'var(--sheet)',
    color: 'var(--soft)',
    border: 'none',
    fontVariantNumeric: 'tabular-nums',
  },
  '.cm-activeLine, .cm-activeLineGutter': { backgroundColor: 'color-mix(in srgb, var(--wash) 60%, transparent)' },
  '&.cm-focused': { outline: '2px solid var(--violet)', outlineOffset: '-2px' },
  '.cm-cursor': { borderLeftColor: 'var(--violet)' },
  '.cm-selectionBackground, &.cm-focused .cm-selectionBackground': { backgroundColor: 'var(--wash)' },
  '.cm-tooltip': { backgroundColor: 'var(--sheet)', color: 'var(--ink)', border: '1px solid var(--soft)' },
  '.cm-tooltip-autocomplete > ul > li[aria-selected]': { backgroundColor: 'var(--wash)', color: 'var(--violet)' },
  '.cm-lineWrapping': { textIndent: '-1.2em', paddingLeft: '1.6em' },
});

function marks(view: EditorView): Mark[] {
  const { doc } = view.state;
  return checkText(doc.toString()).map((d) => {
    const line = doc.line(Math.min(doc.lines, Math.max(1, d.span.line)));
    const from = Math.min(line.to, line.from + d.span.column - 1);
    return {
      from,
      to: Math.max(from, Math.min(line.to, line.from + d.span.endColumn - 1)),
      severity: d.severity === 'error' ? 'error' : 'warning',
      message: wordDiagnostic(d),
    };
  });
}

function complete(context: CompletionContext): CompletionResult | null {
  const line = context.state.doc.lineAt(context.pos);
  if (!context.explicit && !/[\p{L}\s]$/u.test(line.text.slice(0, context.pos - line.from))) return null;
  const { from, options } = completeAt(context.state.doc.toString(), line.number, context.pos - line.from + 1);
  return options.length
    ? { from: line.from + from - 1, options: options.map((label) => ({ label })), filter: true }
    : null;
}

/** Everything that makes a plain text editor one for rules. */
export const chalkMode = (): Extension => [
  chalk,
  syntaxHighlighting(colours),
  look,
  linter(marks, { delay: 120 }),
  autocompletion({ override: [complete], icons: false }),
  EditorView.lineWrapping,
  EditorView.cspNonce.of(styleNumber()),
];
