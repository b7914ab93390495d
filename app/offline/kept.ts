/** Where answers are kept for when there is no connection; gone with the log-out. */
export const DATA_CACHE = 'violet-chalk-data';
export const PAGE_CACHE = 'violet-chalk-page';
export const FILE_CACHE = 'violet-chalk-files';

/** The one page behind every address. */
export const SHELL = '/';

/**
 * What the quiz, the walkthrough and a game night stand on, and nothing that says how somebody did: grades and film are looked at with a
 * connection. Without a trailing part everything below it.
 */
const KEPT: readonly RegExp[] = [
  /^\/api\/(session|program|playbook|quiz|roster|schedule|season)$/,
  /^\/api\/weeks(\/\d+)?$/,
];

/** Is the answer to this question kept on the device? */
export const isKept = ({ pathname }: URL, method: string): boolean =>
  method === 'GET' && KEPT.some((kept) => kept.test(pathname));

/** Does this request change who is at the device? */
export const changesWhoIsHere = ({ pathname }: URL, method: string): boolean =>
  method !== 'GET' && /^\/api\/(session(\/program)?|begin|tickets\/join)$/.test(pathname);

/** Files of the application: they never change under one name. */
export const isFile = ({ pathname }: URL): boolean => pathname.startsWith('/_nuxt/');

/** Says an answer that nobody is logged in? It is not kept: without a connection nobody could log in by it. */
export const isOfNobody = async ({ pathname }: URL, answer: Response): Promise<boolean> =>
  pathname === '/api/session' && ((await answer.clone().json()) as { member: unknown }).member === null;
