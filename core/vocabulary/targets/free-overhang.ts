import { firstOf } from '../finding';
import type { TargetWord } from '../word';

export const freeOverhang: TargetWord = {
  says: ['the first free overhang'],
  help: 'The second-level defender outside the box on the play side whom nobody has, nearest the ball first.',
  find: () => ({
    claim: 'free', every: false,
    seek: (scene, _me, accept) => firstOf([...scene.edge.playside.overhangs].sort((a, b) => scene.defenders[a]!.x - scene.defenders[b]!.x), accept),
  }),
};
