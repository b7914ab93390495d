import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const calledTo: ConditionWord = {
  says: ['{who:man!} is called to {job:job}'],
  denies: ['{who:man!} is not called to {job:job}'],
  help: 'The block his own rule has chosen on this front; "pull" means any pulling block.',
  asksOthers: true,
  asksOf: (slots) => (lineup, me) => [slots.man('who')(lineup, me)],
  test: (slots) => {
    const [who, job] = [slots.man('who'), slots.text('job')];
    return (scene, me) => {
      const man = who(scene, me);
      return man !== NOBODY && (scene.proposals[man]!.job === job || (job === 'pull' && scene.proposals[man]!.pulls));
    };
  },
  why: (slots) => (scene, me) => {
    const man = slots.man('who')(scene, me);
    if (man === NOBODY) return slots.absent('who');
    return `${scene.men[man]!.id}’s job is ${scene.proposals[man]!.job || 'nothing yet'}`;
  },
};
