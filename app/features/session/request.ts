import { takeAhead } from './ahead';

export const UNREACHABLE = 'The server cannot be reached.';

/** Refusals of the moment: nobody is logged in, it took too long, it was too much at once. */
const LATER: readonly number[] = [401, 408, 429];

/** What a request failed with, in words for the screen. `offline` when the server could not be reached at all. */
export class RequestProblem extends Error {
  constructor(
    message: string,
    readonly status: number | null,
    /** What the server said beside the sentence. */
    readonly data: unknown = null,
  ) {
    super(message);
  }

  get offline(): boolean {
    return this.status === null || this.status >= 502;
  }
  /** The server will not take it, however often it is asked; else it may, once he is logged in again or there is less to do. */
  get isFinal(): boolean {
    return this.status !== null && this.status >= 400 && this.status < 500 && !LATER.includes(this.status);
  }
}

interface Options {
  method?: 'GET' | 'POST' | 'PUT' | 'DELETE';
  body?: object;
  /** What the body is, where it is no JSON. */
  type?: string;
}

/** What the framework would guess of an answer by its address is not looked at: whoever asks says what it is. */
type Fetch = (url: string, options: object) => Promise<unknown>;

/** Reads something, or takes what was asked for while the page came; every failure is a `RequestProblem`. */
export const readOnce = <T>(url: string): Promise<T> => takeAhead<T>(url) ?? request<T>(url);

/** Talks to the server; every failure is a `RequestProblem` with a sentence that can be shown. */
export async function request<T>(url: string, options: Options = {}): Promise<T> {
  try {
    return (await ($fetch as unknown as Fetch)(url, {
      method: options.method ?? 'GET',
      body: options.body,
      ...(options.type ? { headers: { 'content-type': options.type } } : {}),
      retry: 0,
    })) as T;
  } catch (problem) {
    const { status, data } = problem as { status?: number; data?: { message?: string; data?: unknown } };
    if (status === undefined) throw new RequestProblem(UNREACHABLE, null);
    throw new RequestProblem(data?.message ?? 'The server could not do this.', status, data?.data ?? null);
  }
}
