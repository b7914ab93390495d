import { StorageSerializers, useLocalStorage } from '@vueuse/core';
import type { Ref } from 'vue';
import { NO_RATINGS, RatingsSchema, type Rating, type Ratings } from '#core/protect/matchups';

/** Ratings typed by hand, kept on this machine for one program; what is kept and cannot be read counts as nothing. */
export function useRatings(programId: number) {
  const kept: Ref<unknown> = useLocalStorage<unknown>(`violet-chalk-ratings-${programId}`, NO_RATINGS, {
    serializer: StorageSerializers.object,
  });
  const ratings = (): Ratings => {
    const read = RatingsSchema.safeParse(kept.value);
    return read.success ? read.data : NO_RATINGS;
  };
  /** Rates one man; `null` takes his rating away. */
  function rate(team: keyof Ratings, id: string, rating: Rating | null): void {
    const { [id]: _old, ...rest } = ratings()[team];
    kept.value = { ...ratings(), [team]: rating === null ? rest : { ...rest, [id]: rating } };
  }
  return { ratings, rate };
}
