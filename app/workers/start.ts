import type { Advice, AdviceJob } from '#core/calls/advice-job';
import type { AnswersJob, FrontAnswer } from '#core/calls/answers-job';
import type { ProtectJob, Proved } from '#core/calls/protect-job';
import type { MovementReading } from '#core/film/alignment/movement';
import type { MovementJob } from '#core/film/alignment/movement-job';
import type { ProposeJob } from '#core/grade/propose/propose-job';
import type { Proposal } from '#core/model/proposal';
import type { PlanAnswer, PlanJob } from '#core/plan/work-plan';
import type { ScriptAsked, ScriptMade } from '#core/practice/script/script-job';
import type { FollowerLike } from '~/features/measure/follow-film';
import { useAsked } from './asked';

/** Plays against fronts, worked out beside the screen. */
export const useAnswers = () =>
  useAsked<AnswersJob, FrontAnswer>(
    () => new Worker(new URL('./answers.worker.ts', import.meta.url), { type: 'module' }),
  );

/** What else there is to say about a call, worked out beside the screen. */
export const useAdvice = () =>
  useAsked<AdviceJob, Advice>(() => new Worker(new URL('./advice.worker.ts', import.meta.url), { type: 'module' }));

/** Protections against every pressure of a front, worked out beside the screen. */
export const useProofs = () =>
  useAsked<ProtectJob, Proved>(() => new Worker(new URL('./protect.worker.ts', import.meta.url), { type: 'module' }));

/** What a front did after the snap, read off the film beside the screen. */
export const useMovementReadings = () =>
  useAsked<MovementJob, MovementReading>(
    () => new Worker(new URL('./movement.worker.ts', import.meta.url), { type: 'module' }),
  );

/** What the film makes of every block, worked out beside the screen. */
export const useProposing = () =>
  useAsked<ProposeJob, Proposal>(() => new Worker(new URL('./propose.worker.ts', import.meta.url), { type: 'module' }));

/** A week's plan, worked out beside the screen. */
export const usePlanning = () =>
  useAsked<PlanJob, PlanAnswer>(() => new Worker(new URL('./plan.worker.ts', import.meta.url), { type: 'module' }));

/** A script of reps, made beside the screen. */
export const useScriptWriter = () =>
  useAsked<ScriptAsked, ScriptMade>(
    () => new Worker(new URL('./script.worker.ts', import.meta.url), { type: 'module' }),
  );

/** The follower, who has somebody look at every angle with all of OpenCV: fetched when somebody follows and not before. */
export const startFollower = (): FollowerLike =>
  new Worker(new URL('./follow.worker.ts', import.meta.url), { type: 'module' }) as unknown as FollowerLike;
