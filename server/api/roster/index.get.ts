import { EVERYBODY, requireMember } from '../../session/member';
import { roster } from '../../usecases/roster';

export default defineEventHandler(async (event) => roster(await requireMember(event, EVERYBODY)));
