import { EVERYBODY, requireMember } from '../../session/member';
import { listDocuments } from '../../usecases/playbook';

export default defineEventHandler(async (event) => listDocuments(await requireMember(event, EVERYBODY)));
