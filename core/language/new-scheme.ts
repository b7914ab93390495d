import { printTree } from './print';
import { readTree } from './read';

/** A play to begin with: it reads well, blocks any front somehow and says where to go on. */
const BLANK = `# Say in a line what this play is.
scheme blank "Blank"
family run
entry playside A gap
track gap
tempo power
cover shoulders

# Write one sentence a line under each man; the first that fits is done.
every man on the line
  when I am covered: base the man on me
  otherwise: climb
`;

/** The text of a new play under a name of its own: the rules of another one, or the least there can be. */
export function newSchemeText(id: string, name: string, from: string | null): string {
  const { tree } = readTree(from ?? BLANK);
  if (tree?.kind !== 'scheme') throw new Error(`a new play cannot begin from a text that is no scheme: ${id}`);
  return printTree({ ...tree, id, name: name.replace(/"/g, '') });
}
