import * as z from 'zod';
import { NewAccountSchema, ProgramNameSchema } from '#core/model/account';
import { enter } from '../session/enter';
import { BEFORE_LOG_IN, readInput } from '../session/read-input';
import { forgetTries, takeTry } from '../session/throttle';
import { begin } from '../usecases/begin';

const Begin = NewAccountSchema.extend({ code: z.string().max(40), program: ProgramNameSchema });

/** Makes the first program with the code the start command printed. */
export default defineEventHandler(async (event) => {
  const { code, program, ...account } = await readInput(event, Begin, BEFORE_LOG_IN);
  await takeTry(event, 'begin');
  const user = await begin(useRuntimeConfig().firstCode, { given: code, program, account });
  await forgetTries(event, 'begin');
  await enter(event, user);
  return { programId: user.programId };
});
