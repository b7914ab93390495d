import fc from 'fast-check';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { lineupAt, numberAt, type Lineup } from '#core/film/log/lineup';
import type { NewPlayer } from '#core/roster/player';
import { GameRow, PlayerRow } from '../../server/db/models';
import { lineupOf } from '../../server/db/mappers';
import { addPlayers, asItWas, changePlayer, roster } from '../../server/usecases/roster';
import { listAudit } from '../../server/usecases/audited';
import { freshDatabase, makeProgram } from './fresh-database';

type Program = Awaited<ReturnType<typeof makeProgram>>;
let db: Awaited<ReturnType<typeof freshDatabase>>;
let lanterns: Program;
let terns: Program;
beforeAll(async () => {
  db = await freshDatabase();
  lanterns = await makeProgram('Lanterns');
  terns = await makeProgram('Terns');
});
afterAll(() => db.drop());

const man = (number: number, name: string, more: Partial<NewPlayer> = {}): NewPlayer => ({
  ...{ number, name, seat: '', seats: [], defence: '' },
  ...more,
});
const SEATS = ['LT', 'LG', 'C', 'RG', 'RT', 'H'];
/** Who stood where with which number on a snap of the played game. */
async function field({ programId, gameId }: Program): Promise<Record<string, string>> {
  const game = (await GameRow.findByPk(gameId))!;
  const men = await PlayerRow.findAll({ where: { programId } });
  return Object.fromEntries(
    [...lineupAt(lineupOf(game), men, SEATS, 2)].map(([seat, m]) => [seat, `${m.id} ${m.number}`]),
  );
}
const at = async (of: Program, seat: string) =>
  (await PlayerRow.findOne({ where: { programId: of.programId, seat } }))!;
const kept = (row: PlayerRow) => ({ ...man(row.number, row.name, { seat: row.seat, seats: row.seats }), left: false });

describe('a roster', () => {
  it('takes many men, all or none', async () => {
    const { coach } = lanterns.members;
    await addPlayers(coach, [man(70, 'Ivo Tam', { seat: 'Y' }), man(71, 'Odo Lisk', { seats: ['LG', 'RG'] })]);
    const before = await roster(coach);
    expect(before.find((p) => p.number === 71)).toMatchObject({ seat: '', seats: ['LG', 'RG'], left: false });
    await expect(addPlayers(coach, [man(72, 'New Man'), man(70, 'Ivo Tam')])).rejects.toThrow(
      'players.1: 70 Ivo Tam is on the roster already',
    );
    expect(await roster(coach)).toEqual(before);
    const many = Array.from({ length: 200 }, (_, i) => man(i % 100, `Man ${i}`));
    await expect(addPlayers(coach, many)).rejects.toThrow('at most 200');
  });

  it('leaves a place to who plays it already', async () => {
    const { coach } = lanterns.members;
    await addPlayers(coach, [man(73, 'Second Guard', { seat: 'RG', seats: ['C'] })]);
    expect((await roster(coach)).find((p) => p.number === 73)).toMatchObject({ seat: '', seats: ['RG', 'C'] });
    expect((await at(lanterns, 'RG')).name).toBe('Lanterns RG');
  });

  it('has one man for every place: whoever gets it takes it over', async () => {
    const { coach } = lanterns.members;
    const [second, first] = [(await PlayerRow.findOne({ where: { name: 'Second Guard' } }))!, await at(lanterns, 'RG')];
    await changePlayer(coach, second.id, { ...kept(second), seat: 'RG' });
    const men = await roster(coach);
    expect(men.filter((p) => p.seat === 'RG').map((p) => p.id)).toEqual([second.id]);
    expect(men.find((p) => p.id === first.id)).toMatchObject({ seat: '', seats: ['RG'] });
  });

  it('is changed by its own staff only, one at a time', async () => {
    const own = await at(lanterns, 'LT');
    await expect(changePlayer(terns.members.coach, own.id, kept(own))).rejects.toMatchObject({ statusCode: 404 });
    const both = [man(80, 'Twin One', { seat: 'X' }), man(81, 'Twin Two', { seat: 'X' })];
    await Promise.all(both.map((p) => addPlayers(lanterns.members.coach, [p])));
    const twins = (await roster(lanterns.members.coach)).filter((p) => p.name.startsWith('Twin'));
    expect(twins.map((p) => p.seat).sort()).toEqual(['', 'X']);
  });

  it('shows a player himself', async () => {
    expect((await roster(lanterns.members.player)).map((p) => p.id)).toEqual([lanterns.members.player.playerId]);
  });
});

describe('a game that was played', () => {
  it('keeps who played where, with which number, whatever the roster says later', async () => {
    const { coach } = terns.members;
    const before = await field(terns);
    const [tackle, guard, centre] = [await at(terns, 'LT'), await at(terns, 'LG'), await at(terns, 'C')];
    await changePlayer(coach, tackle.id, { ...kept(tackle), seat: 'LG' });
    expect(await field(terns)).toEqual(before);
    await changePlayer(coach, guard.id, { ...kept(guard), seat: 'LT', number: 99 });
    await changePlayer(coach, centre.id, { ...kept(centre), left: true });
    await addPlayers(coach, [man(50, 'New Centre', { seat: 'C' })]);
    expect(await field(terns)).toEqual(before);
    const men = await roster(coach);
    expect(men.filter((p) => ['LT', 'LG', 'C'].includes(p.seat)).map((p) => p.name)).toEqual([
      ...['New Centre', 'Terns LT', 'Terns LG'],
    ]);
    expect(men.at(-1)).toMatchObject({ id: centre.id, left: true, seat: '' });
    await changePlayer(coach, centre.id, { ...kept(centre), seat: 'C', left: false });
    expect(await field(terns)).toEqual(before);
    const { entries } = await listAudit(coach, { skip: 0, take: 3 });
    expect(entries.map((e) => e.what)).toEqual(['came back', 'roster changed', 'left']);
  });

  it('keeps a place nobody played as nobody’s', async () => {
    const { coach } = lanterns.members;
    expect((await field(lanterns)).Y).toBeUndefined();
    const game = (await GameRow.findByPk(lanterns.gameId))!;
    expect(lineupOf(game).seats).toContainEqual({ from: 1, seat: 'Y', playerId: null });
    const h = await at(lanterns, 'H');
    await changePlayer(coach, h.id, { ...kept(h), number: 7 });
    expect(numberAt(lineupOf((await GameRow.findByPk(lanterns.gameId))!), { ...h.get(), number: 7 }, 1)).toBe(65);
  });

  it('reads the same after any change of places and numbers', () => {
    const seat = fc.constantFrom('', 'LT', 'LG', 'C', 'RG');
    const men = fc.uniqueArray(fc.record({ seat, number: fc.integer({ min: 0, max: 99 }) }), {
      selector: (m) => m.seat || m.number,
      maxLength: 6,
    });
    const lineup: fc.Arbitrary<Lineup> = fc.record({
      seats: fc.array(
        fc.record({ from: fc.integer({ min: 1, max: 4 }), seat, playerId: fc.option(fc.integer({ min: 1, max: 6 })) }),
        { maxLength: 4 },
      ),
      jerseys: fc.constant([]),
    });
    fc.assert(
      fc.property(men, lineup, fc.array(seat, { minLength: 6, maxLength: 6 }), (drawn, before, later) => {
        const roster = drawn.map((m, i) => ({ ...m, id: i + 1, name: `Man ${i}` }));
        const changed = roster.map((m, i) => ({ ...m, seat: later[i]!, number: m.number + 1 }));
        const seats = ['LT', 'LG', 'C', 'RG'];
        const after = asItWas(before, { men: roster, seats, numbers: roster });
        for (let snap = 1; snap <= 5; snap++)
          expect([...lineupAt(after, changed, seats, snap)]).toEqual([...lineupAt(before, roster, seats, snap)]);
      }),
    );
  });
});
