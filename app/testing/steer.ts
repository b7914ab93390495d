/** How a test steers a server it has put in the place of the real one: it can be down, slow, or refuse once. */
export interface Steering {
  down(): void;
  up(): void;
  /** The next request is refused with this answer. */
  refuse(status: number, message: string): void;
  /** Requests wait until `answer` is called, in the order they came or the last first. */
  slow(): void;
  answer(lastFirst?: 'last first'): void;
}

/** A failure as requests meet it: with a status when the server answered at all. */
export const failWith = (status: number | undefined, message: string): never => {
  throw Object.assign(new Error(message), { status, data: { status, message } });
};

/** Steering, and what every request has to pass before it is answered. */
export function steered(): { steering: Steering; pass: () => Promise<void> } {
  let reachable = true;
  let refusal: { status: number; message: string } | null = null;
  let waiting: (() => void)[] | null = null;
  return {
    steering: {
      down: () => void (reachable = false),
      up: () => void (reachable = true),
      refuse: (status, message) => void (refusal = { status, message }),
      slow: () => void (waiting = []),
      answer: (lastFirst) => {
        const held = lastFirst ? (waiting ?? []).reverse() : (waiting ?? []);
        waiting = null;
        for (const go of held) go();
      },
    },
    async pass() {
      if (waiting) await new Promise<void>((go) => waiting!.push(go));
      if (!reachable) failWith(undefined, 'connection refused');
      const refused = refusal;
      refusal = null;
      if (refused) failWith(refused.status, refused.message);
    },
  };
}
