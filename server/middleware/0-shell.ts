import { randomBytes, randomUUID } from 'node:crypto';
import { PLACES } from '#places';
import { linksFor } from '../places';
import { answerOf, encodingFor, shellFor, shellOf, type Shell } from '../shell';

/** Says that the page itself is asked for, to be kept. */
const MAKING = { name: 'x-making-the-page', value: randomUUID() };
let shell: Promise<Shell> | null = null;
const links = linksFor(PLACES);

async function make(): Promise<Shell> {
  const answer = await useNitroApp().localFetch('/', { headers: { [MAKING.name]: MAKING.value } });
  if (!answer.ok) throw new Error(`the page could not be made: ${answer.status}`);
  return shellOf(await answer.text(), Object.fromEntries(answer.headers));
}

/** Is this an address of a place, and not of data or of a file? */
const isPlace = (path: string): boolean => !/^\/(api|_nuxt|__)/.test(path) && !/\.\w+$/.test(path);

/** Every place begins with the same page: it is made once and named by what it is, so that a browser that has it asks only whether it is still so. */
export default defineEventHandler(async (event) => {
  if (import.meta.dev || (event.method !== 'GET' && event.method !== 'HEAD')) return;
  const path = event.path.split('?')[0]!;
  if (!isPlace(path) || getRequestHeader(event, MAKING.name) === MAKING.value) return;
  shell ??= make();
  const made = await shell.catch((problem: unknown) => {
    shell = null;
    throw problem;
  });
  // Who comes as a stranger is sent to a door, and needs nothing of what lies behind it.
  const isStranger = !getCookie(event, useRuntimeConfig(event).session.name);
  const page = isStranger ? made : shellFor(made, links(path));
  setResponseHeaders(event, { ...page.headers, etag: page.etag });
  // Whoever has it keeps it with the number and the policy it came with.
  if (getRequestHeader(event, 'if-none-match') === page.etag) {
    setResponseStatus(event, 304);
    return '';
  }
  const as = encodingFor(getRequestHeader(event, 'accept-encoding') ?? '');
  const { body, policy } = answerOf(page, randomBytes(16).toString('base64'), as);
  setResponseHeader(event, 'content-security-policy', policy);
  if (as !== 'plain') setResponseHeader(event, 'content-encoding', as);
  return event.method === 'HEAD' ? '' : body;
});
