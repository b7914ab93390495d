import { NOBODY, type Scene } from '../scene';
import type { TargetWord } from '../word';

function nearest(scene: Scene, me: number, among: readonly number[], accept: (d: number) => boolean): number {
  const away = (d: number): number => Math.abs(scene.defenders[d]!.x - scene.men[me]!.x);
  let best = NOBODY;
  for (const d of among) if ((best === NOBODY || away(d) < away(best)) && accept(d)) best = d;
  return best;
}

export const nearestFreeMan: TargetWord = {
  says: ['the nearest free man'],
  help: 'Whoever in the box nobody has, nearest to me; a man on the line before a linebacker.',
  find: () => ({
    claim: 'free', every: false,
    seek: (scene, me, accept) => {
      const onLine = nearest(scene, me, scene.first, accept);
      return onLine === NOBODY ? nearest(scene, me, scene.linebackers, accept) : onLine;
    },
  }),
};
