import type { WorkedCall } from '#core/calls/resolve-call';
import type { Quirk } from '#core/movement/run/blockers';
import { STEP } from '#core/movement/run/bodies';
import { runPlay as runInTime } from '#core/movement/run/run';
import type { DemoSnap, FilmFault } from '../scenario';
import { LANTERNS, OTTERS, type Team } from './kits';
import { chance } from './random';

export const FRAMES_PER_SECOND = 30;
export const SNAP_FRAME = 24;
const TAIL_FRAMES = 12;
const MAX_SECONDS = 4.2;
const EARLIEST_WHISTLE = 1.5;
/** How long a pass is filmed on after the ball is out, seconds. */
const AFTER_THROW = 0.5;

export interface Figure {
  id: string;
  team: 'offence' | 'defence';
  wears: Team;
  number: number;
  x: number;
  y: number;
  /** Height of the shoulders, feet. */ pads: number;
  /** How far his shoulders are from over his feet, feet. */ lean: { x: number; y: number };
  /** Where his hands are, when they are on somebody: feet from his own place. */ hands: {
    x: number;
    y: number;
  } | null;
  stride: number;
  down: boolean;
}
export interface Frame {
  men: Figure[];
  ball: { x: number; y: number };
}
/** What happened on the field and when, for the truth. */
export interface Happened {
  kind: 'contact' | 'goes on';
  frame: number;
  man: string;
  on: string;
}
/** Who plays against whom. */
export type Teams = Readonly<Record<Figure['team'], Team>>;
export const OWN_GAME: Teams = { offence: LANTERNS, defence: OTTERS };
export interface Take {
  frames: Frame[];
  happened: Happened[];
  contactFrame: number;
  /** Of a pass: when the ball is out. */
  throwFrame?: number;
  whistleFrame: number;
  gain: number;
}

/** What a fault looks like on film; faults without an entry are too small to be seen from the stands. */
const QUIRKS: Partial<Record<FilmFault['fault'], Quirk>> = {
  fell: 'falls',
  missed: 'misses',
  'wrong-track': 'misses',
  'false-step': 'false step',
  'too-deep': 'too deep',
  'left-late': 'leaves late',
  'left-early': 'leaves early',
  'high-pads': 'stands up',
};

/** How far shoulders are ahead of the feet with a hand down, at most on the run by speed, and against a man; and how far arms reach, feet. */
const LEAN = { stance: 0.45, perSpeed: 0.04, run: 0.6, engaged: 0.5 };
const REACH = 2.6;
/** The share of the way to his new posture that a man goes in one step of the run. */
const RISES = 0.15;

/** Heights of shoulders in feet: a hand down, standing, running, engaged, too high, on the ground. */
const PADS = { down: 2.6, up: 4.6, run: 4.1, engaged: 3.7, high: 5.2, fallen: 1 };

/** Films the run of a play that the board shows too: the same places, with what men do wrong, as bodies that crouch, run and fall. */
export function runPlay(
  { formation, front, resolution }: WorkedCall,
  snap: DemoSnap,
  seed: number,
  teams: Teams = OWN_GAME,
): Take {
  const quirks = Object.fromEntries(snap.faults.flatMap((f) => (QUIRKS[f.fault] ? [[f.man, QUIRKS[f.fault]!]] : [])));
  const done = withWrongMen(resolution, front, snap);
  const run = runInTime(formation, front, done, { quirks, seconds: MAX_SECONDS });
  const carrier = run.men.findIndex(
    (m) => m.id === (!resolution.passing && formation.men.some((x) => x.id === 'B') ? 'B' : 'QB'),
  );
  const random = chance(seed);
  const figures = run.men.map(({ id, team }, i): Figure => ({
    id,
    team,
    wears: teams[team],
    number: teams[team].numbers[id] ?? 50,
    x: run.frames[0]![2 * i]!,
    y: run.frames[0]![2 * i + 1]!,
    pads: standsUp(id, team) ? PADS.up : PADS.down,
    lean: { x: 0, y: standsUp(id, team) ? 0 : LEAN.stance * (team === 'offence' ? 1 : -1) },
    hands: null,
    stride: random() * 6,
    down: false,
  }));

  function standsUp(id: string, team: Figure['team']): boolean {
    if (team === 'defence') return front.defenders.find((d) => d.id === id)!.stance === 'up';
    const man = formation.men.find((m) => m.id === id);
    return !man || man.y < -5;
  }
  /** The nearest man of the other side within an arm's length, as feet from a man. */
  function across(f: Figure): { x: number; y: number } | null {
    const near = figures
      .filter((o) => o.team !== f.team && !o.down)
      .map((o) => ({ x: o.x - f.x, y: o.y - f.y }))
      .sort((a, b) => Math.hypot(a.x, a.y) - Math.hypot(b.x, b.y))[0];
    return near && Math.hypot(near.x, near.y) < REACH ? near : null;
  }
  /** Where a man's shoulders want to be: into the man he is on, else the way he runs. */
  function leanOf(f: Figure, moved: { x: number; y: number }, on: Figure['hands']): Figure['lean'] {
    const way = on ?? moved;
    const length = Math.hypot(way.x, way.y);
    if (length < 1e-3) return f.lean;
    const far = on ? LEAN.engaged : Math.min(LEAN.run, (length / STEP) * LEAN.perSpeed);
    return { x: (way.x / length) * far, y: (way.y / length) * far };
  }
  /** Moves every figure on to a step of the run. */
  function pose(step: number): void {
    const [places, engaged] = [run.frames[step]!, run.engaged[step]!];
    figures.forEach((f, i) => {
      const [x, y] = [places[2 * i]!, places[2 * i + 1]!];
      const way = { x: x - f.x, y: y - f.y };
      const moved = Math.hypot(way.x, way.y);
      f.down = engaged[i] === 2;
      const height = f.down
        ? PADS.fallen
        : quirks[f.id] === 'stands up'
          ? PADS.high
          : engaged[i]
            ? PADS.engaged
            : moved > 0.02
              ? PADS.run
              : f.pads;
      f.pads += (height - f.pads) * RISES;
      f.hands = engaged[i] === 1 ? across(f) : null;
      const lean = leanOf(f, way, f.hands);
      f.lean = { x: f.lean.x + (lean.x - f.lean.x) * RISES, y: f.lean.y + (lean.y - f.lean.y) * RISES };
      f.stride += moved * 1.6 + (engaged[i] === 1 ? 0.06 : 0);
      Object.assign(f, { x, y });
    });
  }

  const frames: Frame[] = [];
  const perFrame = 1 / FRAMES_PER_SECOND / STEP;
  const steps = run.frames.length - 1;
  let whistle = -1;
  for (let f = 0; whistle < 0 || f <= whistle + TAIL_FRAMES; f++) {
    const step = Math.min(steps, Math.max(0, Math.round((f - SNAP_FRAME) * perFrame)));
    const time = step * STEP;
    if (f > SNAP_FRAME && whistle < 0) pose(step);
    const places = run.frames[whistle < 0 ? step : Math.round((whistle - SNAP_FRAME) * perFrame)]!;
    frames.push({
      men: figures.map((m) => ({ ...m })),
      ball: { x: places[2 * run.men.length]!, y: places[2 * run.men.length + 1]! },
    });
    const over = resolution.passing
      ? time >= resolution.attack.time + AFTER_THROW
      : time > EARLIEST_WHISTLE && figures[carrier]!.y >= snap.situation.gain * 3;
    if (whistle < 0 && f > SNAP_FRAME && (over || step === steps)) whistle = f;
  }
  const frameOf = (time: number): number => SNAP_FRAME + Math.round(time * FRAMES_PER_SECOND);
  const happened = run.events.flatMap((e): Happened[] =>
    e.kind === 'contact'
      ? [{ kind: 'contact', frame: frameOf(e.time), man: e.man, on: e.on }]
      : e.kind === 'goes on'
        ? [{ kind: 'goes on', frame: frameOf(e.time), man: e.man, on: e.to }]
        : [],
  );
  return {
    frames,
    happened,
    contactFrame: happened.find((e) => e.kind === 'contact')?.frame ?? SNAP_FRAME,
    ...(resolution.passing && { throwFrame: Math.min(whistle, frameOf(resolution.attack.time)) }),
    whistleFrame: whistle,
    gain: Math.round(figures[carrier]!.y / 3),
  };
}

/** What was done rather than asked: a man who takes the wrong one goes to the nearest other defender and stays there. */
function withWrongMen(
  resolution: WorkedCall['resolution'],
  front: WorkedCall['front'],
  snap: DemoSnap,
): WorkedCall['resolution'] {
  const wrong = new Set(snap.faults.filter((f) => f.fault === 'wrong-man').map((f) => f.man));
  const place = (id: string | null): { x: number; y: number } =>
    front.defenders.find((d) => d.id === id) ?? { x: 0, y: 0 };
  return {
    ...resolution,
    assignments: resolution.assignments.map((a) => {
      if (!wrong.has(a.blocker)) return a;
      const mine = place(a.target);
      const other = front.defenders
        .filter((d) => d.id !== a.target && d.id !== a.next)
        .sort((p, q) => Math.hypot(p.x - mine.x, p.y - mine.y) - Math.hypot(q.x - mine.x, q.y - mine.y))[0];
      return { ...a, target: other?.id ?? null, next: null };
    }),
  };
}
