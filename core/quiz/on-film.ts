import type { BookSnap } from '../grade/book/lines';
import type { AssignmentMark, Grade, TechniqueMark } from '../model/grade';
import type { QuizItem } from '../model/quiz';
import type { Rated } from './rank';

/** How he marks his own block. */
export interface OwnMark {
  readonly assignment: Extract<AssignmentMark, 'right' | 'wrong'>;
  readonly technique: Extract<TechniqueMark, 'plus' | 'minus'>;
}

/** His marked snaps that can be asked on film, what went wrong first, then the newest: he had somebody, and his coach could tell. */
export function filmSnaps(snaps: readonly BookSnap[]): BookSnap[] {
  const missed = ({ grade }: BookSnap): number =>
    Number(grade.assignment === 'wrong') * 2 + Number(grade.technique === 'minus');
  return snaps
    .filter(
      ({ grade, asked }) =>
        grade.counts && asked.target !== null && (grade.assignment === 'right' || grade.assignment === 'wrong'),
    )
    .sort((a, b) => missed(b) - missed(a) || b.week - a.week || a.number - b.number);
}

/** Did he mark himself as his coach had? A technique his coach could not tell is agreed with whatever he says. */
export const sameAs = (
  own: OwnMark,
  coach: Pick<Grade, 'assignment' | 'technique'>,
): { assignment: boolean; technique: boolean } => ({
  assignment: own.assignment === coach.assignment,
  technique: coach.technique === 'cannot tell' || own.technique === coach.technique,
});

/** How a man did on film at what an item asks: the right man, of the snaps where his coach could tell. */
export const onFilmAt =
  (snaps: readonly BookSnap[]) =>
  ({ scheme, side, frontName, seat }: QuizItem): Rated => {
    const his = filmSnaps(snaps).filter(
      (s) => s.scheme === scheme && s.side === side && s.front === frontName && s.blocker === seat,
    );
    return { good: his.filter((s) => s.grade.assignment === 'right').length, of: his.length };
  };
