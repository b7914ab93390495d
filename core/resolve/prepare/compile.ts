import { SchemeHeadSchema, type SchemeHead } from '../../model/scheme';
import type { LookLine, SchemeTree, Sentence } from '../../language/tree';
import { saysAny } from './says-any';

/** A scheme ready to be called. Holds no state. */
export interface CompiledScheme {
  readonly tree: SchemeTree;
  readonly head: SchemeHead;
  readonly tags: readonly { name: string; on: boolean; says: string }[];
  /** How it explains its tags and looks: a tag by its own words, a look by the remark above it. */
  readonly spoken: ReadonlyMap<string, string>;
  /** Line of "bump over to a free man"; 0 where nobody bumps. */
  readonly bumpLine: number;
  /** Looks and sentences that hang on what other men have chosen. */
  readonly asking: ReadonlySet<LookLine | Sentence>;
}

const UNSAID: SchemeHead = {
  family: 'run',
  school: null,
  entry: 'playside A gap',
  track: 'gap',
  tempo: 'power',
  throw: null,
  cover: 'shoulders',
  step: null,
  bump: 'nobody',
  from: null,
  note: null,
};

/** The head of a scheme; what a text leaves out (a checker's error) falls back so that a draft can still be drawn. */
export function headOf(tree: SchemeTree): SchemeHead {
  const said = Object.fromEntries(tree.head.map((h) => [h.key, h.value]));
  return SchemeHeadSchema.parse({ ...UNSAID, ...said });
}

export function compileScheme(tree: SchemeTree): CompiledScheme {
  const head = headOf(tree);
  const looks = tree.looks.filter((l) => saysAny(l.when, 'asksOthers'));
  const asking = new Set(looks.map((l) => l.name));
  const sentences = tree.sheets
    .flatMap((sheet) => sheet.sentences)
    .filter((s) => saysAny([s.when, s.actions], 'asksOthers', asking));
  return {
    tree,
    head,
    bumpLine: head.bump === 'nobody' ? 0 : (tree.head.find((h) => h.key === 'bump')?.span.line ?? 0),
    asking: new Set([...looks, ...sentences]),
    spoken: spokenBy(tree),
    tags: tree.tags.map(({ name, on, says }) => ({ name, on, says })),
  };
}

function spokenBy({ tags, looks }: SchemeTree): ReadonlyMap<string, string> {
  const said = new Map(tags.map(({ name, says }) => [name, says]));
  for (const { name, comments } of looks) {
    const remark = comments.join(' ').replace(/\.$/, '');
    if (remark) said.set(name, remark[0]!.toLowerCase() + remark.slice(1));
  }
  return said;
}
