/** Keeps the last answer of a pure function and gives it again while every argument is the same object. */
export function memoLast<A extends readonly unknown[], R>(f: (...args: A) => R): (...args: A) => R {
  let last: { args: A; result: R } | null = null;
  return (...args) => {
    if (last && last.args.length === args.length && last.args.every((arg, i) => Object.is(arg, args[i])))
      return last.result;
    const result = f(...args);
    last = { args, result };
    return result;
  };
}

/** Keeps the answer about each object for as long as that lives: answers about two do not evict each other. */
export function memoWeak<A extends object, R>(f: (a: A) => R): (a: A) => R {
  const kept = new WeakMap<A, { readonly result: R }>();
  return (a) => {
    let known = kept.get(a);
    if (!known) kept.set(a, (known = { result: f(a) }));
    return known.result;
  };
}

/** Keeps, for as long as the first argument lives, the answer for the last second argument it was asked with. */
export function memoPair<A extends object, B, R>(f: (a: A, b: B) => R): (a: A, b: B) => R {
  const kept = new WeakMap<A, { readonly b: B; readonly result: R }>();
  return (a, b) => {
    const known = kept.get(a);
    if (known && known.b === b) return known.result;
    const result = f(a, b);
    kept.set(a, { b, result });
    return result;
  };
}

/**
 * The last few answers, found again by a likeness of what was asked: parts tried in turn are mostly of a few shapes.
 */
export function fewLast<K, R>(
  alike: (one: K, other: K) => boolean,
  most = 8,
): {
  readonly find: (key: K) => { readonly key: K; readonly result: R } | undefined;
  readonly keep: (key: K, result: R) => void;
} {
  const kept: { readonly key: K; readonly result: R }[] = [];
  return {
    find: (key) => kept.find((one) => alike(one.key, key)),
    keep: (key, result) => {
      kept.unshift({ key, result });
      kept.length = Math.min(kept.length, most);
    },
  };
}
