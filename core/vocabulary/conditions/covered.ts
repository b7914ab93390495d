import { NOBODY } from '../scene';
import { sayStand, stands } from '../finding';
import type { ConditionWord } from '../word';

export const covered: ConditionWord = {
  says: ['{who:man!} be covered [{how:shades}]'],
  denies: ['{who:man!} be uncovered', '{who:man!} be not covered [{how:shades}]'],
  help: 'Somebody on the line is his man by the scheme’s own definition of covered; a shade narrows it to where that man stands.',
  finds: (slots) => {
    const who = slots.man('who');
    const how = slots.has('how') ? slots.list('how') : null;
    return (scene, me) => {
      const man = who(scene, me);
      const his = man === NOBODY ? undefined : scene.cover.men[man]?.[0];
      if (his === undefined) return NOBODY;
      if (how && !stands(scene, his, man, how)) return NOBODY;
      return his;
    };
  },
  why: (slots) => (scene, me, _him, holds) => {
    const man = slots.man('who')(scene, me);
    if (man === NOBODY) return slots.absent('who');
    const his = scene.cover.men[man]?.[0];
    const name = man === me ? 'I' : scene.men[man]!.id;
    const be = man === me ? 'am' : 'is';
    if (his === undefined) return `${name} ${be} not covered`;
    return holds
      ? `${name} ${be} covered by ${scene.defenders[his]!.id}`
      : `${scene.defenders[his]!.id} stands ${sayStand(scene, his, man)} ${name === 'I' ? 'me' : name}`;
  },
};
