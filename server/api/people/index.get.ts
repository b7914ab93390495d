import { requireMember } from '../../session/member';
import { listPeople } from '../../usecases/people';

export default defineEventHandler(async (event) => listPeople(await requireMember(event, ['coach'])));
