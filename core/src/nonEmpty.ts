/** A list that has a first. */
export type NonEmpty<T> = [T, ...T[]];
export type ReadonlyNonEmpty<T> = readonly [T, ...T[]];

/** Whether a list has a first. */
export const isNonEmpty = <T>(list: readonly T[]): list is NonEmpty<T> => list.length > 0;

/** As `map`; the answer has a first as the list has. */
export const mapNonEmpty = <T, U>([first, ...others]: ReadonlyNonEmpty<T>, f: (one: T) => U): NonEmpty<U> => [
  f(first),
  ...others.map((one) => f(one)),
];

/** A list by a key of its members, in the order they come. */
export function groupedBy<T, K>(list: Iterable<T>, keyOf: (one: T) => K): Map<K, NonEmpty<T>> {
  const groups = new Map<K, NonEmpty<T>>();
  for (const one of list) {
    const key = keyOf(one);
    const group = groups.get(key);
    if (group) group.push(one);
    else groups.set(key, [one]);
  }
  return groups;
}
