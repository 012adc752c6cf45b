import type { Difference } from '@inch-tower/core';
import { countWords } from './format';

/** More marks than that are only counted. */
const MOST_MARKS = 4;

/** What a change would do, in one line: `Fell 37 in, Fell 62 out, F3 moves`; empty where hands have nothing to do. */
export function differenceWords({ added, gone, moved, loose, changed, undone }: Difference): string {
  const parts = (list: Difference['added'], way: string) =>
    list.map(({ name, count }) => `${count > 1 ? `${count} × ` : ''}${name} ${way}`);
  const marks = (list: readonly string[], one: string, many: string) =>
    list.length === 0
      ? []
      : [
          `${list.length > MOST_MARKS ? countWords(list.length, 'part') : list.join(', ')} ` +
            `${list.length === 1 ? one : many}`,
        ];
  return first(
    [
      ...changed,
      ...undone.map((title) => `taken back: ${lower(title)}`),
      ...parts(added, 'in'),
      ...parts(gone, 'out'),
      ...marks(moved, 'moves', 'move'),
      ...marks(loose, 'without a place', 'without a place'),
    ].join(', '),
  );
}
const first = (words: string) => words.charAt(0).toUpperCase() + words.slice(1);
const lower = (words: string) => words.charAt(0).toLowerCase() + words.slice(1);
