import * as z from 'zod';
import { filmPlaces } from '../../film/places';
import { requireMember } from '../../session/member';
import { readQuery } from '../../session/read-query';
import { sendAway } from '../../session/send-away';
import { takeCopy } from '../../usecases/copies';

const Wanted = z.object({ film: z.enum(['yes', 'no']).default('no') });

/** The program as one file. */
export default defineEventHandler(async (event) => {
  const member = await requireMember(event, ['coach']);
  const { film } = readQuery(event, Wanted);
  const copy = await takeCopy(member, film === 'yes', filmPlaces());
  const name = member.programName.toLowerCase().replace(/[^a-z0-9]+/g, '-');
  return sendAway(event, copy, {
    name: `${name}-${new Date().toISOString().slice(0, 10)}.zip`,
    type: 'application/zip',
  });
});
