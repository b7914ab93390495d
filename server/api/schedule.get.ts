import { requireMember, READERS } from '../session/member';
import { readSchedule } from '../usecases/schedule';

export default defineEventHandler(async (event) => readSchedule(await requireMember(event, READERS)));
