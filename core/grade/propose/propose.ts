import { BLOCKS, type BlockId } from '../../vocabulary/index';
import { SHIPPED_SETTINGS } from '../../model/settings';
import type { Outcome } from '../../model/grade';
import type { Assignment } from '../../model/resolution';
import type { Proposal } from '../../model/proposal';
import type { Track } from '../../film/follow/follow';
import { displacementMeasure } from '../../film/measures/contact';
import { isTelling, type PlayOnFilm } from '../../film/measures/measure';
import { tellAssignment } from './assignment';
import { costOf } from './cost';
import { FAULT_SIGNS } from './fault-signs';
import { hadBy } from './had';

/** Whom a man has is looked at until then, seconds from the snap: by then a run is through and a throw nearly gone. */
const UNTIL = 2.8;

/** What the film makes of every block that was asked, in the order of the men; `standard`: yards of a good run. Nothing of it is a grade. */
export function propose(play: PlayOnFilm, standard = SHIPPED_SETTINGS.standardYards): Proposal[] {
  return play.assignments.flatMap((asked) => {
    const man = play.tracks.find((t) => t.team === 'offence' && t.id === asked.blocker);
    return man ? [proposeFor(play, asked, man, standard)] : [];
  });
}

function proposeFor(play: PlayOnFilm, asked: Assignment, man: Track, standard: number): Proposal {
  const had = hadBy(play, asked.blocker, UNTIL);
  const { mark, sure, why } = tellAssignment(play, asked, man, had);
  const signs = FAULT_SIGNS.flatMap(({ fault, of }) => {
    const sign = of({ play, man, asked, had });
    return sign ? [{ fault, ...sign }] : [];
  });
  const wrong = mark === 'wrong' ? [{ fault: 'wrong-man', sure, why }] : [];
  return {
    blocker: asked.blocker,
    had,
    assignment: mark,
    sure,
    why,
    outcome: outcomeOf(play, asked, man),
    cost: costOf(play, asked, standard),
    faults: [...wrong, ...signs].sort((a, b) => b.sure - a.sure),
  };
}

/** Moving a man is success where movement was asked; giving ground is none where he was to be held. */
function outcomeOf(play: PlayOnFilm, asked: Assignment, man: Track): Outcome | null {
  const course = BLOCKS[asked.block as BlockId]?.course;
  if (course !== 'straight') return null;
  const moved = displacementMeasure.of(play, man);
  if (!moved || !isTelling(moved)) return null;
  return moved.value > 0 ? 'success' : 'not';
}
