import { always } from '../finding';
import type { QualifierWord } from '../word';

export const notHim: QualifierWord = {
  says: ['who is not {whom:target=}'],
  help: 'Passes over one defender.',
  keep: (slots) => {
    const whom = slots.target('whom');
    return (scene, me, him, defender) => whom.seek(scene, me, him, always) !== defender;
  },
};
