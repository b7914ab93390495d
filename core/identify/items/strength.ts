import type { Formation } from '../../model/formation';
import type { Identification } from '../../model/identification';
import type { Settings } from '../../model/settings';
import { sideOf, type Side } from '../../model/side';
import type { Picture } from '../before-the-snap';
import type { Found } from '../found';

/** Strength: the attached tight end; else the side with more receivers; else the play side, right when nothing is called. */
export function findStrength(
  picture: Picture,
  side: Side | null,
  settings: Settings,
): Found<Identification['strength']> {
  const because = (where: Side, sentence: string): Found<Identification['strength']> => ({
    side: where,
    why: () => sentence,
    overruled: false,
  });
  if (settings.strength !== 'tight-end' && settings.strengthSide) {
    return because(
      settings.strengthSide,
      settings.strength === 'field'
        ? `The wide side of the field is ${settings.strengthSide}.`
        : `Strength was called ${settings.strengthSide}.`,
    );
  }
  const tight = count(picture.formation, (kind) => kind === 'tight');
  if (tight.left !== tight.right) {
    const where = tight.right > tight.left ? 'right' : 'left';
    return because(where, `The attached tight end stands ${where}.`);
  }
  const receivers = count(
    picture.formation,
    (kind) => kind === 'tight' || kind === 'wing' || kind === 'slot' || kind === 'wide',
  );
  if (receivers.left !== receivers.right) {
    const where = receivers.right > receivers.left ? 'right' : 'left';
    return because(
      where,
      `More receivers stand ${where}: ${receivers[where]} against ${Math.min(receivers.left, receivers.right)}.`,
    );
  }
  return because(
    side ?? 'right',
    side
      ? `Both sides are alike, so the play side is the strength: ${side}.`
      : 'Both sides are alike and no play is called: right.',
  );
}

function count(
  formation: Formation,
  counts: (kind: Formation['men'][number]['kind']) => boolean,
): Record<Side, number> {
  const tally = { left: 0, right: 0 };
  for (const man of formation.men) {
    const side = sideOf(man.x);
    if (side && counts(man.kind)) tally[side]++;
  }
  return tally;
}
