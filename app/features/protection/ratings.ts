import { NO_RATINGS, type Rating, type Ratings } from '#core/model/ratings';
import { usePlaybook } from '~/features/playbook/store';

/** Ratings typed by hand, kept with the program; the staff sees the same ones on every machine. */
export function useRatings() {
  const playbook = usePlaybook();
  const ratings = (): Ratings => playbook.program.ratings ?? NO_RATINGS;
  /** Rates one man; `null` takes his rating away. Rejects with the server's sentence when it is not kept. */
  async function rate(team: keyof Ratings, id: string, rating: Rating | null): Promise<void> {
    const { [id]: _old, ...rest } = ratings()[team];
    const changed = { ...ratings(), [team]: rating === null ? rest : { ...rest, [id]: rating } };
    await playbook.changeProgram({ ratings: changed });
  }
  return { ratings, rate };
}
