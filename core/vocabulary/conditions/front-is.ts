import type { ConditionWord } from '../word';

export const frontIs: ConditionWord = {
  says: ['the front is {family:family}'],
  denies: ['the front is not {family:family}'],
  help: 'The family of the front, or one of its sub-names: open, odd, even, bear, goal-line, over, under, double-three, tite, stack, five-man.',
  test: (slots) => {
    const word = slots.text('family').replace('-line', ' line').replace('double-', 'double ');
    return (scene) => {
      const family = scene.facts.family();
      return family.name === word || (family.subNames as readonly string[]).includes(word);
    };
  },
  why: () => (scene) => `the front is ${[scene.facts.family().name, ...scene.facts.family().subNames].join(', ')}`,
};
