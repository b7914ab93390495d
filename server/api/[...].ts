/** What is no address under /api leads nowhere, instead of to the page. */
export default defineEventHandler((event) => {
  throw createError({ statusCode: 404, message: `There is no ${event.method} ${event.path.slice(0, 80)}.` });
});
