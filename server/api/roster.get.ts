import { requireMember } from '../session/member';
import { roster } from '../usecases/accounts';

export default defineEventHandler(async (event) => roster(await requireMember(event)));
