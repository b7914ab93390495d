import { vi } from 'vitest';
import { resolveCall } from '#core/calls/resolve-call';
import type { GameItem, SnapItem } from '#core/model/game';
import type { Grade } from '#core/model/grade';
import type { GradesSent } from '#core/model/grade-entry';
import type { ClipBody } from '#core/model/snap';
import type { SnapView } from '#core/model/snap-view';
import { A_CALL } from '#core/testing/a-call';
import { anEntry, anItem } from '#core/testing/a-log';
import { need } from '#core/testing/need';
import { MarksServer } from './marks-server';

const RESOLUTION = need(resolveCall(A_CALL));
/** Who is asked something on every snap. */
export const MEN = RESOLUTION.assignments.map((a) => a.blocker);
const ASKED = { block: 'drive', target: 'T', next: null, partners: [], role: 'alone', schools: [] } as const;
const CLIP: ClipBody = { framesPerSecond: 30, frames: 90, snapFrame: 24, contactFrame: 36, whistleFrame: 80 };
const game = (id: number, week: number): GameItem => ({ id, opponent: 'Terns', week, published: false, snaps: 2 });

/**
 * A server with two games of ours and one of theirs, two snaps each (snap 2 of game 1 is number 12), in memory; each request can wait, be
 * refused, or find nobody.
 */
export class FilmServer {
  readonly marks = new MarksServer();
  ownGrades = false;
  reachable = true;
  /** Requests to addresses that end so do not get through. */
  cutOff: string | null = null;
  /** Where requests are held back, while it is there. */
  held: { url: string; go: () => void }[] | null = null;
  readonly asked: string[] = [];

  /** Answers whatever is asked from now on. */
  serve(): this {
    vi.stubGlobal(
      '$fetch',
      async (url: string, { method, body = {} }: { method: string; body?: Record<string, unknown> }) => {
        this.asked.push(`${method} ${url}`);
        if (this.held) await new Promise<void>((go) => this.held!.push({ url, go }));
        if (!this.reachable || (this.cutOff && url.endsWith(this.cutOff))) throw new Error('connection refused');
        return structuredClone(this.answer(method, url, body));
      },
    );
    return this;
  }

  /** The mark that has arrived. */
  markOf(snap: number, man: string): Grade | undefined {
    return this.marks.of(snap).find((m) => m.blocker === man)?.grade;
  }

  private snapsOf(of: number): SnapItem[] {
    return [1, 2].map((n) => {
      const id = of * 10 + n;
      const graded = this.marks.of(id).map(({ blocker, grade }) => ({ blocker, grade }));
      const all = MEN.map((blocker) => ({ blocker, block: 'drive', partners: [] }));
      return { ...anItem(anEntry(n), all, graded), id };
    });
  }

  private view(id: number): SnapView {
    return {
      ...anEntry(id % 10),
      id,
      gameId: Math.floor(id / 10),
      resolution: RESOLUTION,
      clips: [{ ...CLIP, id: 5, angle: 'end zone' }],
      revision: this.marks.revisionOf(id),
      rubric: 'assignment-technique@1',
      grades: this.marks.of(id).map((mark) => ({ ...mark, asked: { ...ASKED, partners: [], schools: [] } })),
      own: [],
      ownGrades: this.ownGrades,
      followed: false,
      notes: [],
      field: this.ownGrades ? [{ seat: 'C', name: 'Jory Pell', number: 55 }] : [],
    };
  }

  private answer(method: string, url: string, body: Record<string, unknown>): unknown {
    const id = Number(/\d+/.exec(url)?.[0]);
    if (url === '/api/games') return [game(1, 4), game(2, 5), { ...game(3, 6), theirs: 'Millers' }];
    if (url.endsWith('/snaps')) return this.snapsOf(id);
    if (url.endsWith('/changed')) return [];
    if (url.endsWith('/grades')) return this.marks.put(id, body as unknown as GradesSent);
    if (url.endsWith('/situation')) return { situation: { ...this.view(id).situation, ...body } };
    if (url.endsWith('/call'))
      return body.confirmed ? { affected: [], changed: true } : { affected: ['LT'], changed: false };
    if (url.startsWith('/api/clips')) return { ...CLIP, ...body };
    if (method === 'GET') return this.view(id);
    throw new Error(`nobody serves ${method} ${url}`);
  }
}
