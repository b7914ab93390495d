import { requireMember, STAFF } from '../../../session/member';
import { readId } from '../../../session/read-input';
import { listSnaps } from '../../../usecases/film';

export default defineEventHandler(async (event) => listSnaps(await requireMember(event, STAFF), readId(event)));
