import fc from 'fast-check';
import { describe, expect, it } from 'vitest';
import { NewPlayerSchema, placesOf } from './player';
import { isPosition, readPosition } from './positions';
import { readRoster } from './read-roster';

const short = (lines: string[][]): unknown[] =>
  readRoster(lines).players.map(({ number, name, seat, seats, defence }) => [
    number,
    name,
    seat,
    seats.join(' '),
    defence,
  ]);

describe('a roster as it is written', () => {
  it.each<[string, string[][], unknown[]]>([
    ['number, name, place', [['61', 'Anselm Rook', 'RG']], [[61, 'Anselm Rook', 'RG', '', '']]],
    ['all in one cell', [['61 Anselm Rook RG']], [[61, 'Anselm Rook', 'RG', '', '']]],
    ['name first', [['Anselm Rook', '#61', 'G']], [[61, 'Anselm Rook', '', 'LG RG', '']]],
    ['no place', [['7', 'Jory Pell']], [[7, 'Jory Pell', '', '', '']]],
    ['both ways', [['72', 'Bram Wicken', 'RT/DT']], [[72, 'Bram Wicken', 'RT', '', 'DT']]],
    ['two places', [['55', 'Jory Pell', 'C/G']], [[55, 'Jory Pell', 'C', 'LG RG', '']]],
    [
      'heads in another order',
      [
        ['Pos', 'No.', 'Last name', 'First name', 'Height'],
        ['OL', '64', 'Wicken', 'Bram', '6-2'],
      ],
      [[64, 'Bram Wicken', '', 'LT LG C RG RT', '']],
    ],
    ['a name that ends like a place', [['80', 'T']], [[80, 'T', '', '', '']]],
    ['empty lines', [[''], ['61', 'Rook'], []], [[61, 'Rook', '', '', '']]],
  ])('%s', (_what, lines, read) => {
    expect(short(lines)).toEqual(read);
    expect(readRoster(lines).problems).toEqual([]);
  });

  it.each<[string, string[], string]>([
    ['no number', ['Anselm Rook'], 'there is no number in "Anselm Rook"'],
    ['a number too large', ['161', 'Anselm Rook'], 'number: a number from 0 to 99'],
    ['no name', ['61', ''], 'name: a name'],
  ])('says what it cannot read, and where: %s', (_what, cells, says) => {
    expect(readRoster([['60', 'Mat Ober', 'LG'], cells])).toMatchObject({
      players: [{ number: 60 }],
      problems: [{ line: 2, says }],
    });
  });

  it('says which position is none, where a column is one', () => {
    const { problems } = readRoster([
      ['number', 'name', 'pos'],
      ['61', 'Anselm Rook', 'toString'],
    ]);
    expect(problems).toEqual([{ line: 2, says: '"toString" is no position; write one such as RG, G, OL or TE' }]);
  });

  it('tells the same man twice, and not two men with one number', () => {
    const { players, problems } = readRoster([
      ['61', 'Anselm Rook'],
      ['61', 'Jory Pell'],
      ['61', 'Anselm Rook'],
    ]);
    expect([players.length, problems]).toEqual([3, [{ line: 3, says: '61 Anselm Rook stands in line 1 already' }]]);
  });

  it('reads anything without failing, and what it reads can be kept; every line is read, told or empty', () => {
    const cell = fc.oneof(fc.string(), fc.constantFrom('61', '#7', 'RG', 'OL/DT', 'No', 'Name', 'Rook', ''));
    fc.assert(
      fc.property(fc.array(fc.array(cell, { maxLength: 5 }), { maxLength: 8 }), (lines) => {
        const { players, problems } = readRoster(lines);
        for (const { line, ...p } of players) {
          expect(NewPlayerSchema.safeParse(p).success).toBe(true);
          expect(lines[line - 1]!.some((c) => c.trim())).toBe(true);
        }
        const told = new Set([...players.map((p) => p.line), ...problems.map((p) => p.line)]);
        const filled = lines.filter((l) => l.some((c) => c.trim())).length;
        expect([filled, filled - 1]).toContain(told.size);
      }),
    );
  });
});

describe('a position', () => {
  it('is read word by word; a place he usually plays only where one is named first', () => {
    expect(readPosition('ol, c')).toMatchObject({ seat: '', seats: ['LT', 'LG', 'C', 'RG', 'RT'] });
    expect(readPosition('lt/og/mlb')).toEqual({ seat: 'LT', seats: ['LG', 'RG'], defence: 'MLB', unknown: [] });
    expect(readPosition('')).toEqual({ seat: '', seats: [], defence: '', unknown: [] });
  });

  it('is not everything', () => {
    expect(['RG', 'te', 'DT', 'Rook', '', '61'].map(isPosition)).toEqual([true, true, true, false, false, false]);
  });

  it('names everywhere a man can play once, his usual place first', () => {
    expect(placesOf({ seat: 'RG', seats: ['C', 'RG', 'LG'] })).toEqual(['RG', 'C', 'LG']);
    expect(placesOf({ seat: '', seats: [] })).toEqual([]);
  });
});
