import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import { libraryText } from '#core/library/library';
import { SettingsSchema } from '#core/model/settings';
import { shippedNaming } from '#core/names/shipped';
import { SHIPPED_CALL_WORDS } from '#core/model/call-words';
import { changeCall } from '../../server/usecases/change-call';
import {
  addDocuments,
  documentVersions,
  listDocuments,
  playbookOf,
  saveDocument,
  shelveDocument,
} from '../../server/usecases/playbook';
import { changeProgram, readProgram } from '../../server/usecases/program';
import { readSnap } from '../../server/usecases/film';
import { CALL, freshDatabase, makeProgram } from './fresh-database';

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

const own = (id: string, name = 'Ours'): string =>
  libraryText('schemes', 'power')!.replace('scheme power "Power"', `scheme ${id} "${name}"`);
const coach = () => lanterns.members.coach;

describe('texts of the program’s own', () => {
  it('are kept in versions with who wrote them, and nothing is ever written over', async () => {
    const {
      ids: [id],
    } = await addDocuments(coach(), [{ shelf: 'schemes', text: own('ours') }], false);
    await saveDocument(coach(), id!, own('ours', 'Ours, bettered'), 1, false);
    const versions = await documentVersions(coach(), id!);
    expect(versions.map((v) => [v.number, v.by, v.draft])).toEqual([
      [2, 'Lanterns coach', false],
      [1, 'Lanterns coach', false],
    ]);
    expect(versions[1]!.text).toBe(own('ours'));
    expect((await playbookOf(coach())).name('schemes', 'ours')).toBe('Ours, bettered');
  });

  it('are read one at a time: however many come at once, others are answered in between', async () => {
    const texts = Array.from({ length: 12 }, (_, i) => ({ shelf: 'schemes' as const, text: own(`many-${i}`) }));
    let turns = 0;
    let isReading = true;
    const turn = (): void => {
      turns++;
      if (isReading) setImmediate(turn);
    };
    setImmediate(turn);
    // The last is no text at all: nothing comes to the database, and everything that passed by did so while they were read.
    await expect(addDocuments(coach(), [...texts, { shelf: 'schemes', text: 'nothing' }], false)).rejects.toMatchObject(
      {
        statusCode: 400,
        message: expect.stringMatching(/^text 13: /),
      },
    );
    isReading = false;
    expect(turns).toBeGreaterThan(texts.length);
  });

  it('an assistant’s is a draft until the coach saves it', async () => {
    const {
      ids: [id],
    } = await addDocuments(coach(), [{ shelf: 'schemes', text: own('drafted') }], false);
    expect(await saveDocument(lanterns.members.assistant, id!, own('drafted', 'From the assistant'), 1, false)).toEqual(
      { version: 2, draft: true },
    );
    const [seen] = (await listDocuments(coach())).filter((d) => d.slug === 'drafted');
    expect(seen).toMatchObject({ text: own('drafted'), draft: { number: 2, by: 'Lanterns assistant' } });
    expect((await playbookOf(coach())).name('schemes', 'drafted')).toBe('Ours');
    await saveDocument(coach(), id!, own('drafted', 'From the assistant'), 2, false);
    expect((await playbookOf(coach())).name('schemes', 'drafted')).toBe('From the assistant');
    expect(await listDocuments(lanterns.members.player)).toEqual([]);
    await shelveDocument(coach(), id!, { players: true });
    await saveDocument(coach(), id!, own('drafted', 'Not yet'), 3, true);
    expect(await listDocuments(lanterns.members.player)).toMatchObject([
      { slug: 'drafted', text: own('drafted', 'From the assistant'), draft: null },
    ]);
  });

  it('a save from an old version is refused, and so is a text with errors, unless it is a draft', async () => {
    const {
      ids: [id],
    } = await addDocuments(coach(), [{ shelf: 'schemes', text: own('careful') }], false);
    await saveDocument(coach(), id!, own('careful', 'Two'), 1, false);
    await expect(saveDocument(coach(), id!, own('careful', 'Other two'), 1, false)).rejects.toMatchObject({
      statusCode: 409,
    });
    const wrong = own('careful').replace('otherwise: climb', 'otherwise: clmb');
    await expect(saveDocument(coach(), id!, wrong, 2, false)).rejects.toMatchObject({
      statusCode: 400,
      message: expect.stringMatching(/scheme:\d+:\d+ .*did you mean "climb"/),
    });
    await saveDocument(coach(), id!, wrong, 2, true);
    await expect(saveDocument(coach(), id!, own('another'), 3, false)).rejects.toMatchObject({
      message: expect.stringContaining('"another"'),
    });
    expect((await documentVersions(coach(), id!)).map((v) => v.number)).toEqual([3, 2, 1]);
  });

  it('an import is all or nothing', async () => {
    const before = (await listDocuments(coach())).length;
    const good = {
      shelf: 'fronts' as const,
      text: 'front mine "Mine"\nLE 5 left\nN 0\nRE 5 right\n',
      opponent: 'Fennick Otters',
    };
    for (const bad of [
      { shelf: 'fronts' as const, text: 'front bad "Bad"\nT 3 right\nN 3 right\n' },
      { shelf: 'fronts' as const, text: own('x') },
      good,
    ]) {
      await expect(addDocuments(coach(), [good, bad], false)).rejects.toMatchObject({ statusCode: 400 });
    }
    expect(await listDocuments(coach())).toHaveLength(before);
    await addDocuments(coach(), [good], false);
    await expect(addDocuments(coach(), [good], false)).rejects.toMatchObject({ statusCode: 409 });
    await addDocuments(coach(), [good], true);
    expect((await listDocuments(coach())).find((d) => d.slug === 'mine')).toMatchObject({
      version: 2,
      opponent: 'Fennick Otters',
    });
  });

  it('retired ones are no longer called', async () => {
    const {
      ids: [id],
    } = await addDocuments(coach(), [{ shelf: 'schemes', text: own('old') }], false);
    await shelveDocument(coach(), id!, { retired: true });
    expect((await playbookOf(coach())).text('schemes', 'old')).toBeNull();
  });

  it('retired and put in again count again; a shipped one comes back when the own in its place is retired', async () => {
    const shipped = (await playbookOf(coach())).text('schemes', 'power');
    const {
      ids: [id],
    } = await addDocuments(coach(), [{ shelf: 'schemes', text: own('power') }], false);
    expect((await playbookOf(coach())).name('schemes', 'power')).toBe('Ours');
    await shelveDocument(coach(), id!, { retired: true });
    expect((await playbookOf(coach())).text('schemes', 'power')).toBe(shipped);
    await addDocuments(coach(), [{ shelf: 'schemes', text: own('power', 'Ours again') }], true);
    expect((await playbookOf(coach())).name('schemes', 'power')).toBe('Ours again');
    await shelveDocument(coach(), id!, { retired: true });
  });

  it('a space of fronts is kept like any other text, and one that is none is refused with what and where', async () => {
    const space = { id: 'two-looks', name: 'Two looks', men: [['LE 5 left'], ['N 0', 'N 1 left']] };
    await expect(addDocuments(coach(), [{ shelf: 'spaces', text: '{"id": "two' }], false)).rejects.toMatchObject({
      statusCode: 400,
      message: expect.stringContaining('Nothing was changed'),
    });
    await expect(
      addDocuments(coach(), [{ shelf: 'spaces', text: JSON.stringify({ ...space, men: 'all' }) }], false),
    ).rejects.toMatchObject({ statusCode: 400, message: expect.stringContaining('men') });
    const {
      ids: [id],
    } = await addDocuments(coach(), [{ shelf: 'spaces', text: JSON.stringify(space) }], false);
    expect((await playbookOf(coach())).list('spaces').find((s) => s.own)).toMatchObject({
      id: 'two-looks',
      name: 'Two looks',
    });
    await saveDocument(coach(), id!, JSON.stringify({ ...space, name: 'Two looks, Friday' }), 1, false);
    expect((await playbookOf(coach())).name('spaces', 'two-looks')).toBe('Two looks, Friday');
    expect((await playbookOf(terns.members.coach)).list('spaces').some((s) => s.own)).toBe(false);
  });

  it('belong to one program', async () => {
    const [mine] = await listDocuments(coach());
    expect(await listDocuments(terns.members.coach)).toEqual([]);
    for (const way of [
      () => saveDocument(terns.members.coach, mine!.id, own(mine!.slug), mine!.version, false),
      () => documentVersions(terns.members.coach, mine!.id),
      () => shelveDocument(terns.members.coach, mine!.id, { retired: true }),
    ]) {
      await expect(way()).rejects.toMatchObject({ statusCode: 404 });
    }
    await expect(
      changeCall(terns.members.coach, terns.snaps[0]!, { ...CALL, scheme: 'ours' }, true),
    ).rejects.toMatchObject({ statusCode: 400 });
    expect(await changeCall(coach(), lanterns.snaps[0]!, { ...CALL, scheme: 'ours' }, true)).toMatchObject({
      changed: true,
    });
  });
});

describe('the program’s ways', () => {
  it('are its own, part by part', async () => {
    await changeProgram(coach(), {
      callWords: { active: 'Week', sets: { Week: { ...SHIPPED_CALL_WORDS, loaded: 'Lighthouse' } } },
    });
    await changeProgram(coach(), { settings: SettingsSchema.parse({ reachLimit: 1 }) });
    expect(await readProgram(coach())).toMatchObject({ settings: { reachLimit: 1 }, callWords: { active: 'Week' } });
    expect(await readProgram(terns.members.coach)).toEqual({});
    await changeCall(coach(), lanterns.snaps[1]!, { ...CALL, side: 'left' }, true);
    const { resolution } = await readSnap(coach(), lanterns.snaps[1]!);
    expect(resolution.calls.map((c) => c.word)).toContain('Lighthouse');
    expect(resolution.problems.some((p) => p.code === 'reach-too-far')).toBe(true);
  });

  it('refuse names that could not be told apart', async () => {
    const naming = shippedNaming('words');
    await expect(
      changeProgram(coach(), { naming: { ...naming, plays: { ...naming.plays, power: naming.plays.duo! } } }),
    ).rejects.toMatchObject({ statusCode: 400, message: expect.stringContaining('sounds like') });
    expect((await readProgram(coach())).naming).toBeUndefined();
  });
});
