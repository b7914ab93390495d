import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { documentVersions } from '../../../usecases/playbook';

export default defineEventHandler(async (event) => documentVersions(await requireMember(event, STAFF), readId(event)));
