import { askFor } from '../jobs/queue';
import { requireMember, STAFF } from '../session/member';
import { filmPlaces } from './places';
import { PostgresLocker } from './upload-locks';
import { uploadServer } from './uploads';

/** Every step of an upload, by the resumable protocol, for members who log film. */
export const uploadRoute = defineEventHandler(async (event) => {
  const member = await requireMember(event, STAFF);
  await uploadServer(member, filmPlaces(), new PostgresLocker(useRuntimeConfig().databaseUrl), askFor).handle(
    event.node.req,
    event.node.res,
  );
});
