import { NOBODY } from '../scene';
import type { ConditionWord } from '../word';

export const leavesHisMan: ConditionWord = {
  says: ['{who:man!} leaves his man'],
  denies: ['{who:man!} keeps his man'],
  help: 'He is covered, but his rule sends him to somebody else; "him" is the man he leaves.',
  asksOthers: true,
  asksOf: (slots) => (lineup, me) => [slots.man('who')(lineup, me)],
  finds: (slots) => {
    const who = slots.man('who');
    return (scene, me) => {
      const man = who(scene, me);
      if (man === NOBODY) return NOBODY;
      const his = scene.cover.men[man]?.[0];
      const proposal = scene.proposals[man]!;
      if (his === undefined || proposal.sentence < 0 || proposal.target === his) return NOBODY;
      return his;
    };
  },
  why: (slots) => (scene, me, _him, holds) => {
    const man = slots.man('who')(scene, me);
    if (man === NOBODY) return slots.absent('who');
    if (scene.cover.men[man]?.[0] === undefined) return `${scene.men[man]!.id} has no man to leave`;
    return `${scene.men[man]!.id} ${holds ? 'leaves his man' : 'stays on his man'}`;
  },
};
