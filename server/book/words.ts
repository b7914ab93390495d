import { QueryTypes, type Sequelize, type Transaction } from 'sequelize';
import type { Marked } from '#core/grade/book/marked';

/** Words of marks: `book_marks` has their numbers, `book_words` the words. */
export const WORDS = [
  ...['blocker', 'unit', 'pair', 'scheme', 'side', 'front', 'formation'],
  ...['block', 'target', 'help', 'distance', 'zone', 'gained'],
] as const;
type Word = (typeof WORDS)[number];

/** A play and the side it goes to, as they are counted together. */
const playOf = ({ scheme, side }: Marked): string => `${scheme} ${side}`;
const saidBy = (mark: Marked): Record<Word | 'play', string | null> => ({
  ...(Object.fromEntries(WORDS.map((word) => [word, mark[word]])) as Record<Word, string | null>),
  play: playOf(mark),
});

/** The word whose number a column has. */
export const wordOf = (column: string): string => `(select word from book_words where id = ${column})`;

/** Every word that marks of a program have, by its number. */
export async function wordsOf(sequelize: Sequelize, programId: number): Promise<ReadonlyMap<number, string>> {
  const rows = await sequelize.query<{ id: number; word: string }>(
    'select id, word from book_words where program_id = $1',
    { type: QueryTypes.SELECT, bind: [programId] },
  );
  return new Map(rows.map(({ id, word }) => [id, word]));
}

/** Marks of one program with the numbers of their words; words nobody has met before are added. */
export async function inNumbers<M extends Marked>(
  sequelize: Sequelize,
  programId: number,
  marks: readonly M[],
  transaction: Transaction,
): Promise<Record<string, unknown>[]> {
  const said = marks.map(saidBy);
  const met = [...new Set(said.flatMap((words) => Object.values(words)))].filter((word) => word !== null);
  const numbers = await giveNumbers(sequelize, programId, met, transaction);
  const numbered = (words: Record<string, string | null>): Record<string, number | null> =>
    Object.fromEntries(
      Object.entries(words).map(([column, word]) => [column, word === null ? null : numbers.get(word)!]),
    );
  return marks.map((mark, i) => ({ ...mark, ...numbered(said[i]!) }));
}

/** The numbers of words that marks of a program have; of a word that none has there is none. */
async function numbersOf(
  sequelize: Sequelize,
  programId: number,
  words: readonly string[],
  transaction: Transaction,
): Promise<ReadonlyMap<string, number>> {
  const rows = await sequelize.query<{ id: number; word: string }>(
    'select id, word from book_words where program_id = $1 and word = any($2::text[])',
    { type: QueryTypes.SELECT, bind: [programId, words], transaction },
  );
  return new Map(rows.map(({ id, word }) => [word, id]));
}

async function giveNumbers(
  sequelize: Sequelize,
  programId: number,
  words: readonly string[],
  transaction: Transaction,
): Promise<ReadonlyMap<string, number>> {
  const numbers = await numbersOf(sequelize, programId, words, transaction);
  const added = words.filter((word) => !numbers.has(word));
  if (added.length === 0) return numbers;
  await sequelize.query(
    'insert into book_words (program_id, word) select $1, unnest($2::text[]) on conflict do nothing',
    { bind: [programId, added], transaction },
  );
  return numbersOf(sequelize, programId, words, transaction);
}
