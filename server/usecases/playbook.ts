import { setImmediate as nextTurn } from 'node:timers/promises';
import { createError } from 'h3';
import type { Transaction } from 'sequelize';
import { DocumentRow, DocumentVersionRow, ProgramRow, UserRow } from '../db/models';
import { programBody } from '../db/mappers';
import { SHIPPED_SETTINGS } from '#core/model/settings';
import { database } from '../db/database';
import type { Member } from '../session/member';
import { hasErrors, type Diagnostic } from '#core/diagnostics/diagnostic';
import { formatDiagnostic, wordDiagnostic } from '#core/diagnostics/wording';
import { checkText } from '#core/language/check';
import { isAboutHeader, readTree } from '#core/language/read';
import { isJsonShelf, JSON_SHELVES, Playbook, SHELF_KIND, type BookShelf, type OwnText } from '#core/calls/playbook';

export interface DocumentView {
  id: number;
  shelf: BookShelf;
  slug: string;
  opponent: string | null;
  retired: boolean;
  players: boolean;
  /** What counts: the newest version that is no draft; `null` while there are only drafts. */
  text: string | null;
  version: number;
  /** A newer draft, with whoever wrote it. */
  draft: { number: number; text: string; by: string } | null;
}

const none = () => createError({ statusCode: 404, message: 'There is no such text in your playbook.' });

/** Every text of the program's own. Players see what the coach has released to them, and no drafts. */
export async function listDocuments(member: Member): Promise<DocumentView[]> {
  const rows = await DocumentRow.findAll({ where: { programId: member.programId }, order: [['slug', 'ASC']] });
  const versions = await DocumentVersionRow.findAll({
    where: { programId: member.programId },
    order: [['number', 'DESC']],
  });
  const users = await UserRow.findAll({ where: { id: [...new Set(versions.map((v) => v.userId))] } });
  const views = rows.map((row): DocumentView => {
    const own = versions.filter((v) => v.documentId === row.id);
    const released = own.find((v) => !v.draft);
    const newest = own[0];
    const draft = newest?.draft
      ? {
          number: newest.number,
          text: newest.text,
          by: users.find((u) => u.id === newest.userId)?.name ?? 'a former user',
        }
      : null;
    return {
      id: row.id,
      shelf: row.shelf as BookShelf,
      slug: row.slug,
      opponent: row.opponent,
      retired: row.retired,
      players: row.players,
      text: released?.text ?? null,
      version: newest?.number ?? 0,
      draft,
    };
  });
  return member.role === 'player'
    ? inForce(views)
        .filter((v) => v.players)
        .map((v) => ({ ...v, draft: null }))
    : views;
}

/** Every text of the program's own that counts, whoever asks. */
export async function releasedTexts(member: Pick<Member, 'programId'>): Promise<OwnText[]> {
  const documents = await listDocuments({ ...member, role: 'coach' } as Member);
  return inForce(documents).map((d) => ({ shelf: d.shelf, id: d.slug, text: d.text! }));
}

/** The playbook calls are worked out with: what ships, with the program's released texts over it. */
export async function playbookOf(member: Pick<Member, 'programId'>): Promise<Playbook> {
  const program = await ProgramRow.findByPk(member.programId);
  return new Playbook(await releasedTexts(member), (program && programBody(program).settings) ?? SHIPPED_SETTINGS);
}

const inForce = (views: readonly DocumentView[]): DocumentView[] => views.filter((v) => v.text !== null && !v.retired);

export interface NewText {
  shelf: BookShelf;
  text: string;
  opponent?: string | null;
}

/** Puts new texts on the shelves, all or none. An id that is there already is refused unless `overwrite`, which makes a new version of it and takes it back from retirement. */
export async function addDocuments(
  member: Member,
  texts: readonly NewText[],
  overwrite: boolean,
): Promise<{ ids: number[] }> {
  const read: (NewText & { slug: string })[] = [];
  for (const [i, t] of texts.entries()) {
    // Others are answered between two texts, however many come at once; none is long enough to hold them up alone.
    await nextTurn();
    read.push({ ...t, slug: slugOf(t.shelf, t.text, texts.length > 1 ? `text ${i + 1}: ` : '', false) });
  }
  const twice = read.find((t, i) => read.findIndex((o) => o.slug === t.slug && o.shelf === t.shelf) < i);
  if (twice)
    throw createError({ statusCode: 400, message: `"${twice.slug}" is in this import twice. Nothing was changed.` });
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const ids: number[] = [];
    for (const t of read) {
      const where = { programId: member.programId, shelf: t.shelf, slug: t.slug };
      const known = await DocumentRow.findOne({ where, transaction, lock: transaction.LOCK.UPDATE });
      if (known && !overwrite)
        throw createError({ statusCode: 409, message: `Your playbook has "${t.slug}" already. Nothing was changed.` });
      if (known?.retired) await known.update({ retired: false }, { transaction });
      const row = known ?? (await DocumentRow.create({ ...where, opponent: t.opponent ?? null }, { transaction }));
      await addVersion(member, row.id, t.text, false, transaction);
      ids.push(row.id);
    }
    return { ids };
  });
}

/** Saves a text over the version it was written from; somebody else's newer one is never written over unseen. */
export async function saveDocument(
  member: Member,
  id: number,
  text: string,
  base: number,
  draft: boolean,
): Promise<{ version: number; draft: boolean }> {
  const sequelize = await database();
  return sequelize.transaction(async (transaction) => {
    const row = await DocumentRow.findOne({
      where: { id, programId: member.programId },
      transaction,
      lock: transaction.LOCK.UPDATE,
    });
    if (!row) throw none();
    // An assistant writes drafts; the coach releases them.
    const asDraft = draft || member.role !== 'coach';
    const slug = slugOf(row.shelf as BookShelf, text, '', asDraft);
    if (slug !== row.slug)
      throw createError({
        statusCode: 400,
        message: `This text is called "${slug}" in its first line, but it is saved as "${row.slug}". Copy it to give it another name. Nothing was changed.`,
      });
    const newest = await DocumentVersionRow.max<number, DocumentVersionRow>('number', {
      where: { documentId: id },
      transaction,
    });
    if (newest !== base)
      throw createError({
        statusCode: 409,
        message: `Somebody saved version ${newest} while you were writing from version ${base}. Your text is still here; look at theirs before you save.`,
      });
    return { version: await addVersion(member, id, text, asDraft, transaction), draft: asDraft };
  });
}

async function addVersion(
  member: Member,
  documentId: number,
  text: string,
  draft: boolean,
  transaction: Transaction,
): Promise<number> {
  const newest = await DocumentVersionRow.max<number | null, DocumentVersionRow>('number', {
    where: { documentId },
    transaction,
  });
  const number = (newest ?? 0) + 1;
  await DocumentVersionRow.create(
    { programId: member.programId, documentId, number, text, draft, userId: member.userId },
    { transaction },
  );
  return number;
}

/** The id a text gives itself. A text that counts must read without errors; a draft of rules only needs its first line. */
function slugOf(shelf: BookShelf, text: string, where: string, draft: boolean): string {
  if (isJsonShelf(shelf)) {
    const read = JSON_SHELVES[shelf](text);
    if (read.ok) return read.value.id;
    throw createError({
      statusCode: 400,
      message: `${where}${read.diagnostics.slice(0, 5).map(wordDiagnostic).join('; ')} Nothing was changed.`,
    });
  }
  const { tree } = readTree(text);
  const counts = (d: Diagnostic): boolean => d.severity === 'error' && (!draft || isAboutHeader(d));
  const checked = checkText(text);
  const wrong = checked.filter(counts);
  if (!tree || hasErrors(wrong)) {
    const lines = (wrong.length ? wrong : checked).slice(0, 5).map((d) => formatDiagnostic(SHELF_KIND[shelf], d));
    throw createError({ statusCode: 400, message: `${where}${lines.join('; ')}. Nothing was changed.` });
  }
  if (tree.kind !== SHELF_KIND[shelf])
    throw createError({
      statusCode: 400,
      message: `${where}this is a ${tree.kind}, not a ${SHELF_KIND[shelf]}. Nothing was changed.`,
    });
  return tree.id;
}

/** Takes a text off the shelf or puts it back, says whose front it is, releases it to the players or takes it back. */
export async function shelveDocument(
  member: Member,
  id: number,
  change: { retired?: boolean; opponent?: string | null; players?: boolean },
): Promise<void> {
  const row = await DocumentRow.findOne({ where: { id, programId: member.programId } });
  if (!row) throw none();
  await row.update(change);
}

export interface VersionView {
  number: number;
  text: string;
  draft: boolean;
  by: string;
  at: string;
}

/** Every version of a text, newest first. */
export async function documentVersions(member: Member, id: number): Promise<VersionView[]> {
  if (!(await DocumentRow.findOne({ where: { id, programId: member.programId } }))) throw none();
  const rows = await DocumentVersionRow.findAll({
    where: { documentId: id, programId: member.programId },
    order: [['number', 'DESC']],
  });
  const users = await UserRow.findAll({ where: { id: rows.map((r) => r.userId) } });
  return rows.map((r) => ({
    number: r.number,
    text: r.text,
    draft: r.draft,
    by: users.find((u) => u.id === r.userId)?.name ?? 'a former user',
    at: r.createdAt.toISOString(),
  }));
}
