import { PLUG_A } from '../../needs/plugLoads';
import type { Chain } from '../../plugs/chains';
import type { Amps, Want } from '../../plugs/place';
import type { Dealt, PlugCase } from './plugPlan';

/** More than may be on a cable or a splitter, in the way plugs were dealt: on which rail, and of how many drives. */
type Over = {
  readonly rail: '12 V' | '5 V';
  readonly hasA: number;
  readonly carriesA: number;
  readonly drives: number;
  readonly atStart: boolean;
};
export type CableOver = Over & { readonly chain: Chain };
type Worst<T> = { readonly worst: T; readonly count: number };

const WHEN = ['run', 'start'] as const;
const RAILS = ['a12', 'a5'] as const;
/** A below which nothing is past a limit: what adding up leaves. */
const NOTHING_A = 1e-6;

/** What those inputs of a case that are somewhere put past what is carried there; null where all is within. */
function overAt(
  { inputs }: PlugCase,
  { wants, placed }: Dealt,
  is: (at: NonNullable<Dealt['placed']['on'][number]>) => boolean,
  carries: Readonly<Record<(typeof WHEN)[number], number>>,
): Over | null {
  const isHere = (_: unknown, w: number) => {
    const at = placed.on[w];
    return at !== null && at !== undefined && is(at);
  };
  const own = wants.filter(isHere);
  const all = WHEN.flatMap((when) =>
    RAILS.map((rail) => ({ when, rail, hasA: sumOf(own, when, rail), carriesA: carries[when] })),
  );
  const over = all.reduce((most, one) => (past(one) > past(most) + 1e-9 ? one : most));
  if (past(over) <= NOTHING_A) return null;
  const drives = inputs.filter(isHere).reduce((sum, { input, share }) => sum + share * input.drives.length, 0);
  return {
    rail: over.rail === 'a12' ? '12 V' : '5 V',
    hasA: over.hasA,
    carriesA: over.carriesA,
    drives,
    atStart: over.when === 'start',
  };
}

const past = ({ hasA, carriesA }: Pick<Over, 'hasA' | 'carriesA'>): number => hasA - carriesA;
const sumOf = (wants: readonly Want[], when: 'start' | 'run', rail: keyof Amps): number =>
  wants.reduce((sum, want) => sum + want[when][rail], 0);
const worstOf = <T extends Over>(all: readonly T[]): Worst<T> | null =>
  all.length === 0
    ? null
    : { worst: all.reduce((most, one) => (past(one) > past(most) ? one : most)), count: all.length };

/** The cable that is most past its limit of those asked for, and how many are; null where all are within. */
export const worstCable = (
  one: PlugCase,
  dealt: Dealt,
  isAsked: (chain: number) => boolean = () => true,
): Worst<CableOver> | null =>
  worstOf(
    one.chains.flatMap((chain, c) => {
      if (!isAsked(c)) return [];
      const { startA, runA } = dealt.bins[c]!;
      const over = overAt(one, dealt, (at) => at.chain === c, { start: startA, run: runA });
      return over ? [{ ...over, chain }] : [];
    }),
  );

/** The splitter that is most past what it and its plug carry; null where all are within. */
export const worstSplitter = (one: PlugCase, dealt: Dealt): Worst<Over> | null =>
  worstOf(
    dealt.splitters.flatMap(({ ratedA, takes }, s) => {
      const carriesA = Math.min(ratedA, PLUG_A[takes] ?? Infinity);
      const over = overAt(one, dealt, (at) => at.splitter === s, { start: carriesA, run: carriesA });
      return over ? [over] : [];
    }),
  );

/** Whether what is plugged in takes more on a rail than all cables it could hang on carry together. */
export function isPastAllCables({ wants, bins, placed }: Dealt): boolean {
  const own = wants.filter((_, w) => placed.on[w]);
  const plugs = new Set(own.map(({ plug }) => plug));
  const able = bins.filter((bin) => [...plugs].some((plug) => (bin.plugs[plug] ?? 0) > 0));
  return WHEN.some((when) => {
    const carriesA = able.reduce((sum, bin) => sum + (when === 'start' ? bin.startA : bin.runA), 0);
    return RAILS.some((rail) => sumOf(own, when, rail) > carriesA);
  });
}
