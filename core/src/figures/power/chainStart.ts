import { groupedBy } from '../../lists';
import { memoWeak } from '../../memoLast';
import { mostW } from '../../needs/plugLoads';
import type { PartOf } from '../../parts/resolve';
import type { Input } from '../../plugs/inputs';
import type { Amps } from '../../plugs/place';
import type { PlugPlan } from './plugPlan';

type Drive = Input['input']['drives'][number];
/** A cable with what is on it all the while, A on 12 V, and its drives, each by the share of its current it carries. */
type Loaded = {
  readonly wireA: number;
  readonly rest12A: number;
  readonly drives: readonly { readonly drive: Drive; readonly share: number }[];
};
type Starting = { readonly part: PartOf<'drive'>; readonly turnS: number; share: number };

const restOf12A = ({ input, share }: Input): number =>
  share * input.feeds.reduce((sum, { part }) => sum + mostW(part, 'value') / 12, 0);

const loadedChains = memoWeak(({ chains }: PlugPlan): readonly Loaded[] =>
  chains.flatMap(({ chain, plugs }): Loaded[] => {
    const inputs = plugs.flatMap(({ on, splitter }) => [...on, ...(splitter?.on ?? [])].map(({ input }) => input));
    if (inputs.length === 0) return [];
    const shares = new Map<Drive, number>();
    for (const { input, share } of inputs)
      for (const drive of input.drives) shares.set(drive, (shares.get(drive) ?? 0) + share);
    return [
      {
        wireA: chain.wireA,
        rest12A: inputs.reduce((sum, input) => sum + restOf12A(input), 0),
        drives: [...shares].map(([drive, share]) => ({ drive, share })),
      },
    ];
  }),
);

/** Whether every cable of a plan carries what starts on it when its drives have other turns, by likely values. */
export const chainsHold = (plan: PlugPlan, turns: ReadonlyMap<string, number>): boolean =>
  loadedChains(plan).every(({ wireA, rest12A, drives }) => {
    const all: Starting[] = [];
    for (const { drive, share } of drives) {
      const turnS = turns.get(drive.id) ?? 0;
      const known = all.findLast((one) => one.turnS === turnS && one.part === drive.part);
      if (known) known.share += share;
      else all.push({ part: drive.part, turnS, share });
    }
    return momentsOf(all).every((second) => {
      let [a12, a5] = [rest12A, 0];
      for (const one of all) {
        const amps = ampsAt(one, second);
        a12 += one.share * amps.a12;
        a5 += one.share * amps.a5;
      }
      return Math.max(a12, a5) <= wireA + 1e-6;
    });
  });

/** What each of some inputs of one cable takes at the moment of its start at which its rails carry most together. */
export function startAmps(inputs: readonly Input[], turns: ReadonlyMap<string, number>): (input: Input) => Amps {
  // Inputs of one backplane feed the same drives, and like drives of one turn start alike.
  const classes = new Map<Input['input']['drives'], readonly Starting[]>();
  const classesOf = ({ input: { drives } }: Input): readonly Starting[] => {
    let known = classes.get(drives);
    if (!known) {
      const byTurn = groupedBy(drives, ({ id, part }) => `${part.id}|${turns.get(id) ?? 0}`);
      const all = [...byTurn.values()];
      known = all.map((own) => ({ part: own[0].part, turnS: turns.get(own[0].id) ?? 0, share: own.length }));
      classes.set(drives, known);
    }
    return known;
  };
  const at = (second: number, one: Input): Amps => {
    const amps = { a12: restOf12A(one), a5: 0 };
    for (const own of classesOf(one)) {
      const each = ampsAt(own, second);
      amps.a12 += one.share * own.share * each.a12;
      amps.a5 += one.share * own.share * each.a5;
    }
    return amps;
  };
  let [worst, most] = [0, -1];
  for (const second of momentsOf(inputs.flatMap(classesOf))) {
    let [a12, a5] = [0, 0];
    for (const one of inputs) {
      const amps = at(second, one);
      a12 += amps.a12;
      a5 += amps.a5;
    }
    if (Math.max(a12, a5) > most) [worst, most] = [second, Math.max(a12, a5)];
  }
  return (one) => at(worst, one);
}

/** Moments at which something changes, the first of all among them. */
function momentsOf(all: readonly Starting[]): readonly number[] {
  const moments = new Set([0]);
  for (const { part, turnS } of all)
    for (const { atS, forS } of part.spinUp) moments.add(turnS + atS).add(turnS + atS + forS);
  return [...moments];
}

/** Likely A of one drive at a second: of its step; before its turn it waits, past it, or with no start, it turns. */
function ampsAt({ part, turnS }: Starting, second: number): Amps {
  const since = second - turnS;
  const step = part.spinUp.find(({ atS, forS }) => since >= atS && since < atS + forS);
  if (step) return step;
  return part.spinUp.length === 0 || since > 0 ? { a12: part.idle12A, a5: part.idle5A } : NOTHING;
}
const NOTHING: Amps = { a12: 0, a5: 0 };
