import { refusalOf } from '../db/refusals';

/** Trouble with the database is answered in words everywhere, by wrapping the one handler all requests go through. */
export default defineNitroPlugin(({ h3App }) => {
  const answer = h3App.handler;
  h3App.handler = async (event) => {
    try {
      return await answer(event);
    } catch (problem) {
      const refusal = refusalOf((problem as { cause?: unknown }).cause ?? problem);
      throw refusal ? createError({ ...refusal, cause: problem }) : problem;
    }
  };
});
