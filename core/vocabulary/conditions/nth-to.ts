import { ORDINALS } from '../finding';
import { NOBODY, type Scene } from '../scene';
import type { ConditionWord } from '../word';

/** How many men on the line, play side of this one, have that job. */
function aheadOf(scene: Scene, man: number, job: string): number {
  let count = 0;
  for (let i = man + 1; i < scene.lineCount; i++) {
    const p = scene.proposals[i]!;
    if (p.job === job || (job === 'pull' && p.pulls)) count++;
  }
  return count;
}

export const nthTo: ConditionWord = {
  says: ['{who:man!} be the {nth:ordinal} to {job:job}'],
  denies: ['{who:man!} be not the {nth:ordinal} to {job:job}'],
  help: 'How many men on the line, counted from the play side, have that job before him: the first to pull has nobody pulling in front of him.',
  asksOthers: true,
  test: (slots) => {
    const [who, job] = [slots.man('who'), slots.text('job')];
    const before = ORDINALS.indexOf(slots.text('nth') as (typeof ORDINALS)[number]);
    return (scene, me) => {
      const man = who(scene, me);
      return man !== NOBODY && man < scene.lineCount && aheadOf(scene, man, job) === before;
    };
  },
  why: (slots) => (scene, me) => {
    const man = slots.man('who')(scene, me);
    if (man === NOBODY) return slots.absent('who');
    const count = aheadOf(scene, man, slots.text('job'));
    return `${count === 0 ? 'nobody' : count} on the play side of ${man === me ? 'me' : scene.men[man]!.id} has that job`;
  },
};
