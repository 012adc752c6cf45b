/** What opens by a press is fetched once the page is at rest: it is there when it is pressed, connected or not. */
const AFTER_MS = 1500;

/** A piece of the page that loads apart: `soon` fetches it in a while, `get` now; one that failed is asked again. */
export function fetchedSoon<T>(load: () => Promise<T>): {
  readonly get: () => Promise<T>;
  readonly soon: () => () => void;
} {
  let known: Promise<T> | null = null;
  const get = (): Promise<T> => {
    known ??= load().catch((fault: unknown) => {
      known = null;
      throw fault;
    });
    return known;
  };
  const soon = () => {
    const timer = setTimeout(() => void get().catch(() => undefined), AFTER_MS);
    return () => clearTimeout(timer);
  };
  return { get, soon };
}
