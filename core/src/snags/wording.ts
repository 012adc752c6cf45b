import type { Facts, FindingOf, Gap } from './finding';

export const mm = (value: number) => `${round(value)} mm`;
export const round = (value: number) => (Number.isInteger(value) ? String(value) : value.toFixed(1));
export const n = (count: number, one: string, many = `${one}s`) => `${count} ${count === 1 ? one : many}`;
export const HOLES = { A: 'hole set A', B: 'hole set B', '2.5': 'the holes of 2.5-inch drives' } as const;
export const number = (value: number) => Math.round(value).toLocaleString('en-GB');
export const mbps = (value: number) => `${number(value)} MB/s`;
/** A value over a wish in words, with its range: beside a limit a bare number says too much. */
export const over = ({ gap }: { readonly gap: Gap }, of: (value: number) => string, wish: string) =>
  `${gap.gap < 0 ? ((gap.lo ?? gap.have) > gap.limit ? 'Over' : 'Probably over') : 'May be over'} ` +
  `the ${wish} ${of(gap.limit)}: ` +
  `${of(gap.have)}` +
  ((gap.lo ?? gap.have) === (gap.hi ?? gap.have)
    ? ''
    : `, could be ${of((gap.gap < 0 ? gap.lo : gap.hi) ?? gap.have)}`) +
  '.';
/** A rule's title, its sentence with the numbers in it, and why it matters. */
export type Words<T = Facts> = {
  readonly title: string;
  readonly what: (facts: FindingOf<T>['facts'], snag: FindingOf<T>) => string;
  readonly why: string;
  /** Why it is worth knowing where it is no more than a note. */
  readonly whyNote?: string;
};
/** Words of every code of a family, from the facts each of them has. */
export type WordsOf<Family> = { readonly [C in keyof Family]: Words<Family[C]> };
