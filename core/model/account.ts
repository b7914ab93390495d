import * as z from 'zod';
import { PersonNameSchema } from './person-name';
import { ROLE_IDS } from './role';

/** Shorter passwords are guessed in minutes. */
export const SHORTEST_PASSWORD = 10;
const EASY = /^(.)\1+$|^(0?123456789\d*|qwertyuiop\w*|password\w*|football\w*)$/i;

export const PasswordSchema = z
  .string()
  .min(SHORTEST_PASSWORD, `at least ${SHORTEST_PASSWORD} characters; a few words in a row are easy to keep in mind`)
  .max(200)
  .refine((p) => !EASY.test(p), { message: 'this one is among the first that are tried' });
export const EmailSchema = z
  .string()
  .trim()
  .toLowerCase()
  .max(200)
  .pipe(z.email({ message: 'an address such as name@club.example' }));
export const ProgramNameSchema = z.string().trim().min(1, 'a name').max(80);

/** Who opens an account. */
export const NewAccountSchema = z.object({ name: PersonNameSchema, email: EmailSchema, password: PasswordSchema });
export type NewAccount = z.infer<typeof NewAccountSchema>;

/** Who is asked to join a program, as what, and which man of the roster he is when he plays. */
export const InvitationSchema = z
  .object({
    role: z.enum(ROLE_IDS),
    name: z.string().trim().max(80).default(''),
    /** Where the link is sent; empty when it is handed over by other means. */
    email: z.union([EmailSchema, z.literal('')]).default(''),
    playerId: z.int().positive().nullable().default(null),
  })
  .refine((i) => i.role === 'player' || i.playerId === null, {
    path: ['playerId'],
    message: 'only a player is a man of the roster',
  })
  .refine((i) => i.role !== 'player' || i.playerId !== null, {
    path: ['playerId'],
    message: 'say which man of the roster he is',
  });
export type Invitation = z.infer<typeof InvitationSchema>;

/** One who belongs to a program. */
export const PersonSchema = z.object({
  id: z.int(),
  name: z.string(),
  email: z.string(),
  role: z.enum(ROLE_IDS),
  playerId: z.int().nullable(),
  /** When he was last here; `null` before the first time. */
  seenAt: z.string().nullable(),
});
export type Person = z.infer<typeof PersonSchema>;

/** An invitation nobody has taken up yet. */
export const WaitingSchema = z.object({
  id: z.int(),
  name: z.string(),
  email: z.string(),
  role: z.enum(ROLE_IDS),
  playerId: z.int().nullable(),
  expiresAt: z.string(),
});
export const PeopleSchema = z.object({ people: z.array(PersonSchema), waiting: z.array(WaitingSchema) });
export type People = z.infer<typeof PeopleSchema>;

/** What a link says to whoever opens it. */
export const TicketViewSchema = z.object({
  kind: z.enum(['invitation', 'reset']),
  program: z.string(),
  by: z.string(),
  role: z.enum(ROLE_IDS).nullable(),
  name: z.string(),
  email: z.string(),
});
export type TicketView = z.infer<typeof TicketViewSchema>;

/** One log-in of one's own. */
export const OwnSessionSchema = z.object({
  id: z.string(),
  machine: z.string(),
  startedAt: z.string(),
  seenAt: z.string(),
  here: z.boolean(),
});
export type OwnSession = z.infer<typeof OwnSessionSchema>;
