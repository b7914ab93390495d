import type { Identification } from '../../model/identification';
import { saidOf } from '../../identify/found';
import { NOBODY, type Scene } from '../../vocabulary/scene';
import { declare } from '../../vocabulary/threats';
import type { SeatedCall } from '../prepare/seat-call';

/** Whom the centre names as the Mike: the declared linebacker of a protection that counts from him, else the Mike of the strength. */
export function mikeOf({ declares }: Pick<SeatedCall, 'declares'>, scene: Scene): Identification['mike'] {
  if (!declares) return saidOf<Identification['mike']>(scene.facts.mike());
  const { who, why } = declare(scene);
  return {
    id: who === NOBODY ? null : scene.defenders[who]!.id,
    overruled: scene.facts.mike().overruled,
    because: why(scene),
  };
}
