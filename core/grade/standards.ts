import type { FaultId } from '../model/faults';
import type { BlockId } from '../vocabulary/index';

/** What one block asks for, and what counts as success for that block and no other. */
export interface Standard {
  readonly doneWhen: string;
  readonly notWhen: string;
  /** Faults this block is prone to, likeliest first: the ones offered on keys. */
  readonly faults: readonly FaultId[];
}

/** The grading standard of every block of the language. */
export const STANDARDS = {
  drive: { doneWhen: 'He is moved off the ball and never crosses your nose.', notWhen: 'A stalemate: movement was asked.', faults: ['high-pads', 'no-movement', 'stopped-feet', 'false-step', 'hands-wide', 'wrong-head'] },
  base: { doneWhen: 'He is not past you and your shoulders are square; a stalemate on the line is success.', notWhen: 'Ground given, or turned.', faults: ['turned-shoulders', 'lunge', 'catch', 'high-pads', 'false-step', 'stopped-feet'] },
  fan: { doneWhen: 'He stays outside you all the way.', notWhen: 'He comes underneath.', faults: ['opened-early', 'lost-inside', 'overstride', 'lunge', 'hands-wide', 'turned-shoulders'] },
  reach: { doneWhen: 'Your hips are outside him, or he runs past the hole.', notWhen: 'He is crossed inside too late, or lost outside.', faults: ['no-ground', 'crossed-over', 'wrong-head', 'stopped-feet', 'lunge', 'high-pads'] },
  down: { doneWhen: 'No penetration and no back door.', notWhen: 'Head all the way across, or an upfield leak.', faults: ['wrong-head', 'no-ground', 'ran-past', 'high-pads', 'lunge', 'stopped-feet'] },
  back: { doneWhen: 'He is picked and the puller is not touched.', notWhen: 'Over-run: he goes out the back door.', faults: ['ran-past', 'wrong-head', 'late-off', 'no-ground', 'high-pads', 'lunge'] },
  cutoff: { doneWhen: 'He cannot run down the play.', notWhen: 'Heels clipped, or never touched.', faults: ['no-ground', 'too-flat', 'missed', 'stopped-feet', 'late-off', 'block-in-back'] },
  double: { doneWhen: 'The man ends in the linebacker’s lap and one comes off in time with a free arm.', notWhen: 'Early, late, shoulders turned, no movement.', faults: ['no-movement', 'left-early', 'left-late', 'turned-shoulders', 'high-pads', 'helped-wrong'] },
  help: { doneWhen: 'Your partner can take over and the linebacker is reached.', notWhen: 'Stayed on it, or missed it.', faults: ['left-late', 'left-early', 'turned-shoulders', 'wrong-track', 'missed', 'helped-wrong'] },
  climb: { doneWhen: 'You are on the track, strike with hands inside, and the feet speed up on contact.', notWhen: 'Chased, caught him, or ran past.', faults: ['wrong-track', 'chased', 'ran-past', 'catch', 'missed', 'stopped-feet'] },
  'inside-release': { doneWhen: 'You are through untouched and inside-out on the linebacker.', notWhen: 'Held up on the line, or behind him.', faults: ['wrong-track', 'high-pads', 'overstride', 'ran-past', 'chased', 'missed'] },
  arc: { doneWhen: 'You are past the end clean and outside-in on the force.', notWhen: 'Caught by the end, or inside the force.', faults: ['too-flat', 'wrong-track', 'collision', 'missed', 'chased', 'lunge'] },
  'pull-lead': { doneWhen: 'The first colour inside is hit, tight off the double.', notWhen: 'Ran by him, or into your own man.', faults: ['too-deep', 'ran-past', 'collision', 'false-step', 'missed', 'stopped-feet'] },
  'pull-kick': { doneWhen: 'He is turned out with the right shoulder.', notWhen: 'Too flat, wrong shoulder, lost inside.', faults: ['wrong-shoulder', 'too-flat', 'too-deep', 'lost-inside', 'missed', 'false-step'] },
  'skip-pull': { doneWhen: 'Shoulders stay square until the edge man is met inside-out.', notWhen: 'Turned and ran, or met him head on.', faults: ['turned-shoulders', 'too-deep', 'wrong-shoulder', 'lost-inside', 'collision', 'missed'] },
  'pull-wrap': { doneWhen: 'Up inside the kick, first colour is hit.', notWhen: 'Around the outside, or behind the ball.', faults: ['too-deep', 'too-flat', 'ran-past', 'missed', 'collision', 'false-step'] },
  kick: { doneWhen: 'He is turned out from the inside.', notWhen: 'Met him outside, or missed him inside.', faults: ['wrong-shoulder', 'lunge', 'lost-inside', 'high-pads', 'missed', 'stopped-feet'] },
  lead: { doneWhen: 'You are through the hole first and your man is hit.', notWhen: 'In the ball’s way, or past him.', faults: ['ran-past', 'lunge', 'missed', 'stopped-feet', 'wrong-track', 'high-pads'] },
  hinge: { doneWhen: 'Nobody through inside.', notWhen: 'Hips opened before the inside was closed.', faults: ['opened-early', 'lost-inside', 'false-step', 'overset', 'lunge', 'hands-wide'] },
  read: { doneWhen: 'Nobody touches him.', notWhen: 'Somebody blocks him.', faults: ['wrong-man'] },
  leave: { doneWhen: 'Nobody touches him.', notWhen: 'Somebody blocks him.', faults: ['wrong-man'] },
} as const satisfies Record<BlockId, Standard>;

export const standardOf = (block: string): Standard | null => (STANDARDS as Record<string, Standard>)[block] ?? null;
