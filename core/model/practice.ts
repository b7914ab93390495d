import * as z from 'zod';
import { DaySchema } from './day';
import { GEARS, HOUSE_RULE_IDS, type HouseRule } from './drill';

/** What a day leans to: blocks that count more, and how hard it may get. */
export const THEMES = {
  foundations: { name: 'foundations', blocks: [], contact: 'live' },
  movement: {
    name: 'men who move',
    blocks: ['pull-kick', 'pull-lead', 'pull-wrap', 'skip-pull', 'trap', 'log', 'reach', 'arc', 'cutoff', 'scoop'],
    contact: 'live',
  },
  'second level': {
    name: 'second level',
    blocks: ['double', 'help', 'climb', 'inside-release', 'outside-release', 'triple'],
    contact: 'live',
  },
  protection: {
    name: 'protection',
    blocks: ['man', 'slide', 'dual-read', 'scan', 'check-release', 'pass-double', 'chip'],
    contact: 'live',
  },
  light: { name: 'light: bags, nobody meets anybody', blocks: [], contact: 'shield' },
} as const;
export type Theme = keyof typeof THEMES;
export const THEME_IDS = Object.keys(THEMES) as [Theme, ...Theme[]];

const minutes = z.int().min(0).max(600);
const allowed = z.boolean();
/** How a program practises: its limits as its governing body and its staff set them (none of them is ours), its gear and its habits. */
const share = z.number().min(0.1).max(1);
export const PracticeWaysSchema = z.object({
  /** Minutes in which men may meet men, a day and a week; `null` while nobody has entered one: then none are planned. */
  contactADay: minutes.nullable().default(null),
  contactAWeek: minutes.nullable().default(null),
  /** Water after so many minutes, and for how long; `null` for no break of its own. */
  restEvery: z.int().min(5).max(90).nullable().default(20),
  restFor: z.int().min(1).max(30).default(3),
  /** How much of the individual time goes to one's own foundations rather than to this opponent. */
  foundations: z.number().min(0.4).max(1).default(0.8),
  /** Coaches who can stand at a station. */
  coaches: z.int().min(1).max(8).default(1),
  /** What is done here and what is not. */
  house: z
    .object(
      Object.fromEntries(HOUSE_RULE_IDS.map((h) => [h, allowed.default(true)])) as Record<
        HouseRule,
        z.ZodDefault<typeof allowed>
      >,
    )
    .prefault({}),
  /** Share of a play's quiz answers, and of its reps, that have to be right before it goes into the game; `null` while nobody has entered one. */
  gateQuiz: share.nullable().default(null),
  gateReps: share.nullable().default(null),
  /** Most difference in weight of two men who meet, pounds; `null`: the coach matches them by eye. */
  matchWithin: z.int().min(0).max(200).nullable().default(null),
});
export type PracticeWays = z.infer<typeof PracticeWaysSchema>;
export const SHIPPED_PRACTICE: PracticeWays = PracticeWaysSchema.parse({});

const LineId = z.string().min(1).max(40);
/** What one group does during a line of the plan. */
export const StationSchema = z.object({
  drill: z.string().max(40),
  men: z.array(z.int()).max(60),
  /** Reps of each man. */
  reps: z.number().min(0).max(400),
  /** Share of the time he stands and waits. */
  waits: z.number().min(0).max(1),
  /** Why it is there, in a sentence. */
  why: z.string().max(300),
  /** Of those who meet, who meets whom. */
  pairs: z
    .array(z.tuple([z.int(), z.int()]))
    .max(30)
    .default([]),
});
export type Station = z.infer<typeof StationSchema>;
/** A line of the plan: some minutes with one group or several; without stations it is water and rest. */
export const PracticeLineSchema = z.object({
  id: LineId,
  minutes: z.int().min(1).max(60),
  stations: z.array(StationSchema).max(4),
  /** Set by a coach: no plan made anew changes it. */
  held: z.boolean().default(false),
});
export type PracticeLine = z.infer<typeof PracticeLineSchema>;
/** A day's individual period. */
export const PracticeDaySchema = z.object({
  day: DaySchema,
  theme: z.enum(THEME_IDS),
  minutes: z.int().min(5).max(180),
  gear: z.enum(GEARS),
  /** When it begins, as 18:30; `null` while nobody has said. */
  begins: z
    .string()
    .regex(/^([01]\d|2[0-3]):[0-5]\d$/, 'a time such as 18:30')
    .nullable()
    .default(null),
  lines: z.array(PracticeLineSchema).max(60),
});
export type PracticeDay = z.infer<typeof PracticeDaySchema>;
export const PracticeWeekSchema = z.object({
  days: z
    .array(PracticeDaySchema)
    .max(7)
    .refine((days) => new Set(days.map((d) => d.day)).size === days.length, { message: 'a day stands here twice' }),
});
export type PracticeWeek = z.infer<typeof PracticeWeekSchema>;

/** The same week with everybody under another number; whom `idOf` does not know is in no group. */
export const withMen = (week: PracticeWeek, idOf: (id: number) => number | null): PracticeWeek => ({
  days: week.days.map((day) => ({
    ...day,
    lines: day.lines.map((line) => ({
      ...line,
      stations: line.stations.map((s) => ({
        ...s,
        men: s.men.flatMap((m) => idOf(m) ?? []),
        pairs: s.pairs.flatMap(([a, b]): [number, number][] => {
          const [one, other] = [idOf(a), idOf(b)];
          return one === null || other === null ? [] : [[one, other]];
        }),
      })),
    })),
  })),
});
