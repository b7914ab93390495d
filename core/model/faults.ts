import * as z from 'zod';

/** What can be wrong with a block. Each belongs to a part of the block, in the order in which it happens. */
export const FAULTS = {
  'wrong-man': { name: 'wrong man', part: 'assignment' },
  'no-call': { name: 'no call or wrong call', part: 'assignment' },
  'late-off': { name: 'late off the ball', part: 'stance' },
  'false-start': { name: 'false start or offside', part: 'stance' },
  'false-step': { name: 'false step', part: 'first step' },
  'no-ground': { name: 'no ground gained', part: 'first step' },
  overstride: { name: 'overstride', part: 'first step' },
  'crossed-over': { name: 'crossed over', part: 'first step' },
  hop: { name: 'hop', part: 'first step' },
  'opened-early': { name: 'opened hips early', part: 'first step' },
  overset: { name: 'overset', part: 'first step' },
  'high-pads': { name: 'high pads', part: 'pads' },
  lunge: { name: 'lunge', part: 'pads' },
  bent: { name: 'bent at the waist', part: 'pads' },
  'wrong-head': { name: 'wrong head side', part: 'pads' },
  'hands-wide': { name: 'hands wide', part: 'hands' },
  hug: { name: 'hug', part: 'hands' },
  catch: { name: 'catch', part: 'hands' },
  'no-strike': { name: 'no strike', part: 'hands' },
  'stopped-feet': { name: 'stopped feet', part: 'feet' },
  fell: { name: 'on the ground', part: 'feet' },
  'turned-shoulders': { name: 'turned shoulders', part: 'feet' },
  'left-early': { name: 'left the double early', part: 'pair' },
  'left-late': { name: 'left it late', part: 'pair' },
  'no-movement': { name: 'no movement', part: 'finish' },
  'helped-wrong': { name: 'helped the wrong man', part: 'pair' },
  'wrong-track': { name: 'wrong track', part: 'track' },
  chased: { name: 'chased', part: 'track' },
  'ran-past': { name: 'ran past', part: 'track' },
  missed: { name: 'missed', part: 'track' },
  'wrong-shoulder': { name: 'wrong shoulder', part: 'track' },
  'too-deep': { name: 'pulled too deep', part: 'track' },
  'too-flat': { name: 'pulled too flat', part: 'track' },
  collision: { name: 'ran into his own man', part: 'track' },
  'no-anchor': { name: 'no re-anchor', part: 'finish' },
  'lost-inside': { name: 'lost inside', part: 'finish' },
  hold: { name: 'hold', part: 'penalty' },
  'block-in-back': { name: 'block in the back', part: 'penalty' },
  downfield: { name: 'downfield', part: 'penalty' },
} as const satisfies Record<string, { name: string; part: string }>;

export type FaultId = keyof typeof FAULTS;
export const FAULT_IDS = Object.keys(FAULTS) as [FaultId, ...FaultId[]];

/** A fault by its id: a shipped one, or one of the program's own. */
export const FaultIdSchema = z.string().regex(/^[a-z][a-z0-9-]{1,39}$/, 'a fault is a word in small letters');

export const FAULT_PARTS = [...new Set(Object.values(FAULTS).map((f) => f.part))];

/** A fault a program has added: what it is called, to which part of a block it belongs, and with which blocks it is offered (none: with all). */
export const OwnFaultSchema = z.object({
  id: FaultIdSchema,
  name: z.string().trim().min(2).max(40),
  part: z.string().max(20),
  blocks: z.array(z.string().max(30)).max(40).default([]),
});
export type OwnFault = z.infer<typeof OwnFaultSchema>;

/** What a fault is called; one that nobody knows any more is said by its id. */
export function faultName(id: string, own: readonly OwnFault[] = []): string {
  if (id in FAULTS) return FAULTS[id as FaultId].name;
  return own.find((f) => f.id === id)?.name ?? id.replaceAll('-', ' ');
}
