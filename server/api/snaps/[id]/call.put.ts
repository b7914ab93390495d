import * as z from 'zod';
import { CallSchema } from '#core/model/snap';
import { requireMember, STAFF } from '../../../session/member';
import { readId, readInput } from '../../../session/read-input';
import { changeCall } from '../../../usecases/change-call';

export default defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  const { call, confirmed } = await readInput(event, z.object({ call: CallSchema, confirmed: z.boolean() }));
  return changeCall(member, readId(event), call, confirmed);
});
