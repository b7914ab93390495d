import { ref, type Ref } from 'vue';
import { together } from '#core/film/alignment/together';
import { NOTHING_MEASURED, type Measuring } from '#core/model/measured';
import { inTurn } from '~/features/session/in-turn';
import { request, RequestProblem } from '~/features/session/request';
import { newId } from '~/features/marks/new-id';
import { dropUnsent, keepUnsent, unsentOf, type Unsent } from './box';

/** What the server answers of what is measured on a snap. */
export interface Measured {
  readonly revision: number;
  /** The last who changed it is who asks, perhaps on another page. */
  readonly isMine: boolean;
  readonly measuring: Measuring;
}

/** What the server has of a snap, as far as is known here, and what is measured on top of it. */
interface Desk {
  readonly snap: number;
  readonly turn: ReturnType<typeof inTurn>;
  revision: number;
  there: Measuring;
  /** All of it, where the server has not; `null` where it has. */
  unsent: Measuring | null;
  /** How often the server would not take what was sent. */
  refusals: number;
}

interface Around {
  /** Who measures; for nobody nothing is kept on the device. */
  readonly user: () => number | null;
  readonly problem: Ref<string>;
  /** Shows what a snap comes to where that is another than was clicked. */
  readonly show: (snap: number, measuring: Measuring) => void;
}

const KEPT = 'What you click is kept on this device, and sent when the server answers.';
const KEPT_FOR_LATER = 'What you click is kept on this device, and sent again.';
const NAMES: Readonly<Record<string, string>> = { ways: 'the ways that were followed' };
/** Others who are as often faster are let through. */
const MOST_TRIES = 5;

function sayTogether(both: readonly string[], isMine: boolean): string {
  const named = both.map((b) => NAMES[b] ?? b).join(', ');
  if (isMine) {
    const here = named && ` Of ${named} what was done here stands.`;
    return `You have measured on this snap on another page meanwhile: both are together now.${here}`;
  }
  const mine = named && ` Of ${named} yours stands.`;
  return `Somebody else has measured on this snap meanwhile: both are together now.${mine}`;
}

/**
 * Sends what is measured, all of a snap at a time, and keeps on the device what has not arrived. Where somebody else was faster both are put
 * together and sent again; what the server refuses is taken back.
 */
export function useDesks({ user, problem, show }: Around) {
  /** Of two pages of one man each keeps its own on the device. */
  const page = newId();
  const desks = new Map<number, Desk>();
  /** Something lies here that waits for a connection. */
  const waits = ref(false);
  /** What became of measuring that two did at once. */
  const notice = ref('');

  function deskOf(snap: number): Desk {
    const known = desks.get(snap);
    if (known) return known;
    const desk = { snap, turn: inTurn(), revision: 0, there: NOTHING_MEASURED, unsent: null, refusals: 0 };
    desks.set(snap, desk);
    return desk;
  }

  /** Lays on the device what has not arrived; a device that takes nothing is no reason not to send it. */
  async function keep({ snap, there, unsent }: Desk): Promise<void> {
    const by = user();
    if (by === null) return;
    const whose = { user: by, snap, page };
    const laid = unsent ? keepUnsent({ ...whose, before: there, mine: unsent }) : dropUnsent(whose);
    await laid.catch(() => undefined);
  }

  /** Takes over what the server has, and puts on top of it what is not there yet. */
  function take(desk: Desk, { revision, isMine, measuring }: Measured): void {
    if (desk.unsent) {
      const { measuring: whole, both, isOfBoth } = together(desk.there, desk.unsent, measuring);
      desk.unsent = whole;
      if (isOfBoth) notice.value = sayTogether(both, isMine);
    }
    Object.assign(desk, { revision, there: measuring });
    show(desk.snap, desk.unsent ?? measuring);
  }
  const read = <T extends Measured>(snap: number): Promise<T> => request<T>(`/api/snaps/${snap}/measuring`);

  /** The same with what the server has now; false while it cannot be asked. */
  async function takeAnew(desk: Desk): Promise<boolean> {
    try {
      take(desk, await read(desk.snap));
      return true;
    } catch (failure) {
      if (!(failure instanceof RequestProblem)) throw failure;
      problem.value = `${failure.message} ${KEPT}`;
      return false;
    }
  }

  /** Sends a snap's whole once; false where it is no use to go on. */
  async function send(desk: Desk, whole: Measuring): Promise<boolean> {
    try {
      const { revision } = await request<{ revision: number }>(`/api/snaps/${desk.snap}/measuring`, {
        method: 'PUT',
        body: { revision: desk.revision, measuring: whole },
      });
      Object.assign(desk, { revision, there: whole, unsent: desk.unsent === whole ? null : desk.unsent });
      problem.value = '';
      return true;
    } catch (failure) {
      if (!(failure instanceof RequestProblem)) throw failure;
      if (failure.status === 409) return takeAnew(desk);
      const kept = failure.offline ? ` ${KEPT}` : ` ${KEPT_FOR_LATER}`;
      problem.value = `${failure.message}${failure.isFinal ? '' : kept}`;
      if (failure.isFinal) {
        desk.refusals++;
        desk.unsent = null;
        show(desk.snap, desk.there);
      }
      return false;
    } finally {
      await keep(desk);
    }
  }
  /** Sends what there is of a snap after whatever of it is on its way. */
  const push = (desk: Desk): Promise<void> =>
    desk.turn(async () => {
      for (let tries = 0; desk.unsent !== null && tries < MOST_TRIES; tries++)
        if (!(await send(desk, desk.unsent))) break;
      waits.value = [...desks.values()].some((d) => d.unsent !== null);
    });

  /** Whatever lies on the device of who measures. */
  async function allLaid(): Promise<Unsent[]> {
    const by = user();
    return by === null ? [] : unsentOf(by).catch(() => []);
  }
  /** Takes up what pages before this one have left of a snap. */
  async function takeUp(desk: Desk, laid: readonly Unsent[]): Promise<void> {
    for (const { before, mine } of laid)
      if (desk.unsent) desk.unsent = together(before, mine, desk.unsent).measuring;
      else Object.assign(desk, { there: before, unsent: mine });
    if (laid.length === 0) return;
    await keep(desk);
    await dropUnsent(...laid).catch(() => undefined);
  }

  /** Reads what is measured on a snap, with what lies here of it. */
  async function open<T extends Measured>(snap: number): Promise<T> {
    const laid = (await allLaid()).filter((unsent) => unsent.snap === snap);
    const isNew = !desks.has(snap);
    const desk = deskOf(snap);
    if (isNew) await takeUp(desk, laid);
    const view = await desk.turn(async () => {
      const found = await read<T>(snap);
      take(desk, found);
      return found;
    });
    if (desk.unsent) void push(desk);
    return view;
  }

  /** What is measured on a snap now is this: true once the server has it. */
  async function change(snap: number, whole: Measuring): Promise<boolean> {
    const desk = deskOf(snap);
    const { refusals } = desk;
    desk.unsent = whole;
    notice.value = '';
    void keep(desk);
    await push(desk);
    return desk.unsent === null && desk.refusals === refusals;
  }

  /** Nothing is to be sent of a snap that is gone. */
  async function drop(snap: number, failure: unknown): Promise<void> {
    const desk = desks.get(snap);
    if (!desk || !(failure instanceof RequestProblem) || failure.status !== 404) return;
    desk.unsent = null;
    await keep(desk);
  }
  /** Sends whatever lies here, of every snap. */
  async function sendAgain(): Promise<void> {
    for (const { snap } of await allLaid())
      if (!desks.has(snap)) await open(snap).catch((failure) => drop(snap, failure));
    await Promise.all([...desks.values()].map(push));
  }

  /** All that is measured on a snap that was opened. */
  function wholeOf(snap: number): Measuring {
    const { there, unsent } = deskOf(snap);
    return unsent ?? there;
  }

  return { open, wholeOf, change, sendAgain, waits, notice };
}
