import { acrossTheField } from '../identify/before-the-snap';
import { OVERHANG_REACH } from '../geometry/tolerances';
import { atMost } from '../geometry/compare';
import type { Facts } from '../identify/identify';
import { coveredIndex, levelOf } from '../identify/line';
import { lineOf, type Formation } from '../model/formation';
import type { Defender } from '../model/front';
import { otherSide, signOf, type Side } from '../model/side';
import { COVERS } from '../vocabulary/covers/index';
import { NOBODY, POSTS, type CoverMap, type Post, type Proposal, type Scene, type SceneDefender, type SceneMan } from '../vocabulary/scene';
import type { CompiledScheme } from './compile';
import { carryDeal, dealOut } from './deal';

const SEATS: Record<Side, Readonly<Record<string, Post>>> = {
  right: { LT: 'BT', LG: 'BG', C: 'C', RG: 'PG', RT: 'PT' },
  left: { RT: 'BT', RG: 'BG', C: 'C', LG: 'PG', LT: 'PT' },
};

/** The offence of a play, turned so that the play side is right; the same for every front. */
interface Seated {
  readonly men: readonly SceneMan[];
  readonly line: readonly SceneMan[];
  readonly posts: Readonly<Record<Post, number>>;
}

const seated: Record<Side, WeakMap<Formation, Seated>> = { left: new WeakMap(), right: new WeakMap() };

function seatOnce(formation: Formation, side: Side): Seated {
  let found = seated[side].get(formation);
  if (!found) {
    const men = seatMen(formation, side);
    const posts = Object.fromEntries(POSTS.map((post) => [post, men.findIndex((m) => m.post === post)])) as Record<Post, number>;
    found = { men, line: men.slice(0, lineOf(formation).length), posts };
    seated[side].set(formation, found);
  }
  return found;
}

/** A scene whose rarer parts are worked out when a word asks for them. */
class LiveScene implements Scene {
  readonly men: readonly SceneMan[];
  readonly lineCount: number;
  readonly posts: Readonly<Record<Post, number>>;
  readonly defenders: readonly SceneDefender[];
  readonly first: readonly number[];
  private readonly line: readonly SceneMan[];
  private readonly firstMen: readonly SceneDefender[];
  private knownOn: readonly (readonly number[])[] | null = null;
  readonly cover: CoverMap;
  readonly looks: Scene['looks'];
  readonly proposals: Proposal[];
  linebackers: readonly number[];
  seats: Map<string, number> = new Map();
  him = NOBODY;
  private knownEdge: Scene['edge'] | null = null;
  private knownDealt: readonly number[] | null = null;

  constructor(private readonly scheme: CompiledScheme, { men, line, posts }: Seated, readonly facts: Facts, readonly side: Side, readonly tags: ReadonlySet<string>, before: Scene | null) {
    this.men = men;
    this.lineCount = line.length;
    this.posts = posts;
    this.looks = before ? asSeen(before) : scheme.looks;
    this.defenders = turnDefenders(facts.picture.defenders, side);
    const firstMen: SceneDefender[] = [];
    const first: number[] = [];
    for (const d of this.defenders) {
      if (d.level !== 1) continue;
      firstMen.push(d);
      first.push(d.index);
    }
    this.line = line;
    this.firstMen = firstMen;
    this.first = first;
    this.cover = COVERS[scheme.head.cover](line, firstMen);
    this.proposals = men.map(() => NO_PROPOSAL);
    this.linebackers = facts.backers().map((d) => this.find(d.id));
    if (before) this.knownDealt = carryDeal(before, this, (d) => this.find(before.defenders[d]!.id));
  }

  private find(id: string | null): number {
    for (const d of this.defenders) if (d.id === id) return d.index;
    return NOBODY;
  }

  get on(): readonly (readonly number[])[] {
    return (this.knownOn ??= whoIsOnWhom(this.line, this.firstMen));
  }

  get dealt(): readonly number[] {
    return (this.knownDealt ??= dealOut(this.scheme.deals, this));
  }

  get mike(): number {
    return this.find(this.facts.mike().id);
  }

  get edge(): Scene['edge'] {
    return (this.knownEdge ??= { playside: this.edgeOf(this.side), backside: this.edgeOf(otherSide(this.side)) });
  }

  private edgeOf(where: Side): Scene['edge']['playside'] {
    const edge = this.facts.edge()[where];
    return {
      endMan: this.find(edge.endMan), force: this.find(edge.force), corner: this.find(edge.corner), alley: this.find(edge.alley),
      overhangs: edge.overhangs.map((id) => this.find(id)),
    };
  }
}

/** Looks are called before the snap: afterwards each is what it was then. */
const asSeen = (before: Scene): Scene['looks'] => new Map([...before.looks].map(([name, look]) => [name, (_scene, me) => {
  before.him = NOBODY;
  return look(before, me);
}]));

/**
 * Turns both line-ups so that the play side is right and seats everybody. Feet throughout. With the scene `before` the snap, looks and
 * deals stay as they were seen there.
 */
export function setScene(scheme: CompiledScheme, formation: Formation, side: Side, tags: ReadonlySet<string>, facts: Facts, before: Scene | null = null): Scene & { proposals: Proposal[] } {
  const scene = new LiveScene(scheme, seatOnce(formation, side), facts, side, tags, before);
  if (scheme.boxOneMore?.(scene, NOBODY)) scene.linebackers = withNextOutside(scene);
  scene.him = NOBODY;
  if (scheme.seats.length) seatJobs(scheme, scene);
  return scene;
}

/** The box with the nearest second-level defender outside it on the play side counted in, first from the play side. */
function withNextOutside(scene: Scene): readonly number[] {
  let next = NOBODY;
  const x = (d: number): number => scene.defenders[d]!.x;
  for (const d of scene.edge.playside.overhangs) if (x(d) <= OVERHANG_REACH && (next === NOBODY || x(d) < x(next))) next = d;
  return next === NOBODY ? scene.linebackers : [next, ...scene.linebackers];
}

function turnDefenders(defenders: readonly Defender[], side: Side): SceneDefender[] {
  const sign = signOf(side);
  const placed = defenders.map((d, index): SceneDefender & { index: number } => ({
    index, id: d.id, x: d.x === 0 ? 0 : d.x * sign, y: d.y, level: levelOf(d), stance: d.stance, position: d.position, mark: d.mark,
  }));
  if (sign < 0) placed.sort(acrossTheField).forEach((d, i) => { d.index = i; });
  return placed;
}

/** For each man on the line, who is head-up or shaded on him, nearest first. */
function whoIsOnWhom(line: readonly SceneMan[], first: readonly SceneDefender[]): number[][] {
  const on = line.map((): number[] => []);
  for (const d of first) {
    const man = coveredIndex(d.x, line);
    if (man < 0) continue;
    const his = on[man]!;
    const nose = line[man]!.x;
    const mate = first.find((f) => f.index === his[0]);
    if (mate && !atMost(Math.abs(mate.x - nose), Math.abs(d.x - nose))) his.unshift(d.index);
    else his.push(d.index);
  }
  return on;
}

function seatMen(formation: Formation, side: Side): SceneMan[] {
  const sign = signOf(side);
  const turned = formation.men.map((m) => ({ ...m, x: m.x === 0 ? 0 : m.x * sign }));
  const lineIds = new Set(lineOf(formation).map((m) => m.id));
  const line = turned.filter((m) => lineIds.has(m.id)).sort((a, b) => a.x - b.x);
  const off = turned.filter((m) => !lineIds.has(m.id)).sort((a, b) => b.x - a.x || b.y - a.y || (a.id < b.id ? -1 : 1));
  const all = [...line, ...off].map((m, index): SceneMan => ({
    index, id: m.id, kind: m.kind, x: m.x, y: m.y, post: SEATS[side][m.id] ?? null,
    playside: index + 1 < line.length ? index + 1 : NOBODY,
    backside: index > 0 && index < line.length ? index - 1 : NOBODY,
  }));
  // Whom the quarterback reads and whom the scheme leaves are rules too; nobody stands there.
  const standIn = (id: string, kind: SceneMan['kind'], index: number): SceneMan =>
    ({ index, id, kind, x: 0, y: -15, post: null, playside: NOBODY, backside: NOBODY });
  return [...all, standIn('QB read', 'quarterback-read', all.length), standIn('design', 'design', all.length + 1)];
}

/** Gives each job to the first choice in this formation who has none yet. */
function seatJobs(scheme: CompiledScheme, scene: LiveScene): void {
  const busy = new Set<number>();
  for (const { name, choices } of scheme.seats) {
    const man = choices.map((find) => find(scene, NOBODY)).find((m) => m !== NOBODY && !busy.has(m)) ?? NOBODY;
    scene.seats.set(name, man);
    if (man !== NOBODY) busy.add(man);
  }
}

export const NO_DEFENDERS: readonly number[] = [];

/** Nothing chosen yet. */
export const NO_PROPOSAL: Proposal = Object.freeze({
  sentence: -1, action: 0, target: NOBODY, all: NO_DEFENDERS, partner: NOBODY, other: NOBODY, job: '', pulls: false, pairs: false, tooFar: false, instead: null,
});

