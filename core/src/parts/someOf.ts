import { z } from 'zod';
import type { NonEmpty } from '../lists';

/** A list of at least one, and of at most so many; its type says that it has a first. */
export const someOf = <T extends z.ZodType>(one: T, most?: number) => {
  const list = z.array(one).min(1);
  return (most === undefined ? list : list.max(most)) as unknown as z.ZodType<
    NonEmpty<z.infer<T>>,
    NonEmpty<z.input<T>>
  >;
};
