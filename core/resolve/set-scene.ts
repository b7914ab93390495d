import { lineOf, type Formation } from '../model/formation';
import type { Front } from '../model/front';
import type { Identification } from '../model/identification';
import { signOf, type Side } from '../model/side';
import { acrossTheField } from '../identify/before-the-snap';
import { levelOf } from '../identify/line';
import { COVERS } from '../vocabulary/covers/index';
import { NOBODY, type Proposal, type Scene, type SceneDefender, type SceneMan } from '../vocabulary/scene';
import type { CompiledScheme } from './compile';

const POSTS: Record<Side, Readonly<Record<string, NonNullable<SceneMan['post']>>>> = {
  right: { LT: 'BT', LG: 'BG', C: 'C', RG: 'PG', RT: 'PT' },
  left: { RT: 'BT', RG: 'BG', C: 'C', LG: 'PG', LT: 'PT' },
};

/** Turns both line-ups so that the play side is right and seats everybody. Feet throughout. */
export function setScene(
  scheme: CompiledScheme, formation: Formation, front: Front, side: Side, tags: ReadonlySet<string>, identification: Identification,
): Scene & { proposals: Proposal[] } {
  const sign = signOf(side);
  const turn = (x: number): number => (x === 0 ? 0 : x * sign);
  const men = seatMen(formation, side, turn);
  const lineCount = lineOf(formation).length;
  const defenders = front.defenders.map((d) => ({ ...d, x: turn(d.x) })).sort(acrossTheField)
    .map((d, index): SceneDefender => ({ index, id: d.id, x: d.x, y: d.y, level: levelOf(d), stance: d.stance, position: d.position }));
  const byId = new Map(defenders.map((d) => [d.id, d.index]));
  const find = (id: string | null): number => (id === null ? NOBODY : byId.get(id) ?? NOBODY);
  const firstMen = defenders.filter((d) => d.level === 1);
  const edgeOf = (where: Side) => {
    const edge = identification.edge[where];
    return { endMan: find(edge.endMan), force: find(edge.force), alley: find(edge.alley), overhangs: edge.overhangs.map(find) };
  };
  const seats = new Map<string, number>();
  const scene = {
    men, lineCount, defenders, identification, tags, seats,
    first: firstMen.map((d) => d.index),
    linebackers: identification.linebackers.ids.map(find),
    mike: find(identification.mike.id),
    edge: { playside: edgeOf(side), backside: edgeOf(side === 'right' ? 'left' : 'right') },
    looks: scheme.looks,
    cover: COVERS[scheme.head.cover](men.slice(0, lineCount), firstMen),
    proposals: men.map(emptyProposal),
    him: NOBODY,
  };
  seatJobs(scheme, scene, seats);
  return scene;
}

function seatMen(formation: Formation, side: Side, turn: (x: number) => number): SceneMan[] {
  const line = lineOf(formation).map((m) => ({ ...m, x: turn(m.x) })).sort((a, b) => a.x - b.x);
  const lineIds = new Set(line.map((m) => m.id));
  const off = formation.men.filter((m) => !lineIds.has(m.id)).map((m) => ({ ...m, x: turn(m.x) }))
    .sort((a, b) => b.x - a.x || b.y - a.y || (a.id < b.id ? -1 : 1));
  const all = [...line, ...off].map((m, index): SceneMan => ({
    index, id: m.id, kind: m.kind, x: m.x, y: m.y, post: POSTS[side][m.id] ?? null,
    playside: index + 1 < line.length ? index + 1 : NOBODY,
    backside: index > 0 && index < line.length ? index - 1 : NOBODY,
  }));
  // Whom the quarterback reads and whom the scheme leaves are rules too; nobody stands there.
  const standIn = (id: string, kind: SceneMan['kind'], index: number): SceneMan =>
    ({ index, id, kind, x: 0, y: -15, post: null, playside: NOBODY, backside: NOBODY });
  return [...all, standIn('QB read', 'quarterback-read', all.length), standIn('design', 'design', all.length + 1)];
}

/** Gives each job to the first choice in this formation who has none yet. */
function seatJobs(scheme: CompiledScheme, scene: Scene, seats: Map<string, number>): void {
  const busy = new Set<number>();
  for (const { name, choices } of scheme.seats) {
    const man = choices.map((find) => find(scene, NOBODY)).find((m) => m !== NOBODY && !busy.has(m)) ?? NOBODY;
    seats.set(name, man);
    if (man !== NOBODY) busy.add(man);
  }
}

export const emptyProposal = (): Proposal => ({
  sentence: -1, action: 0, target: NOBODY, all: [], partner: NOBODY, pairs: false, tooFar: false,
});
