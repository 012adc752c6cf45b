import type { Build } from '../build/build';

/** Bytes (IEC 80000-13). */
export const TERABYTE = 1e12;

export type PoolSet = Build['pool']['sets'][number];
export type SetLayout = PoolSet['layout'];

type Kind = 'single' | 'stripe' | 'mirror' | 'parity' | 'dedicated';
/** `spare`: drives of a set, or of each group of a mirror, that may fail; `least`: drives a set must have. */
export type LayoutFacts = {
  readonly words: string;
  readonly kind: Kind;
  readonly spare: number;
  readonly least: number;
};

export const LAYOUTS: Readonly<Record<SetLayout, LayoutFacts>> = {
  single: { words: 'each by itself', kind: 'single', spare: 0, least: 1 },
  stripe: { words: 'stripe', kind: 'stripe', spare: 0, least: 2 },
  mirror2: { words: 'mirror of two', kind: 'mirror', spare: 1, least: 2 },
  mirror3: { words: 'mirror of three', kind: 'mirror', spare: 2, least: 3 },
  parity1: { words: 'single parity', kind: 'parity', spare: 1, least: 3 },
  parity2: { words: 'double parity', kind: 'parity', spare: 2, least: 4 },
  parity3: { words: 'triple parity', kind: 'parity', spare: 3, least: 5 },
  dedicated1: { words: 'one drive for parity', kind: 'dedicated', spare: 1, least: 2 },
  dedicated2: { words: 'two drives for parity', kind: 'dedicated', spare: 2, least: 3 },
};

/** What drives of a set hold, in bytes: data, what makes failures survivable, and what no layout of them can use. */
export type SetBytes = { readonly data: number; readonly redundancy: number; readonly wasted: number };

const sumOf = (values: readonly number[]): number => values.reduce((sum, one) => sum + one, 0);

/** Bytes of each drive of a set, in the order of its members: partners of a mirror stand one after the other. */
export function bytesIn(layout: SetLayout, capacities: readonly number[]): SetBytes {
  const { kind, spare, least } = LAYOUTS[layout];
  const all = sumOf(capacities);
  if (capacities.length < least) return { data: 0, redundancy: 0, wasted: all };
  const given = (data: number, redundancy: number): SetBytes => ({ data, redundancy, wasted: all - data - redundancy });
  if (kind === 'single') return given(all, 0);
  if (kind === 'mirror') {
    const data = sumOf(groupsOf(capacities, spare + 1).map((group) => Math.min(...group)));
    return given(data, spare * data);
  }
  if (kind === 'dedicated') {
    // The largest drives keep the parity: every other may then be used whole.
    const sorted = [...capacities].sort((a, b) => b - a);
    const rest = sorted.slice(spare);
    return given(sumOf(rest), spare * (rest[0] ?? 0));
  }
  const smallest = Math.min(...capacities);
  return given((capacities.length - spare) * smallest, spare * smallest);
}

/** Whole groups of so many in a row; what is left over belongs to none. */
export const groupsOf = <T>(list: readonly T[], size: number): readonly (readonly T[])[] =>
  Array.from({ length: Math.floor(list.length / size) }, (_, i) => list.slice(i * size, (i + 1) * size));

/** Failures a set survives whichever drives they are, and at the best, each of its groups losing what it may. */
export function survives(layout: SetLayout, drives: number): { readonly any: number; readonly lucky: number } {
  const { kind, spare, least } = LAYOUTS[layout];
  if (drives < least) return { any: 0, lucky: 0 };
  const groups = kind === 'mirror' ? Math.floor(drives / (spare + 1)) : 1;
  return { any: spare, lucky: spare * groups };
}

/**
 * The share of a parity set's data room that records leave usable: a record of d allocation units takes d plus p for
 * each row of n − p, rounded up to whole p + 1 (padding of allocation). 1 for layouts that do not pad.
 */
export function paddedShare(
  layout: SetLayout,
  drives: number,
  { recordBytes, allocationBytes }: { readonly recordBytes: number; readonly allocationBytes: number },
): number {
  const { kind, spare } = LAYOUTS[layout];
  if (kind !== 'parity' || drives <= spare) return 1;
  const d = Math.max(1, Math.ceil(recordBytes / allocationBytes));
  const width = drives - spare;
  const taken = Math.ceil((d + spare * Math.ceil(d / width)) / (spare + 1)) * (spare + 1);
  return Math.min(1, (d / taken) * (drives / width));
}
