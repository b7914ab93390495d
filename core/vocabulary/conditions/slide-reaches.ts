import { moreThan } from '../../geometry/compare';
import { HEAD_UP } from '../../geometry/tolerances';
import type { Scene } from '../scene';
import type { ConditionWord } from '../word';

/** Men on the line on the play side of the ball, and as many as the slide has men there. */
const toTheEdge = (scene: Scene): { there: number; needed: number } => ({
  there: scene.first.filter((d) => moreThan(scene.defenders[d]!.x, HEAD_UP)).length,
  needed: scene.men.filter((m) => m.index < scene.lineCount && m.x >= 0).length,
});

export const slideReaches: ConditionWord = {
  says: ['the slide reaches the edge'],
  denies: ['the slide does not reach the edge'],
  help: 'On the play side of the ball as many men stand on the line as the slide has from the centre out: it goes to the edge, outermost to outermost.',
  test: () => (scene) => {
    const { there, needed } = toTheEdge(scene);
    return there >= needed;
  },
  why: () => (scene) => {
    const { there, needed } = toTheEdge(scene);
    return `${there} on the line on the play side, and the slide has ${needed}`;
  },
};
