import { mkdtemp, readdir, readFile, rm, stat } from 'node:fs/promises';
import { tmpdir } from 'node:os';
import { join as joinPath } from 'node:path';
import { afterAll, beforeAll, describe, expect, it } from 'vitest';
import type { Role } from '#core/model/role';
import { MembershipRow, PlayerRow, ProgramRow, TicketRow, UserRow } from '../../server/db/models';
import { sendLetter } from '../../server/mail/mail';
import { machineOf } from '../../server/session/machine';
import { findMember, type Member } from '../../server/session/member';
import { findSession, startSession } from '../../server/session/sessions';
import { hashOf } from '../../server/session/tickets';
import {
  accountOf,
  changePassword,
  endOwnSession,
  logIn,
  ownSessions,
  programsOf,
} from '../../server/usecases/accounts';
import { listAudit } from '../../server/usecases/audited';
import { begin, beginAnother, canBegin, leaveDemo, visitDemo } from '../../server/usecases/begin';
import {
  askForReset,
  changePerson,
  invite,
  join,
  listPeople,
  lookAtTicket,
  makeReset,
  removePerson,
  resetPassword,
  withdraw,
} from '../../server/usecases/people';
import { freshDatabase, makeProgram } from './fresh-database';

const CODE = 'WREN-7KTA-MOSS';
const PASSWORD = 'three wet towels';
const account = (who: string) => ({ name: who, email: `${who.toLowerCase()}@club.example`, password: PASSWORD });

let db: Awaited<ReturnType<typeof freshDatabase>>;
let harriers: Awaited<ReturnType<typeof makeProgram>>;
let terns: Awaited<ReturnType<typeof makeProgram>>;
let coach: Member;
beforeAll(async () => {
  db = await freshDatabase();
  harriers = await makeProgram('Harriers');
  terns = await makeProgram('Terns');
  coach = harriers.members.coach;
});
afterAll(() => db.drop());

const statusOf = async (what: Promise<unknown>): Promise<number> =>
  what.then(
    () => 200,
    (problem: { statusCode: number }) => problem.statusCode,
  );
const invitation = (role: Role, more: object = {}) => ({ role, name: '', email: '' as const, playerId: null, ...more });
const joinAs = async (role: Role, who: string, by = coach): Promise<Member> => {
  const { token } = await invite(by, invitation(role));
  const { id, programId } = await join(token, account(who));
  return (await findMember(id, programId))!;
};

describe('the first program', () => {
  const made = (given: string, who = 'Wenna') =>
    begin(CODE, { given, program: 'Mossfield Wrens', account: account(who) });

  it('is made by nobody without the code, whatever comes instead', async () => {
    for (const given of ['', 'WREN-7KTA-MOSZ', CODE.slice(0, -1), `${CODE}A`])
      expect(await statusOf(made(given))).toBe(403);
    expect(await statusOf(begin('', { given: '', program: 'X', account: account('X') }))).toBe(409);
    expect(await canBegin(CODE)).toBe(true);
    expect(await UserRow.count({ where: { email: 'wenna@club.example' } })).toBe(0);
  });

  it('is made once, however many try at the same moment, with a line coach and a season', async () => {
    const tries = await Promise.all(['Wenna', 'Odo', 'Pim', 'Rhea'].map((who) => statusOf(made('wren7ktamoss', who))));
    expect(tries.filter((s) => s === 200)).toHaveLength(1);
    expect(await ProgramRow.count({ where: { name: 'Mossfield Wrens' } })).toBe(1);
    expect(await canBegin(CODE)).toBe(false);
    expect(await statusOf(made(CODE, 'Late'))).toBe(409);
    const { id } = (await UserRow.findOne({ where: { keeper: true } }))!;
    expect((await programsOf(id)).map((p) => [p.name, p.role])).toEqual([['Mossfield Wrens', 'coach']]);
  });

  it('is not the last: whoever has an account makes others, and sees only his own', async () => {
    const { programId } = await beginAnother(coach.userId, 'Harriers, second team');
    expect((await programsOf(coach.userId)).map((p) => p.name)).toEqual(['Harriers', 'Harriers, second team']);
    const member = (await findMember(coach.userId, programId))!;
    expect((await listPeople(member)).people.map((p) => p.role)).toEqual(['coach']);
  });
});

describe('the made-up program', () => {
  it('can be visited beside one’s own and left again; nobody can log in to its accounts', async () => {
    const [one, two] = await Promise.all([visitDemo(coach.userId), visitDemo(terns.members.coach.userId)]);
    expect(one).toEqual(two);
    expect((await programsOf(coach.userId)).at(-1)!.name).toBe('Larkhollow Lanterns');
    expect(await logIn('coach@lanterns.example', 'lantern-coach')).toBeNull();
    await leaveDemo(coach.userId);
    expect((await programsOf(coach.userId)).map((p) => p.id)).not.toContain(one.programId);
    expect(await ProgramRow.count({ where: { demo: true } })).toBe(1);
    await leaveDemo(terns.members.coach.userId);
  });
});

describe('an invitation', () => {
  it('says what it is for, and lets one person in, once', async () => {
    const { token } = await invite(coach, invitation('assistant', { name: 'Ivo', email: 'ivo@club.example' }));
    expect(await lookAtTicket(token)).toEqual({
      ...{ kind: 'invitation', program: 'Harriers', by: 'Harriers coach', role: 'assistant' },
      ...{ name: 'Ivo', email: 'ivo@club.example' },
    });
    const tries = await Promise.all(['Ivo', 'Una', 'Bo'].map((who) => statusOf(join(token, account(who)))));
    expect(tries.sort()).toEqual([200, 404, 404]);
    expect(await MembershipRow.count({ where: { programId: harriers.programId, role: 'assistant' } })).toBe(2);
    await expect(lookAtTicket(token)).rejects.toThrow('This link has been used');
  });

  it('is kept as a hash only', async () => {
    const { token } = await invite(coach, invitation('reader'));
    const row = (await TicketRow.findOne({ where: { hash: hashOf(token) } }))!;
    expect(JSON.stringify(row.get())).not.toContain(token);
    await row.update({ expiresAt: new Date(Date.now() - 1000) });
    await expect(join(token, account('Late'))).rejects.toThrow('This link is too old');
    expect(await statusOf(lookAtTicket('x'.repeat(32)))).toBe(404);
  });

  it('can be taken up with the account one has, whose password it must be', async () => {
    const member = await joinAs('reader', 'Sabe');
    const { token } = await invite(terns.members.coach, invitation('assistant'));
    expect(await statusOf(join(token, { ...account('Sabe'), password: 'not his at all' }))).toBe(403);
    await join(token, account('Sabe'));
    expect((await programsOf(member.userId)).map((p) => [p.name, p.role])).toEqual([
      ['Harriers', 'reader'],
      ['Terns', 'assistant'],
    ]);
    const again = await invite(terns.members.coach, invitation('assistant'));
    expect(await statusOf(join(again.token, account('Sabe')))).toBe(409);
  });

  it('of a player is of a man of this roster who has no account yet', async () => {
    const man = (await PlayerRow.findOne({ where: { programId: harriers.programId, seat: 'RG' } }))!;
    const foreign = (await PlayerRow.findOne({ where: { programId: terns.programId, seat: 'RG' } }))!;
    expect(await statusOf(invite(coach, invitation('player', { playerId: foreign.id })))).toBe(404);
    expect(await statusOf(invite(coach, invitation('player', { playerId: harriers.members.player.playerId })))).toBe(
      409,
    );
    const { token } = await invite(coach, invitation('player', { playerId: man.id }));
    expect((await lookAtTicket(token)).name).toBe(man.name);
    const { id, programId } = await join(token, account('Rook'));
    expect(await findMember(id, programId)).toMatchObject({ role: 'player', playerId: man.id });
  });

  it('can be taken back, by its own program only', async () => {
    const { token } = await invite(coach, invitation('assistant', { name: 'Never' }));
    const { waiting } = await listPeople(coach);
    const { id } = waiting.find((w) => w.name === 'Never')!;
    expect(await statusOf(withdraw(terns.members.coach, id))).toBe(404);
    await withdraw(coach, id);
    expect(await statusOf(join(token, account('Never')))).toBe(404);
    expect((await listPeople(coach)).waiting.map((w) => w.id)).not.toContain(id);
  });
});

describe('the people of a program', () => {
  it('are those of this program, and nobody changes another’s', async () => {
    const { people } = await listPeople(terns.members.coach);
    expect(people.every((p) => p.email.endsWith('@terns.example') || p.email === 'sabe@club.example')).toBe(true);
    const stranger = terns.members.assistant.userId;
    expect(await statusOf(changePerson(coach, stranger, { role: 'coach', playerId: null }))).toBe(404);
    expect(await statusOf(removePerson(coach, stranger))).toBe(404);
    expect(await statusOf(makeReset(coach, stranger))).toBe(404);
  });

  it('always have a line coach, also when two take each other out at once', async () => {
    const own = coach.userId;
    expect(await statusOf(changePerson(coach, own, { role: 'assistant', playerId: null }))).toBe(409);
    expect(await statusOf(removePerson(coach, own))).toBe(409);
    const second = await joinAs('coach', 'Second');
    for (let round = 0; round < 5; round++) {
      const statuses = await Promise.all([removePerson(coach, second.userId), removePerson(second, own)].map(statusOf));
      expect(statuses.sort()).toEqual([200, 409]);
      expect(await MembershipRow.count({ where: { programId: harriers.programId, role: 'coach' } })).toBe(1);
      for (const userId of [own, second.userId])
        await MembershipRow.findOrCreate({
          where: { userId, programId: harriers.programId },
          defaults: { userId, programId: harriers.programId, role: 'coach', playerId: null },
        });
    }
    await changePerson(coach, second.userId, { role: 'reader', playerId: null });
    expect((await findMember(second.userId, harriers.programId))!.role).toBe('reader');
  });

  it('are out at once when they are taken out, and stay where else they belong', async () => {
    const sabe = (await UserRow.findOne({ where: { email: 'sabe@club.example' } }))!;
    const here = await startSession(sabe.id, harriers.programId);
    const there = await startSession(sabe.id, terns.programId);
    await removePerson(coach, sabe.id);
    expect(await findMember(sabe.id, harriers.programId)).toBeNull();
    expect([await findSession(here), (await findSession(there))?.id]).toEqual([null, there]);
    expect(await logIn('sabe@club.example', PASSWORD)).toMatchObject({ programId: terns.programId });
  });

  it('are written down with what was done with them, by whom', async () => {
    const { entries } = await listAudit(coach, { skip: 0, take: 200 });
    const said = entries.map((e) => `${e.who} ${e.what} ${e.about}`);
    expect(said).toContain('Harriers coach removed Sabe');
    expect(said.some((l) => /^(Ivo|Una|Bo) joined assistant$/.test(l))).toBe(true);
    expect(entries.map((e) => e.id)).toEqual(entries.map((e) => e.id).sort((a, b) => b - a));
    const other = await listAudit(terns.members.coach, { skip: 0, take: 200 });
    expect(other.entries.some((e) => e.about.includes('Tove') || e.about === 'Sabe')).toBe(false);
  });
});

describe('a password', () => {
  it('is changed by who knows it, and everybody else logged in as him is out', async () => {
    const member = await joinAs('assistant', 'Tove');
    const [here, elsewhere] = [await startSession(member.userId, 1), await startSession(member.userId, 1)];
    const change = (old: string) =>
      changePassword({ userId: member.userId, sessionId: here }, { old, password: 'five dry towels' });
    expect(await statusOf(change('wrong wrong wrong'))).toBe(403);
    expect((await findSession(elsewhere))?.id).toBe(elsewhere);
    await change(PASSWORD);
    expect([(await findSession(here))?.id, await findSession(elsewhere)]).toEqual([here, null]);
    expect(await logIn('tove@club.example', PASSWORD)).toBeNull();
    expect(await logIn('TOVE@club.example ', 'five dry towels')).not.toBeNull();
  });

  it('is set anew by a link, once, and every log-in ends', async () => {
    const member = await joinAs('assistant', 'Wim');
    const session = await startSession(member.userId, harriers.programId);
    const { token, email } = await makeReset(coach, member.userId);
    expect([email, (await lookAtTicket(token)).email]).toEqual(['wim@club.example', 'wim@club.example']);
    const tries = await Promise.all(['one long word', 'two long words'].map((p) => statusOf(resetPassword(token, p))));
    expect(tries.sort()).toEqual([200, 404]);
    expect(await findSession(session)).toBeNull();
    expect(await logIn('wim@club.example', PASSWORD)).toBeNull();
  });

  it('is not a coach’s to set for another coach, for who keeps the installation, or for who belongs elsewhere too', async () => {
    const other = await joinAs('coach', 'Peer');
    expect(await statusOf(makeReset(coach, other.userId))).toBe(403);
    const both = await joinAs('assistant', 'Both');
    const { token } = await invite(terns.members.coach, invitation('assistant'));
    await join(token, account('Both'));
    expect(await statusOf(makeReset(coach, both.userId))).toBe(403);
    await removePerson(coach, other.userId);
  });

  it('link cannot be used to join, nor an invitation to set a password', async () => {
    const asked = (await askForReset('tove@club.example'))!;
    expect(await statusOf(join(asked.token, account('Sly')))).toBe(404);
    const { token } = await invite(coach, invitation('assistant'));
    expect(await statusOf(resetPassword(token, 'any long password'))).toBe(404);
    expect(await askForReset('nobody@club.example')).toBeNull();
  });
});

describe('an account', () => {
  it('has one key for the machines it leaves, however many ask for it at once, and another than anybody else', async () => {
    const member = await joinAs('assistant', 'Odile');
    const keys = await Promise.all(Array.from({ length: 6 }, () => accountOf(member.userId)));
    expect(new Set(keys.map((k) => k.deviceKey)).size).toBe(1);
    expect(keys[0]).toMatchObject({ keeper: false, deviceKey: expect.stringMatching(/^[0-9a-f]{64}$/) });
    expect((await accountOf(coach.userId)).deviceKey).not.toBe(keys[0]!.deviceKey);
  });
});

describe('a log-in', () => {
  it('is shown to whom it belongs, and ended by him only', async () => {
    const member = await joinAs('assistant', 'Nell');
    const here = await startSession(member.userId, harriers.programId, 'Chrome on Linux');
    const phone = await startSession(member.userId, harriers.programId, 'Safari on iOS');
    const own = await ownSessions(member.userId, here);
    expect(own.map((s) => [s.machine, s.here]).sort()).toEqual([
      ['Chrome on Linux', true],
      ['Safari on iOS', false],
    ]);
    expect(await statusOf(endOwnSession(coach.userId, phone))).toBe(404);
    expect(await statusOf(endOwnSession(member.userId, 'nonsense'))).toBe(404);
    await endOwnSession(member.userId, phone);
    expect((await ownSessions(member.userId, here)).map((s) => s.id)).toEqual([here]);
  });

  it('says what machine it is on in words', () => {
    const firefox = 'Mozilla/5.0 (X11; Linux x86_64; rv:128.0) Gecko/20100101 Firefox/128.0';
    expect([machineOf(firefox), machineOf(undefined), machineOf('curl')]).toEqual([
      'Firefox on Linux',
      'a program',
      expect.any(String),
    ]);
  });
});

describe('a letter', () => {
  it('lies in the folder as mail programs open it, for nobody else to read', async () => {
    const folder = await mkdtemp(joinPath(tmpdir(), 'letters-'));
    const post = { server: '', folder: joinPath(folder, 'out'), from: 'Violet Chalk <chalk@localhost>' };
    const text = 'Open this link:\nhttp://localhost:4170/join#abc\n';
    await Promise.all([1, 2, 3].map((n) => sendLetter(post, { to: `a${n}@club.example`, subject: 'Grüße', text })));
    const files = await readdir(post.folder);
    expect(files).toHaveLength(3);
    const letters = await Promise.all(files.map((f) => readFile(joinPath(post.folder, f), 'utf8')));
    expect(letters.map((l) => /To: (\S+)/.exec(l)![1]).sort()).toEqual([1, 2, 3].map((n) => `a${n}@club.example`));
    for (const letter of letters) expect(letter).toContain('http://localhost:4170/join#abc');
    expect((await stat(joinPath(post.folder, files[0]!))).mode & 0o077).toBe(0);
    await rm(folder, { recursive: true });
  });
});
