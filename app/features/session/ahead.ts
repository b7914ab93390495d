/** What nobody takes this soon after it came is old, ms. */
const FRESH = 5000;
/** What was asked for before anybody needed it: each answer is for the first who does. */
const asked = new Map<string, Promise<unknown>>();

/** Asks for something while the page is still coming, so that whoever needs it need not wait for all of the way. */
export function askAhead<T>(url: string, ask: (url: string) => Promise<T>): Promise<T> {
  const answer = ask(url);
  asked.set(url, answer);
  // Whoever takes it hears that it failed; before that nobody does.
  const leave = (): void => {
    setTimeout(() => {
      if (asked.get(url) === answer) asked.delete(url);
    }, FRESH);
  };
  answer.then(leave, leave);
  return answer;
}

/** The answer that is on its way, once; whoever asks again asks anew. */
export function takeAhead<T>(url: string): Promise<T> | null {
  const answer = asked.get(url) ?? null;
  asked.delete(url);
  return answer as Promise<T> | null;
}
