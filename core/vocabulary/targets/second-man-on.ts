import { always } from '../finding';
import type { TargetWord } from '../word';

export const secondManOn: TargetWord = {
  says: ['a second man for {whom:target}'],
  help: 'In a "deal" line: deals a defender once more, so that two men have him.',
  find: (slots) => {
    const whom = slots.target('whom');
    return { claim: null, every: false, seek: (scene, me, him) => whom.seek(scene, me, him, always) };
  },
};
