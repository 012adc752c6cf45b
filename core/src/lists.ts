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

/** A member that has to be there: a place that is not in the list is a fault of the program, told at once. */
export function memberAt<T extends object | null>(list: readonly T[], i: number): T {
  const one = list[i];
  if (one === undefined) throw new RangeError(`no member ${i} in a list of ${list.length}`);
  return one;
}

/** The same for numbers and texts: apart, since lists of both in one function are slow to read. */
export function plainAt<T extends number | string>(list: readonly T[], i: number): T {
  const one = list[i];
  if (one === undefined) throw new RangeError(`no value ${i} in a list of ${list.length}`);
  return one;
}

/** What a map has to know: a key it does not know is a fault of the program. */
export function valueFor<K, V>(map: ReadonlyMap<K, V>, key: K): V {
  const one = map.get(key);
  if (one === undefined) throw new RangeError(`nothing known of ${String(key)}`);
  return one;
}
