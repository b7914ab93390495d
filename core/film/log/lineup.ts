import * as z from 'zod';

/** From a snap on, another man plays a place, or nobody does. */
export const SeatChangeSchema = z.object({
  from: z.int().min(1).max(400),
  seat: z.string().min(1).max(3),
  playerId: z.int().nullable(),
});
/** From a snap on, a man wears another number: a torn jersey, two men with one number. */
export const JerseyChangeSchema = z.object({
  from: z.int().min(1).max(400),
  playerId: z.int(),
  number: z.int().min(0).max(99),
});
/** Who played where in a game and with which number, as changes from the roster, each from the number of a snap on. */
export const LineupSchema = z.object({
  seats: z.array(SeatChangeSchema).max(400).default([]),
  jerseys: z.array(JerseyChangeSchema).max(200).default([]),
});
export type Lineup = z.infer<typeof LineupSchema>;
export type SeatChange = z.infer<typeof SeatChangeSchema>;

export const NO_CHANGES: Lineup = Object.freeze({ seats: [], jerseys: [] });

/** A man as the roster has him: his usual place and number. */
export interface Rostered {
  readonly id: number;
  readonly name: string;
  readonly number: number;
  readonly seat: string;
}
/** A man as he was on the field. */
export interface OnField {
  readonly id: number;
  readonly name: string;
  readonly number: number;
}

interface From {
  readonly from: number;
}
/** The change that holds at a snap: the last one that began by then. */
const holding = <T extends From>(changes: readonly T[], snap: number): T | undefined =>
  changes.filter((c) => c.from <= snap).reduce<T | undefined>((a, b) => (a && a.from > b.from ? a : b), undefined);

/** The change that holds for a place at a snap. */
const seatChange = ({ seats }: Lineup, seat: string, snap: number): SeatChange | undefined =>
  holding(
    seats.filter((c) => c.seat === seat),
    snap,
  );

/** Who plays a place at a snap; `null` when nobody of the roster does. A man who moved elsewhere has left the place he usually plays. */
export function playerAt(lineup: Lineup, roster: readonly Rostered[], seat: string, snap: number): number | null {
  const changed = seatChange(lineup, seat, snap);
  if (changed) return roster.some((p) => p.id === changed.playerId) ? changed.playerId : null;
  const usual = roster.find((p) => p.seat === seat);
  return usual && !playsElsewhere(lineup, usual, snap) ? usual.id : null;
}

const playsElsewhere = (lineup: Lineup, man: Rostered, snap: number): boolean =>
  [...new Set(lineup.seats.map((c) => c.seat))].some((seat) => seatChange(lineup, seat, snap)?.playerId === man.id);

/** The number a man wears at a snap. */
export function numberAt({ jerseys }: Lineup, man: Rostered, snap: number): number {
  const own = jerseys.filter((c) => c.playerId === man.id);
  return holding(own, snap)?.number ?? man.number;
}

/** Everybody on the field at a snap, by place. */
export function lineupAt(
  lineup: Lineup,
  roster: readonly Rostered[],
  seats: readonly string[],
  snap: number,
): ReadonlyMap<string, OnField> {
  const found = new Map<string, OnField>();
  for (const seat of seats) {
    const id = playerAt(lineup, roster, seat, snap);
    const man = roster.find((p) => p.id === id);
    if (man) found.set(seat, { id: man.id, name: man.name, number: numberAt(lineup, man, snap) });
  }
  return found;
}

/** What cannot be so at a snap, in sentences: one man in two places, two men with one number. */
export function lineupDoubts(at: ReadonlyMap<string, OnField>): string[] {
  const men = [...at];
  const doubts: string[] = [];
  for (const [i, [seat, man]] of men.entries())
    for (const [other, with_] of men.slice(i + 1)) {
      if (man.id === with_.id) doubts.push(`${man.name} plays ${seat} and ${other} at once.`);
      else if (man.number === with_.number)
        doubts.push(`${man.name} (${seat}) and ${with_.name} (${other}) both wear ${man.number}.`);
    }
  return doubts;
}

/** The line-up after somebody else plays a place from a snap on; a change from that very snap is replaced. */
export function substitute(lineup: Lineup, change: SeatChange): Lineup {
  const others = lineup.seats.filter((c) => c.seat !== change.seat || c.from !== change.from);
  return {
    ...lineup,
    seats: [...others, change].sort((a, b) => a.from - b.from || a.seat.localeCompare(b.seat, 'en')),
  };
}
