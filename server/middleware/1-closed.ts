import { whyClosed } from '../opening';

/** While something goes on that nobody may be in the way of, whoever asks for data is told why. */
export default defineEventHandler((event) => {
  const why = whyClosed();
  if (why && event.path.startsWith('/api/')) throw createError({ statusCode: 503, message: why });
});
