import type { Point } from '../../geometry/vec';
import { atLevel, CARRIER_SPEED, MOVERS, moverOf, TACKLE_REACH, type Mover } from '../../kinematics/speeds';
import { takesSnapAt } from '../../kinematics/passing';
import type { Formation } from '../../model/formation';
import type { Front } from '../../model/front';
import type { Resolution } from '../../model/resolution';
import { SHIPPED_SETTINGS, type Settings } from '../../model/settings';
import { signOf } from '../../model/side';
import { levelOf } from '../../identify/line';
import { BLOCKS, type BlockId } from '../../vocabulary/index';
import { apart, bodyAt, keepApart, STEP, type Body } from './bodies';
import { cornersOf, holdUpPullers, moveBlocker, whoGoesOn, type Quirk, type RunningBlocker } from './blockers';
import { carrierOf, MESH, MET_BEHIND } from './carrier';
import { moveDefender, type Quarry, type RunningDefender } from './defenders';

/** Something that happened, in seconds from the snap. */
export type RunEvent =
  | { readonly kind: 'contact'; readonly time: number; readonly man: string; readonly on: string }
  | { readonly kind: 'goes on'; readonly time: number; readonly man: string; readonly to: string }
  | { readonly kind: 'ball at the line' | 'ball out'; readonly time: number }
  | { readonly kind: 'meets the ball'; readonly time: number; readonly who: string; readonly depth: number }
  | { readonly kind: 'at the quarterback'; readonly time: number; readonly who: string };

/** A play run in time: every step everybody's place, feet, field frame, x and y in turn in the order of `men`; the ball last. */
export interface Run {
  readonly step: number;
  readonly men: readonly { readonly id: string; readonly team: Body['team'] }[];
  readonly frames: readonly Float32Array[];
  /** For every step which of `men` are engaged or down. */
  readonly engaged: readonly Uint8Array[];
  readonly events: readonly RunEvent[];
}

export interface RunOptions {
  /** Who plays: scales the shipped speeds. */
  readonly level?: Settings['levelOfPlay'];
  /** Movers of single men, as a team has measured them. */
  readonly movers?: Readonly<Record<string, Mover>>;
  /** How deep the quarterback stands; without it, as shipped. */
  readonly depths?: Pick<Settings, 'gunDepth' | 'pistolDepth'>;
  /** What men do that no rule asks: for filming a play, not for working it out. */
  readonly quirks?: Readonly<Record<string, Quirk>>;
  /** On a pass: who comes. Without it, everybody on the line and whom a movement sends. */
  readonly rushers?: readonly string[] | null;
  /** Most seconds; a run ends earlier when the ball is met well past the line. */
  readonly seconds?: number;
  /** Only what comes of it is asked: it ends when the ball is met or thrown, and nobody's places are kept. */
  readonly untilMet?: boolean;
}

const SECONDS = 4;
/** A run goes on this long after the ball has been met or thrown. */
const TAIL = 0.6;

/**
 * Runs a play worked out against a front in fixed steps. Everybody gets going by his mover and follows his assignment; whoever meets his
 * man holds him, two move him, one of them goes on; movements go their way; the ball takes its track. It knows speed and place only, not
 * strength or skill. Deterministic: the same call gives the same run.
 */
export function runPlay(formation: Formation, front: Front, resolution: Resolution, options: RunOptions = {}): Run {
  const stage = setStage(formation, front, resolution, options);
  const { everyone, blockers, defenders, byId, ball, quarry } = stage;
  const frames: Float32Array[] = [];
  const engaged: Uint8Array[] = [];
  const events: RunEvent[] = [];
  const xs = new Float64Array(everyone.length);
  const noted: Noted = new Set();
  let end = options.seconds ?? SECONDS;
  let seen = 0;
  for (let i = 0; i * STEP <= end; i++) {
    const time = i * STEP;
    if (i > 0) {
      for (const b of blockers) moveBlocker(b, byId, time);
      holdUpPullers(blockers, time);
      for (const d of defenders) moveDefender(d, blockers, quarry, time);
      stage.moveOthers(time);
      moveBall(stage, time);
      keepApart(everyone, xs);
      note(stage, time, noted, events);
      if (options.seconds === undefined && events.length > seen)
        end = Math.min(end, endOf(events.slice(seen), quarry.at, options.untilMet ? 0 : TAIL));
      seen = events.length;
    }
    if (options.untilMet) continue;
    frames.push(placesOf(everyone, ball));
    engaged.push(holdsOf(everyone));
  }
  return {
    step: STEP,
    men: everyone.map(({ id, team }) => ({ id, team })),
    frames,
    engaged,
    events: events.sort((a, b) => a.time - b.time),
  };
}

/** When a run may end: `tail` seconds after the ball has been met or thrown. */
function endOf(events: readonly RunEvent[], at: number, tail: number): number {
  const met = events.find((e) => e.kind === 'meets the ball' || e.kind === 'ball out');
  if (!met) return Infinity;
  return tail === 0 ? met.time : Math.max(met.time, at) + tail;
}

interface Stage {
  readonly resolution: Resolution;
  readonly everyone: readonly Body[];
  readonly blockers: readonly RunningBlocker[];
  readonly defenders: readonly RunningDefender[];
  readonly byId: ReadonlyMap<string, Body>;
  readonly ball: { x: number; y: number };
  readonly quarry: Quarry;
  readonly carrier: Body;
  readonly quarterback: Body;
  readonly moveOthers: (time: number) => void;
}

function setStage(formation: Formation, front: Front, resolution: Resolution, options: RunOptions): Stage {
  const quirk = (id: string): Quirk | null => options.quirks?.[id] ?? null;
  const mover = (id: string, usual: Mover): Mover => options.movers?.[id] ?? atLevel(usual, options.level ?? 'adult');
  // From the play side to the back side, so that a play run to the other side runs mirrored.
  const sign = signOf(resolution.side);
  const inOrder = <B extends Body>(bodies: B[]): B[] =>
    bodies.sort((a, b) => (b.x - a.x) * sign || b.y - a.y || (a.id < b.id ? -1 : 1));
  const blockers = inOrder(
    resolution.assignments.map((plan): RunningBlocker => {
      const man = formation.men.find((m) => m.id === plan.blocker)!;
      return {
        ...bodyAt(man.id, 'offence', man, mover(man.id, moverOfBlock(plan.block, plan.pull, man.y))),
        plan,
        quirk: quirk(man.id),
        corners: cornersOf(plan, quirk(man.id)),
        second: false,
        goesOn: false,
        held: 0,
        beaten: false,
        heldUpUntil: 0,
      };
    }),
  );
  const pass = resolution.passing !== null;
  const sent = new Map(resolution.movement?.moved.map((m) => [m.id, m.way]) ?? []);
  const comes = (id: string): boolean => {
    const way = sent.get(id);
    return way !== undefined && levelOf(way[way.length - 1]!) === 1;
  };
  const defenders = inOrder(
    front.defenders.map((d): RunningDefender => ({
      ...bodyAt(d.id, 'defence', d, mover(d.id, moverOf({ level: levelOf(d) }))),
      from: { x: d.x, y: d.y },
      way: (sent.get(d.id) ?? []).slice(1).map((p) => ({ ...p })),
      status: resolution.defenders.find((x) => x.id === d.id)?.status ?? 'free',
      sent: comes(d.id),
      rushes: options.rushers ? options.rushers.includes(d.id) : sent.has(d.id) ? comes(d.id) : levelOf(d) === 1,
    })),
  );
  const byId = new Map<string, Body>(defenders.map((d) => [d.id, d]));
  whoGoesOn(blockers, byId);
  const others = inOrder(
    formation.men
      .filter((m) => !blockers.some((b) => b.id === m.id) && m.kind !== 'quarterback')
      .map((m) => bodyAt(m.id, 'offence', m, mover(m.id, MOVERS.back))),
  );
  const quarterback = bodyAt(
    'QB',
    'offence',
    { x: 0, y: -takesSnapAt(formation.quarterback, options.depths ?? SHIPPED_SETTINGS) },
    mover('QB', MOVERS.back),
  );
  const carrier = others.find((m) => m.id === carrierOf(others, pass)) ?? quarterback;
  const hole: Point = pass ? resolution.passing!.spot : { x: resolution.attack.x, y: 0 };
  const routes = others.filter((m) => m !== carrier);
  const ball = { x: 0, y: 0.4 };
  const quarry: Quarry = { ball, hole, at: resolution.attack.time, pass };
  return {
    resolution,
    blockers,
    defenders,
    byId,
    carrier,
    quarterback,
    quarry,
    ball,
    everyone: [...blockers, ...routes, ...(carrier === quarterback ? [] : [carrier]), quarterback, ...defenders],
    moveOthers: (time) => {
      if (pass) for (const m of routes) steerRoute(m, time);
      if (pass) toward(quarterback, hole, time, quarry.at * 0.75);
    },
  };
}

function moverOfBlock(block: string, pulls: boolean, y: number): Mover {
  if (pulls) return MOVERS.puller;
  if (y < -5) return MOVERS.back;
  return BLOCKS[block as BlockId].course === 'retreat' ? MOVERS.passSet : MOVERS.lineman;
}

/** A receiver or a free back runs out and up. */
const steerRoute = (m: Body, time: number): void => {
  if (time < m.mover.delay) return;
  m.y += Math.min(18, 6 + time * 8) * STEP;
};

/** Moves evenly to a place, there at `until`. */
function toward(b: Body, to: Point, time: number, until: number): void {
  const left = Math.max(1, Math.round((until - time) / STEP) + 1);
  if (time > until) return;
  b.x += (to.x - b.x) / left;
  b.y += (to.y - b.y) / left;
}

/** Seconds the ball takes back to the quarterback. */
const SNAP = 0.3;

/** The ball: to the quarterback, to the carrier, across the line when the tempo says, then upfield. */
function moveBall({ ball, carrier, quarterback, quarry }: Stage, time: number): void {
  const snapped = Math.min(1, time / SNAP);
  if (quarry.pass) {
    ball.x = carrier.x;
    ball.y = carrier.y * snapped;
    return;
  }
  if (time <= quarry.at) toward(carrier, quarry.hole, time, quarry.at);
  else carrier.y += CARRIER_SPEED * STEP;
  const holder = time < MESH ? quarterback : carrier;
  ball.x = holder.x;
  ball.y = holder === quarterback ? holder.y * snapped : holder.y;
}

/** What has been written down already, by a number for each thing. */
type Noted = Set<number>;
const [CONTACTS, GOES_ON, BALL, MEETS] = [0, 10_000, 20_000, 30_000];

/** Writes down what happened in this step, each thing once. */
function note({ blockers, defenders, quarry, ball }: Stage, time: number, noted: Noted, events: RunEvent[]): void {
  const once = (key: number): boolean => !noted.has(key) && noted.add(key) !== null;
  for (let i = 0; i < blockers.length; i++) {
    const b = blockers[i]!;
    const on = b.second ? b.plan.next : b.plan.target;
    if (b.second && b.plan.next && once(GOES_ON + i))
      events.push({ kind: 'goes on', time, man: b.id, to: b.plan.next });
    if (b.engaged && on && once(CONTACTS + i * 2 + (b.second ? 1 : 0)))
      events.push({ kind: 'contact', time, man: b.id, on });
  }
  if (time >= quarry.at && once(BALL)) events.push({ kind: quarry.pass ? 'ball out' : 'ball at the line', time });
  for (let i = 0; i < defenders.length; i++) {
    const d = defenders[i]!;
    if (d.engaged || apart(d, ball) > TACKLE_REACH) continue;
    if (quarry.pass) {
      if (time < quarry.at && time > SNAP && once(MEETS + i))
        events.push({ kind: 'at the quarterback', time, who: d.id });
    } else if (time > MESH && ball.y > -MET_BEHIND && once(MEETS + i))
      events.push({ kind: 'meets the ball', time, who: d.id, depth: ball.y });
  }
}

function holdsOf(everyone: readonly Body[]): Uint8Array {
  const holds = new Uint8Array(everyone.length);
  for (let i = 0; i < everyone.length; i++) holds[i] = everyone[i]!.down ? 2 : everyone[i]!.engaged ? 1 : 0;
  return holds;
}

function placesOf(everyone: readonly Body[], ball: Point): Float32Array {
  const places = new Float32Array(everyone.length * 2 + 2);
  for (let i = 0; i < everyone.length; i++) {
    places[2 * i] = everyone[i]!.x;
    places[2 * i + 1] = everyone[i]!.y;
  }
  places[2 * everyone.length] = ball.x;
  places[2 * everyone.length + 1] = ball.y;
  return places;
}
