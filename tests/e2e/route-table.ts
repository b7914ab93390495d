import { readdirSync } from 'node:fs';

/** Who asks: nobody who is logged in, or a member of the demo program in a role. */
export const ASKERS = ['stranger', 'coach', 'assistant', 'reader', 'player'] as const;
export type Asker = (typeof ASKERS)[number];

/** Ids to fill into addresses: of the asker's own program, or of another one. */
export interface Ids {
  readonly program: number;
  readonly game: number;
  readonly snap: number;
  readonly clip: number;
  readonly document: number;
  readonly film: number;
  readonly cut: number;
  readonly note: number;
  /** What a player said to his grades. */
  readonly said: number;
  /** A man of the roster. */
  readonly player: number;
  /** A man who has left. */
  readonly gonePlayer: number;
  /** Somebody who belongs to the program and may be taken out of it, and one who stays. */
  readonly leaver: number;
  readonly person: number;
  readonly invitation: number;
  /** A game with nothing in it. */
  readonly spareGame: number;
  /** A snap nothing else asks for. */
  readonly spare: number;
}

export interface Route {
  readonly who: readonly Asker[];
  /** Which id stands in its address. */
  readonly id?: keyof Ids;
  /** What it asks for may not be there any more, when an asker before has had it. */
  readonly gone?: true;
  /** What stands behind the question mark. */
  readonly query?: string;
  /** What is sent along; changes nothing that other tests look at. */
  readonly body?: (ids: Ids) => unknown;
}

const ANYBODY = ASKERS;
/** Everybody who is logged in; those who see grades; those who see every rule. */
const EVERYBODY = ['coach', 'assistant', 'reader', 'player'] as const;
const GRADED = ['coach', 'assistant', 'player'] as const;
const READERS = ['coach', 'assistant', 'reader'] as const;
const STAFF = ['coach', 'assistant'] as const;
const COACH = ['coach'] as const;

/** Every route of the application, by method and address, with who may. A route without a line here fails the tests. */
export const ROUTES: Readonly<Record<string, Route>> = {
  'GET /api/health': { who: ANYBODY },
  'GET /api/session': { who: ANYBODY },
  'POST /api/session': { who: ANYBODY, body: () => ({ email: 'coach@lanterns.example', password: 'lantern-coach' }) },
  'DELETE /api/session': { who: ANYBODY },
  'PUT /api/session/program': { who: EVERYBODY, body: ({ program }) => ({ id: program }) },
  'GET /api/metrics': { who: ANYBODY, gone: true },
  'POST /api/begin': { who: ANYBODY, body: () => ({}) },
  'POST /api/tickets/look': { who: ANYBODY, body: () => ({}) },
  'POST /api/tickets/join': { who: ANYBODY, body: () => ({}) },
  'POST /api/tickets/reset': { who: ANYBODY, body: () => ({}) },
  'POST /api/tickets/forgotten': { who: ANYBODY, body: () => ({}) },
  'POST /api/programs': { who: READERS, body: () => ({}) },
  'GET /api/backups': { who: [] },
  'POST /api/backups': { who: [], body: () => ({ film: false }) },
  'GET /api/backups/[name]': { who: [] },
  'POST /api/backups/[name]/restore': { who: [], body: () => ({ password: 'x' }) },
  'POST /api/backups/file': { who: [], body: () => ({}) },
  'GET /api/copy': { who: COACH },
  'POST /api/copy': { who: READERS, body: () => ({}) },
  'POST /api/demo': { who: READERS, body: () => ({}) },
  'GET /api/account/sessions': { who: EVERYBODY },
  'DELETE /api/account/sessions/[session]': { who: EVERYBODY, gone: true },
  'PUT /api/account/password': { who: EVERYBODY, body: () => ({}) },
  'PUT /api/account/name': { who: EVERYBODY, body: () => ({}) },
  'GET /api/people': { who: COACH },
  'POST /api/people/invitations': { who: COACH, body: () => ({ role: 'reader' }) },
  'DELETE /api/people/invitations/[id]': { who: COACH, id: 'invitation', gone: true },
  'PUT /api/people/[id]': { who: COACH, id: 'person', body: () => ({ role: 'assistant', playerId: null }) },
  'POST /api/people/[id]/reset': { who: COACH, id: 'person', body: () => ({}) },
  'DELETE /api/people/[id]': { who: COACH, id: 'leaver', gone: true },
  'GET /api/audit': { who: COACH },
  'POST /api/roster': { who: STAFF, body: () => ({ players: [] }) },
  'PUT /api/roster/[id]': { who: STAFF, id: 'player', body: () => ({}) },
  'POST /api/roster/[id]/erase': { who: COACH, id: 'gonePlayer', gone: true },
  'GET /api/attendance': { who: STAFF, query: '?day=2026-11-24' },
  'PUT /api/attendance': { who: STAFF, body: () => ({ day: '2026-11-24', men: [] }) },
  'GET /api/schedule': { who: READERS },
  'GET /api/quiz': { who: GRADED },
  'POST /api/quiz/answers': { who: ['player'], body: () => ({}) },
  'GET /api/huddle': { who: GRADED },
  'POST /api/huddle': { who: STAFF, body: () => ({}) },
  'PUT /api/huddle': { who: STAFF, body: () => ({}) },
  'DELETE /api/huddle': { who: STAFF },
  'PUT /api/huddle/place': { who: GRADED, body: () => ({}) },
  'PUT /api/huddle/said': { who: GRADED, body: () => ({}) },
  'GET /api/weeks/[id]/quiz': { who: STAFF, id: 'game' },
  'GET /api/weeks': { who: STAFF },
  'GET /api/weeks/close': { who: STAFF },
  'GET /api/weeks/[id]': { who: STAFF, id: 'game' },
  'PUT /api/weeks/[id]/plan': { who: STAFF, id: 'game', body: () => ({}) },
  'PUT /api/weeks/[id]/practice': { who: STAFF, id: 'game', body: () => ({}) },
  'PUT /api/weeks/[id]/scripts': { who: STAFF, id: 'game', body: () => ({}) },
  'PUT /api/weeks/[id]/reps': { who: STAFF, id: 'game', body: () => ({}) },
  'POST /api/season': { who: COACH, body: () => ({}) },
  'PUT /api/games/[id]': { who: STAFF, id: 'game', body: () => ({}) },
  'DELETE /api/games/[id]': { who: STAFF, id: 'spareGame', gone: true },
  'GET /api/program': { who: EVERYBODY },
  'PUT /api/program': { who: COACH, body: () => ({}) },
  'GET /api/roster': { who: EVERYBODY },
  'GET /api/roster/left': { who: COACH },
  'GET /api/book': { who: GRADED, query: '?by=block' },
  'GET /api/book/snaps': { who: GRADED },
  'GET /api/book/plays': { who: STAFF, query: '?by=front' },
  'GET /api/book/plays/snaps': { who: STAFF, query: '?plays=stuffed' },
  'GET /api/book/choices': { who: GRADED, query: '?of=block' },
  'GET /api/season': { who: EVERYBODY },
  'PUT /api/season': { who: COACH, body: () => ({}) },
  'GET /api/grading/games': { who: STAFF },
  'GET /api/grading/questions': { who: STAFF },
  'GET /api/grading/records': { who: STAFF },
  'GET /api/mine': { who: ['player'] },
  'PUT /api/said/[id]': { who: STAFF, id: 'said', body: () => ({ answer: 'Look at your second step.' }) },
  'PUT /api/games/[id]/own-grades': { who: COACH, id: 'game', body: () => ({ ownGrades: false }) },
  'GET /api/games/[id]/agreement': { who: STAFF, id: 'game', query: '?user=2' },
  'POST /api/games/[id]/said': { who: ['player'], id: 'game', body: () => ({ snapId: null, question: '' }) },
  'GET /api/snaps/[id]/finding': { who: STAFF, id: 'snap' },
  'PUT /api/snaps/[id]/finding': { who: STAFF, id: 'snap', body: () => ({}) },
  'GET /api/games': { who: GRADED },
  'POST /api/games': { who: STAFF, body: () => ({ opponent: '', week: 1 }) },
  'POST /api/games/[id]/snaps': { who: STAFF, id: 'game', body: () => ({ numbers: [] }) },
  'GET /api/games/[id]/snaps': { who: STAFF, id: 'game' },
  'GET /api/games/[id]/changed': { who: STAFF, id: 'game' },
  'PUT /api/games/[id]/published': { who: COACH, id: 'game', body: () => ({ published: true }) },
  'PUT /api/games/[id]/log': { who: STAFF, id: 'game', body: () => ({ entries: [] }) },
  'GET /api/games/[id]/lineup': { who: STAFF, id: 'game' },
  'PUT /api/games/[id]/lineup': { who: STAFF, id: 'game', body: () => ({}) },
  'GET /api/cuts': { who: STAFF },
  'POST /api/cuts': { who: STAFF, body: () => ({ name: '' }) },
  'DELETE /api/cuts/[id]': { who: STAFF, id: 'cut', gone: true },
  'POST /api/clips/[id]/notes': { who: STAFF, id: 'clip', body: () => ({}) },
  'PUT /api/notes/[id]': { who: STAFF, id: 'note', body: () => ({}) },
  'DELETE /api/notes/[id]': { who: STAFF, id: 'note', gone: true },
  'DELETE /api/snaps/[id]': { who: STAFF, id: 'spare', gone: true },
  'GET /api/snaps/[id]': { who: GRADED, id: 'snap' },
  'GET /api/snaps/[id]/history': { who: STAFF, id: 'snap' },
  'PUT /api/snaps/[id]/grades': { who: GRADED, id: 'snap', body: () => ({ snapRevision: 1, entries: [] }) },
  'PUT /api/snaps/[id]/call': { who: STAFF, id: 'snap', body: () => ({ confirmed: false }) },
  'PUT /api/snaps/[id]/situation': { who: STAFF, id: 'snap', body: () => ({}) },
  'GET /api/clips/[id]': { who: GRADED, id: 'clip' },
  'PUT /api/clips/[id]': { who: STAFF, id: 'clip', body: () => ({}) },
  'PUT /api/clips/[id]/calibration': { who: STAFF, id: 'clip', body: () => ({ marks: [] }) },
  'GET /api/snaps/[id]/measuring': { who: STAFF, id: 'snap' },
  'PUT /api/snaps/[id]/measuring': { who: STAFF, id: 'snap', body: () => ({}) },
  'GET /api/films': { who: STAFF },
  'PUT /api/films/[id]': { who: STAFF, id: 'film', body: () => ({}) },
  'PUT /api/films/[id]/work': { who: STAFF, id: 'film', body: () => ({}) },
  'GET /api/films/[id]/original': { who: STAFF, id: 'film', gone: true },
  'GET /api/films/[id]/play': { who: STAFF, id: 'film', gone: true },
  'GET /api/films/[id]/motion': { who: STAFF, id: 'film', gone: true },
  'POST /api/films/[id]/cuts': { who: STAFF, id: 'film', body: () => ({ cuts: [] }) },
  'GET /api/films/[id]/still': { who: STAFF, id: 'film', gone: true },
  'DELETE /api/films/[id]': { who: STAFF, id: 'film', gone: true },
  'GET /api/playbook': { who: EVERYBODY },
  'POST /api/playbook': { who: COACH, body: () => ({ texts: [] }) },
  'PUT /api/playbook/[id]': { who: STAFF, id: 'document', body: () => ({}) },
  'PUT /api/playbook/[id]/shelf': { who: COACH, id: 'document', body: () => ({}) },
  'GET /api/playbook/[id]/versions': { who: STAFF, id: 'document' },
};

/** What answers to any method, and is tested by itself: every other address, and the protocol of uploads. */
const OWN_TESTS = ['huddle/live.ts', '[...].ts', 'upload/index.ts', 'upload/[...].ts'];

const API = new URL('../../server/api/', import.meta.url);

/** The routes there really are, read off the file names. */
export function routesOfFiles(): string[] {
  return readdirSync(API, { recursive: true, encoding: 'utf8' })
    .filter((f) => f.endsWith('.ts') && !OWN_TESTS.includes(f))
    .map((f) => {
      const [, place, method] = /^(.*)\.(get|put|post|patch|delete)\.ts$/.exec(f) ?? [];
      if (place === undefined || method === undefined) throw new Error(`server/api/${f} does not say its method`);
      return `${method.toUpperCase()} /api/${place.replace(/\/?index$/, '')}`;
    })
    .sort();
}
