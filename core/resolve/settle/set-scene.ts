import { acrossFrom } from '../../identify/before-the-snap';
import { moreThan } from '../../geometry/compare';
import { OVERHANG_REACH } from '../../geometry/tolerances';
import type { Facts } from '../../identify/identify';
import { levelOf } from '../../identify/line';
import type { Defender } from '../../model/front';
import { otherSide, signOf, type Side } from '../../model/side';
import { countOf } from '../../vocabulary/count';
import {
  NOBODY,
  type CoverMap,
  type Edge,
  type Proposal,
  type Scene,
  type SceneDefender,
} from '../../vocabulary/scene';
import { isDown, threatsOf } from '../../vocabulary/threats';
import { carryDeal, dealOut } from './deal';
import type { SeatedCall } from '../prepare/seat-call';

/** A scene in which men still choose. */
export interface OpenScene extends Scene {
  /** A man's choice in place of the one he had. */
  propose(man: number, proposal: Proposal): void;
}

/** A scene whose rarer parts are worked out when a word asks for them. */
class LiveScene implements OpenScene {
  readonly men: Scene['men'];
  readonly lineCount: number;
  readonly posts: Scene['posts'];
  readonly side: Side;
  readonly tags: Scene['tags'];
  readonly spoken: Scene['spoken'];
  readonly seats: Scene['seats'];
  readonly defenders: readonly SceneDefender[];
  readonly first: readonly number[];
  readonly cover: CoverMap;
  readonly proposals: Proposal[];
  readonly owners: number[];
  readonly answers: number[];
  linebackers: readonly number[];
  /** Whom each of `defenders` is on the field. */
  private readonly standing: readonly Defender[];
  private knownOn: CoverMap | null;
  private knownDealt: readonly number[] | null;
  private knownPlayside: Edge | null = null;
  private knownBackside: Edge | null = null;
  private knownCount: Scene['count'] | null = null;
  private knownThreats: readonly number[] | null = null;
  private knownMike: number | null = null;
  private knownLooks: (boolean | undefined)[] | null = null;

  constructor(
    private readonly call: SeatedCall,
    readonly facts: Facts,
    private readonly before: Scene | null,
  ) {
    const { lineup, cover, shoulders } = call;
    this.men = lineup.men;
    this.lineCount = lineup.lineCount;
    this.posts = lineup.posts;
    this.side = lineup.side;
    this.tags = lineup.tags;
    this.spoken = lineup.spoken;
    this.seats = lineup.seats;
    this.standing = acrossFrom(facts.picture, otherSide(lineup.side));
    this.defenders = placeDefenders(this.standing, lineup.side);
    const first: number[] = [];
    for (const d of this.defenders) if (d.level === 1) first.push(d.index);
    this.first = first;
    this.cover = cover(first, this.defenders);
    this.knownOn = cover === shoulders ? this.cover : null;
    this.proposals = call.silence.slice();
    this.owners = this.defenders.map(() => 0);
    this.answers = call.unasked.slice();
    const linebackers: number[] = [];
    for (const d of facts.backers()) linebackers.push(this.standing.indexOf(d));
    this.linebackers = linebackers;
    this.knownDealt = before && carryDeal(before, this, (d) => this.find(before.defenders[d]!.id));
  }

  private find(id: string | null): number {
    for (const d of this.defenders) if (d.id === id) return d.index;
    return NOBODY;
  }

  get on(): readonly (readonly number[])[] {
    return (this.knownOn ??= this.call.shoulders(this.first, this.defenders)).men;
  }

  get dealt(): readonly number[] {
    return (this.knownDealt ??= dealOut(this.call.deals, this));
  }

  get mike(): number {
    return (this.knownMike ??= this.find(this.facts.mike().id));
  }

  get count(): Scene['count'] {
    return (this.knownCount ??= countOf(this));
  }

  get threats(): readonly number[] {
    return (this.knownThreats ??= threatsOf(this));
  }

  /** Its two ends are its own `playside` and `backside`. */
  get edge(): Scene['edge'] {
    return this;
  }

  get playside(): Edge {
    return (this.knownPlayside ??= new LiveEdge(this.facts, this.side, this.standing, this.cameToEdge(1)));
  }

  get backside(): Edge {
    return (this.knownBackside ??= new LiveEdge(this.facts, otherSide(this.side), this.standing, this.cameToEdge(-1)));
  }

  /** Who has come off an edge since the snap: the force is a job, and it is his now. */
  private cameToEdge(out: 1 | -1): number {
    if (!this.before) return NOBODY;
    const end = this.men[out > 0 ? this.lineCount - 1 : 0]!.x * out;
    for (const d of this.before.defenders) {
      const now = this.find(d.id);
      if (d.level === 1 || now === NOBODY || this.defenders[now]!.level > 1) continue;
      if (moreThan(this.defenders[now]!.x * out, end)) return now;
    }
    return NOBODY;
  }

  propose(man: number, proposal: Proposal): void {
    const { target, all } = this.proposals[man]!;
    if (target !== NOBODY) this.owners[target]!--;
    for (const d of all) this.owners[d]!--;
    if (proposal.target !== NOBODY) this.owners[proposal.target]!++;
    for (const d of proposal.all) this.owners[d]!++;
    this.proposals[man] = proposal;
  }

  shows(name: string, me: number): boolean {
    if (this.before) return this.before.shows(name, me);
    const look = this.call.looks.get(name);
    if (!look) return false;
    const known = this.knownLooks?.[look.index];
    if (known !== undefined) return known;
    const shown = look.when(this, look.once ? this.posts.C : me);
    if (look.once) (this.knownLooks ??= [])[look.index] = shown;
    return shown;
  }
}

/** What everybody has proposed at one moment, and how many name each defender. */
export interface Choices {
  readonly proposals: readonly Proposal[];
  readonly owners: readonly number[];
}

export const choicesOf = ({ proposals, owners }: Scene): Choices => ({
  proposals: proposals.slice(),
  owners: owners.slice(),
});

/** The picture as it was when those choices were made. */
export const sceneWith = (scene: Scene, { proposals, owners }: Choices): Scene =>
  Object.create(scene, { proposals: { value: proposals }, owners: { value: owners } }) as Scene;

/** One end of the front; who forces hangs on more than who is widest and is looked for when asked. */
class LiveEdge implements Edge {
  private knownOverhangs: readonly number[] | null = null;
  private knownForce: number | null = null;

  constructor(
    private readonly facts: Facts,
    private readonly side: Side,
    private readonly standing: readonly Defender[],
    private readonly came: number,
  ) {}

  private find(d: Defender | null): number {
    return d ? this.standing.indexOf(d) : NOBODY;
  }

  get endMan(): number {
    return this.find(this.facts.endMan(this.side));
  }

  get force(): number {
    return (this.knownForce ??= this.came === NOBODY ? this.find(this.facts.edgeMen(this.side).force) : this.came);
  }

  get corner(): number {
    return this.find(this.facts.edgeMen(this.side).corner);
  }

  get alley(): number {
    return this.find(this.facts.edgeMen(this.side).alley);
  }

  get overhangs(): readonly number[] {
    return (this.knownOverhangs ??= this.facts.overhangs(this.side).map((d) => this.standing.indexOf(d)));
  }
}

/** The picture of a front as a seated call sees it. With the scene `before` the snap, looks and deals stay as they were seen there. */
export function setScene(call: SeatedCall, facts: Facts, before: Scene | null = null): OpenScene {
  const scene = new LiveScene(call, facts, before);
  if (call.scheme.head.throw) scene.linebackers = withWalkedUp(scene);
  if (call.boxOneMore?.(scene, NOBODY)) scene.linebackers = withNextOutside(scene);
  return scene;
}

/** Against a pass whoever has walked up inside the tackles is a linebacker still. */
function withWalkedUp(scene: Scene): readonly number[] {
  const up = scene.first.filter((d) => !isDown(scene, d));
  if (up.length === 0) return scene.linebackers;
  return [...scene.linebackers, ...up].sort((a, b) => scene.defenders[b]!.x - scene.defenders[a]!.x || a - b);
}

/** The box with the nearest second-level defender outside it on the play side counted in, first from the play side. */
function withNextOutside(scene: Scene): readonly number[] {
  let next = NOBODY;
  const x = (d: number): number => scene.defenders[d]!.x;
  for (const d of scene.edge.playside.overhangs)
    if (x(d) <= OVERHANG_REACH && (next === NOBODY || x(d) < x(next))) next = d;
  return next === NOBODY ? scene.linebackers : [next, ...scene.linebackers];
}

function placeDefenders(standing: readonly Defender[], side: Side): SceneDefender[] {
  const sign = signOf(side);
  const placed: SceneDefender[] = [];
  for (const d of standing) {
    placed.push({
      index: placed.length,
      id: d.id,
      x: d.x === 0 ? 0 : d.x * sign,
      y: d.y,
      level: levelOf(d),
      stance: d.stance,
      position: d.position,
      mark: d.mark,
    });
  }
  return placed;
}
