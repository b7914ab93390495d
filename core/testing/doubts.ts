import type { Blocker } from '../model/formation';
import type { Defender } from '../model/front';
import type { Assignment } from '../model/resolution';
import type { Answer } from './answer';
import { INTENTS } from './intents';

/*
 * What a line coach would object to in an answer, looked for in the answer alone: positions, who has whom, paths, sentences. Nothing of the
 * engine's own reckoning is used here, so that a mistake in it cannot hide itself. Feet, field frame.
 */

export interface Doubt {
  readonly kind: DoubtKind;
  readonly who: readonly string[];
  readonly says: string;
}

/** A lineman with nobody can get to somebody this near. */
const NEAR = 8;
/** A climb this far is long; a double has whoever stands this near behind its man. */
const LONG = 10;
const STACKED = 1;
const LINE = 4.5;
const SECOND = 24;
/** Off the tackle's nose so far a linebacker still is in the box. */
const BOX = 2;

class Board {
  readonly line: readonly Blocker[];
  constructor(readonly answer: Answer) {
    this.line = answer.formation.men.filter((m) => m.kind === 'line' || m.kind === 'tight');
  }

  get side(): 1 | -1 {
    return this.answer.resolution.side === 'right' ? 1 : -1;
  }

  get men(): readonly Assignment[] {
    return this.answer.resolution.assignments;
  }

  man(id: string): Blocker {
    return this.answer.formation.men.find((m) => m.id === id)!;
  }

  foe(id: string): Defender {
    return this.answer.front.defenders.find((d) => d.id === id)!;
  }

  status(id: string): string {
    return this.answer.resolution.defenders.find((d) => d.id === id)!.status;
  }

  isUp(id: string): boolean {
    return this.foe(id).y > LINE;
  }

  inBox(d: Defender): boolean {
    const tackles = this.line.filter((m) => m.kind === 'line').map((m) => m.x);
    return d.y <= SECOND && d.x >= Math.min(...tackles) - BOX && d.x <= Math.max(...tackles) + BOX;
  }

  free(): readonly Defender[] {
    return this.answer.front.defenders.filter((d) => this.status(d.id) === 'free');
  }

  isEnd(id: string): boolean {
    return ['tight', 'wing', 'hback'].includes(this.man(id).kind);
  }

  /** Goes at once to somebody off the line, and comes from no pull or backfield. */
  climbers(): readonly Assignment[] {
    if (this.answer.resolution.passing) return [];
    return this.men.filter(
      (a) =>
        a.target &&
        this.isUp(a.target) &&
        !a.pull &&
        !RUNS.has(a.block) &&
        !this.isBack(a.blocker) &&
        !this.comesAround(a),
    );
  }

  /** From off the line around somebody's end. */
  comesAround(a: Assignment): boolean {
    return a.block === 'arc' && !this.line.some((m) => m.id === a.blocker);
  }

  isBack(id: string): boolean {
    return ['fullback', 'back', 'slot', 'wide', 'quarterback'].includes(this.man(id).kind);
  }
}

/** Blocks that come from elsewhere. */
const RUNS: ReadonlySet<string> = new Set(['lead', 'kick', 'crack']);

const away = (a: { x: number }, b: { x: number }): number => Math.abs(a.x - b.x);

/** Every kind of doubt: how to find it. */
const KINDS = {
  'crossing ways': (b: Board) => {
    const ways = [
      ...b.climbers().map((a) => ({ who: a.blocker, from: b.man(a.blocker).x, to: b.foe(a.target!).x, at: a.target! })),
      // Against a pass nobody runs to whom he looks at next: he waits for him.
      ...b.men.flatMap((a) =>
        !b.answer.resolution.passing && a.next && a.target && !b.isUp(a.target) && b.isUp(a.next) && !a.pull
          ? [{ who: a.blocker, from: b.foe(a.target).x, to: b.foe(a.next).x, at: a.next }]
          : [],
      ),
    ].filter((w, i, all) => all.findIndex((o) => o.at === w.at) === i);
    return ways.flatMap((w, i) =>
      ways
        .slice(0, i)
        .filter((o) => (w.from - o.from) * (w.to - o.to) < -0.01)
        .map((o) => [[w.who, o.who], `${w.who} to ${w.at} and ${o.who} to ${o.at}`] as const),
    );
  },
  'idle beside a free man': (b: Board) =>
    b.men
      .filter((a) => !a.target && !a.next && !a.pull && b.line.some((m) => m.id === a.blocker))
      .flatMap((a) =>
        b
          .free()
          // Against a pass a linebacker need not come: the man waits for him.
          .filter(
            (d) => b.inBox(d) && away(d, b.man(a.blocker)) <= NEAR && (d.y <= LINE || !b.answer.resolution.passing),
          )
          .map((d) => [[a.blocker, d.id], `${a.blocker} has nobody, ${d.id} is free beside him`] as const),
      ),
  'a double without its linebacker': (b: Board) =>
    b.men
      .filter((a) => a.partners.length > 0 && a.target && !b.isUp(a.target) && !a.next)
      .filter((a) => a.partners.every((p) => !b.men.find((o) => o.blocker === p)!.next))
      .flatMap((a) =>
        b
          .free()
          .filter((d) => b.isUp(d.id) && b.inBox(d) && away(d, b.foe(a.target!)) <= STACKED)
          .map((d) => [[a.blocker, d.id], `${d.id} stands over the double on ${a.target} and is free`] as const),
      ),
  'far past a nearer man': (b: Board) =>
    b.climbers().flatMap((a) => {
      const me = b.man(a.blocker);
      const nearer = b
        .free()
        .filter((d) => b.isUp(d.id) && b.inBox(d) && away(d, me) < away(b.foe(a.target!), me) - 0.01);
      return away(b.foe(a.target!), me) > LONG && nearer.length
        ? [[[a.blocker, nearer[0]!.id], `${a.blocker} runs past ${nearer[0]!.id} to ${a.target}`] as const]
        : [];
    }),
  'too far for a climb': (b: Board) =>
    b
      .climbers()
      .filter((a) => away(b.foe(a.target!), b.man(a.blocker)) >= 14)
      .map((a) => [[a.blocker, a.target!], `${a.blocker} climbs fourteen feet to ${a.target}`] as const),
  'a climb backward': (b: Board) =>
    b
      .climbers()
      .filter((a) => !b.answer.resolution.passing && a.path.some((p) => p.y < b.man(a.blocker).y - 0.6))
      .map((a) => [[a.blocker], `${a.blocker} climbs backward`] as const),
  'an end inside, the overhang free': (b: Board) =>
    b
      .climbers()
      .filter((a) => b.isEnd(a.blocker) && b.inBox(b.foe(a.target!)))
      .flatMap((a) => {
        const me = b.man(a.blocker);
        const out = Math.sign(me.x);
        if ((me.x - b.foe(a.target!).x) * out < 4) return [];
        return b
          .free()
          .filter((d) => b.isUp(d.id) && d.y <= SECOND && (d.x - me.x) * out > -1 && away(d, me) <= NEAR)
          .map((d) => [[a.blocker, d.id], `${a.blocker} goes inside to ${a.target}, ${d.id} is free outside`] as const);
      }),
  'two on one unasked': (b: Board) =>
    b.men.flatMap((a, i) =>
      b.men
        .slice(0, i)
        .filter(
          (o) =>
            a.target &&
            o.target === a.target &&
            !o.partners.includes(a.blocker) &&
            !TOUCH.has(a.block) &&
            !TOUCH.has(o.block),
        )
        .map((o) => [[a.blocker, o.blocker, a.target!], `${a.blocker} and ${o.blocker} both on ${a.target}`] as const),
    ),
  'off a head-up man': (b: Board) =>
    b.line.flatMap((m) => {
      const on = b.answer.front.defenders.find((d) => d.y <= LINE && away(d, m) <= 0.5);
      return on && b.status(on.id) === 'free'
        ? [[[m.id, on.id], `${on.id} stands head-up on ${m.id} and is free`] as const]
        : [];
    }),
  'a puller with nobody': (b: Board) =>
    b.men
      .filter((a) => a.pull && !a.target)
      .flatMap((a) =>
        b
          .free()
          .filter((d) => d.y <= SECOND && d.x * b.side > 2 && Math.abs(d.x) < 24)
          .map((d) => [[a.blocker, d.id], `${a.blocker} pulls for nobody, ${d.id} is free`] as const),
      ),
  'a puller turns back': (b: Board) =>
    b.men
      .filter((a) => a.pull && a.target && (b.foe(a.target).x - b.man(a.blocker).x) * b.side < -2)
      .filter((a) => b.foe(a.target!).x * b.side < 0)
      .map((a) => [[a.blocker, a.target!], `${a.blocker} pulls and turns back to ${a.target}`] as const),
  'a back on a lineman, unsaid': (b: Board) =>
    !b.answer.resolution.passing
      ? []
      : b.men
          .filter((a) => b.isBack(a.blocker) && a.target && b.foe(a.target).stance === 'down' && !TOUCH.has(a.block))
          .filter((a) => b.answer.resolution.defenders.find((d) => d.id === a.target)!.by.length === 1)
          .filter(
            (a) =>
              ![...b.answer.resolution.problems.map((p) => p.message), ...b.answer.resolution.notes].some(
                (n) => n.includes(a.blocker) && n.includes(a.target!),
              ),
          )
          .map((a) => [[a.blocker, a.target!], `${a.blocker} alone on ${a.target}`] as const),
} satisfies Record<string, (board: Board) => (readonly [readonly string[], string])[]>;

export type DoubtKind = keyof typeof KINDS;
export const DOUBT_KINDS = Object.keys(KINDS) as DoubtKind[];

/** A blow in passing is no second block. */
const TOUCH: ReadonlySet<string> = new Set(['chip']);

/** What a coach would object to; silent only where the list of intents, with a reason each, says so. */
export function doubtsOf(answer: Answer): Doubt[] {
  const board = new Board(answer);
  return DOUBT_KINDS.flatMap((kind) =>
    KINDS[kind](board)
      .filter(([who]) => !INTENTS.some((i) => i.kind === kind && i.holds(answer, who)))
      .map(([who, says]) => ({ kind, who, says })),
  );
}
