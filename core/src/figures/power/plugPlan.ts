import { printSpot, type Wire } from '../../build/layout';
import { boxesOf, type Box } from '../boxes';
import type { FigureContext } from '../context';
import { suppliesIn } from './feeds';
import { turnsOf } from './turns';
import { startAmps } from './chainStart';
import { hindrances } from './stagger';
import { boxOf, seatsOf } from '../../machine/hosts';
import { ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
import { memoWeak } from '../../memoLast';
import { converterInputs, hubInputs, plugInputs, type PlugInput } from '../../needs/plugInputs';
import { AT_START, mostW, type End } from '../../needs/plugLoads';
import { isNonEmpty, type ReadonlyNonEmpty } from '../../lists';
import { factOf, type PartOf } from '../../parts/resolve';
import type { PlugKind } from '../../parts/vocabulary';
import { boardsIn, chainsOf, dropV, type Chain } from '../../plugs/chains';
import { eachInput, wantsOf, type Input } from '../../plugs/inputs';
import { placePlugs, type Amps, type Bin, type Placed, type Splitter, type Want } from '../../plugs/place';

/** A plug of a cable and what is on it: nothing, an input (two on a plug that parts), or a splitter with its own. */
type PlugPlace = {
  readonly plug: PlugKind;
  readonly on: readonly PlacedInput[];
  readonly splitter: { readonly unit: PlannedUnit; readonly on: readonly PlacedInput[] } | null;
};
export type PlacedInput = {
  readonly input: Input;
  readonly how: Wire['how'];
  /** At the worst moment of its cable's start, and at work, A. */ readonly start: Amps;
  readonly run: Amps;
};
export type ChainPlan = {
  readonly chain: Chain;
  readonly plugs: readonly PlugPlace[];
  /** Likely A on it at the worst moment of the start by the policy, and at work. */
  readonly start: Amps;
  readonly run: Amps;
  /** Drives behind it, by their shares. */ readonly drives: number;
  /** Lost on the way to its last plug in use, as a share of the rail that loses more; null where no length is known. */
  readonly drop: { readonly start: number; readonly run: number } | null;
};
type Supplies = ReadonlyNonEmpty<UnitOf<'supply'>>;
/** Which plug of which cable feeds what in a box. */
export type PlugPlan = {
  readonly box: Box;
  /** The supplies of the box, one at least. */ readonly supplies: Supplies;
  readonly chains: readonly ChainPlan[];
  readonly without: readonly Input[];
  readonly spareSplitters: readonly PlannedUnit[];
  /** Whether it is proven that no other way is better. */
  readonly whole: boolean;
};

/** All that the placing of a box's plugs is asked with. */
export type PlugCase = {
  readonly box: Box;
  readonly supplies: Supplies;
  readonly wanted: readonly PlugInput[];
  readonly inputs: readonly Input[];
  readonly chains: readonly Chain[];
  readonly splitters: readonly UnitOf<'powerAdapter'>[];
  /** Drives that may start at one moment: all where one that cannot wait leaves it open which do. */
  readonly atOnce: number;
};

/** What plugs are placed from. */
export type Plugged = Pick<FigureContext, 'units' | 'layout' | 'running' | 'policy'>;

/** One case for each box that has a supply; adapters of the kit are the first one's. */
export const plugCases = memoWeak((context: Plugged): readonly PlugCase[] => {
  const { units, layout, policy } = context;
  const seats = seatsOf(layout);
  return boxesOf(context).flatMap((box, i): PlugCase[] => {
    const supplies = [...suppliesIn(context, box)];
    if (!isNonEmpty(supplies)) return [];
    const within = (unit: PlannedUnit) => boxOf(unit.id, seats, units) === box;
    const wanted = [
      ...plugInputs(units, layout, within),
      ...converterInputs(supplies),
      ...(i === 0 ? hubInputs(units, layout) : []),
    ];
    return [
      {
        box,
        supplies,
        wanted,
        inputs: eachInput(wanted, context),
        chains: chainsOf(supplies, boardsIn(units, within)),
        splitters: i === 0 ? ofKind(units, 'powerAdapter') : [],
        atOnce: policy.spinUp.kind !== 'waves' || hindrances(context).length > 0 ? Infinity : policy.spinUp.drives,
      },
    ];
  });
});

/** The end of a typical rating that goes with an end of what is drawn. */
const KINDER = { lo: 'hi', value: 'value', hi: 'lo' } as const;

/** An adapter as plugs are placed with it, by the end of its rating that goes with that of what is drawn. */
export const splitterOf = (part: PartOf<'powerAdapter'>, end: End): Splitter => ({
  takes: part.takes,
  gives: Object.fromEntries(part.gives.map(({ plug, count }) => [plug, count])),
  ratedA: factOf(part, 'ratedA')[KINDER[end]],
});

/**
 * Places the plugs of a box by one end of what its parts take. What is certain is held to a quarter more at the start,
 * which is over within seconds; what is likely to the plain limit. With `splitters` others than those of the kit are
 * used, `times` is what a cable may carry of its limit while drives start.
 */
export function placeCase(
  one: PlugCase,
  end: End,
  wires: readonly Wire[],
  splitters: readonly Splitter[] = one.splitters.map(({ part }) => splitterOf(part, end)),
  times = timesAt(end),
): Dealt {
  const asked = { ...questionOf(one, end, wires, times), splitters };
  return { ...asked, placed: placedOnce(asked.wants, asked.bins, splitters) };
}

const timesAt = (end: End): number => (end === 'value' ? 1 : AT_START);

/** What is to be placed, and where it can go. */
export function questionOf(
  { inputs, chains, atOnce }: PlugCase,
  end: End,
  wires: readonly Wire[],
  times = timesAt(end),
): Pick<Dealt, 'wants' | 'bins'> {
  const at = new Map(chains.map(({ host }, i) => [printSpot(host), i]));
  const wishes = new Map(
    wires.flatMap(({ host, device, how }) => {
      const chain = at.get(printSpot(host[0]));
      return chain === undefined ? [] : [[printSpot(device[0]), { chain, how }] as const];
    }),
  );
  const bins = chains.map(({ plugs, wireA }): Bin => ({
    plugs: countsOf(plugs),
    startA: wireA * times,
    runA: wireA,
  }));
  return { wants: wantsOf(inputs, end, atOnce === Infinity, wishes), bins };
}

/** Inputs as they were dealt, with the limits they were held to. */
export type Dealt = {
  readonly wants: readonly Want[];
  readonly bins: readonly Bin[];
  readonly splitters: readonly Splitter[];
  readonly placed: Placed;
};

const dealt = new Map<string, Placed>();
const MOST_KEPT = 64;
/** Parts tried in turn mostly ask the same of the same cables. */
function placedOnce(...asked: Parameters<typeof placePlugs>): Placed {
  const key = JSON.stringify(asked);
  let known = dealt.get(key);
  if (!known) {
    if (dealt.size >= MOST_KEPT) dealt.clear();
    dealt.set(key, (known = placePlugs(...asked)));
  }
  return known;
}

const countsOf = (plugs: readonly PlugKind[]): Partial<Record<PlugKind, number>> => {
  const counts: Partial<Record<PlugKind, number>> = {};
  for (const plug of plugs) counts[plug] = (counts[plug] ?? 0) + 1;
  return counts;
};

/** The plugs of every box that has a supply, placed for what is likely. */
export const plugPlans = memoWeak((context: FigureContext): readonly PlugPlan[] =>
  plugCases(context).map((one) => planOf(context, one)),
);

function planOf(context: FigureContext, one: PlugCase): PlugPlan {
  const wires = context.layout.plugs;
  const { placed } = placeCase(one, 'value', wires);
  const howOf = new Map(
    wires.map(({ device, host, how }) => [printSpot(device[0]), { host: printSpot(host[0]), how }]),
  );
  const turns = new Map(turnsOf(context, one.box).map(({ drive, turnS }) => [drive.id, turnS]));
  const inputsOn = (is: (at: Placed['on'][number]) => boolean) => one.inputs.filter((_, i) => is(placed.on[i] ?? null));
  return {
    box: one.box,
    supplies: one.supplies,
    chains: one.chains.map((chain, c) => {
      const startA = startAmps(
        inputsOn((at) => at?.chain === c),
        turns,
      );
      const onHere = (splitter: number | null): PlacedInput[] =>
        inputsOn((at) => at?.chain === c && at.splitter === splitter).map((input) => {
          const wish = howOf.get(printSpot(input.spot));
          return {
            input,
            how: wish?.host === printSpot(chain.host) ? wish.how : 'solved',
            start: startA(input),
            run: atWork(input),
          };
        });
      const hung = one.splitters.flatMap((unit, s) =>
        placed.splitters[s] === c ? [{ unit, takes: unit.part.takes, on: onHere(s) }] : [],
      );
      return chainPlan(chain, onHere(null), hung);
    }),
    without: inputsOn((at) => at === null),
    spareSplitters: one.splitters.filter((_, s) => placed.splitters[s] === null),
    whole: placed.whole,
  };
}

type Hung = { readonly unit: PlannedUnit; readonly takes: PlugKind; readonly on: readonly PlacedInput[] };

/** Splitters nearest to the supply, as they carry most, then the inputs in the order things stand in. */
function chainPlan(chain: Chain, direct: readonly PlacedInput[], hung: readonly Hung[]): ChainPlan {
  const plugs = chain.plugs.map((plug): { plug: PlugKind; on: PlacedInput[]; splitter: PlugPlace['splitter'] } => ({
    plug,
    on: [],
    splitter: null,
  }));
  const freeFor = (want: PlugKind) =>
    plugs.find(({ plug, on, splitter }) => plug === want && on.length === 0 && !splitter) ??
    plugs.find(
      ({ plug, on, splitter }) =>
        !splitter &&
        ((want === '6-pin-card' && plug === '8-pin-card' && on.length === 0) ||
          (want === '4-pin-cpu' && plug === '8-pin-cpu' && on.length < 2 && on.every((one) => plugOf(one) === want))),
    );
  for (const { unit, takes, on } of hung) {
    const place = freeFor(takes);
    if (place) place.splitter = { unit, on };
  }
  // An input of eight pins goes before two halves take its plug.
  for (const one of [...direct].sort((a, b) => Number(isPart(a)) - Number(isPart(b))))
    freeFor(plugOf(one))?.on.push(one);
  const loads = plugs.map(({ on, splitter }) => [...on, ...(splitter?.on ?? [])]);
  const last = loads.findLastIndex((on) => on.length > 0);
  const along = (when: 'start' | 'run') => loads.slice(0, last + 1).map((on) => sumOf(on, when));
  const all = loads.flat();
  const share = (when: 'start' | 'run') => {
    const { v12, v5 } = dropV(chain.wire!, along(when));
    return Math.max(v12 / 12, v5 / 5);
  };
  return {
    chain,
    plugs,
    start: sumOf(all, 'start'),
    run: sumOf(all, 'run'),
    drives: all.reduce((sum, { input: { input, share: part } }) => sum + part * input.drives.length, 0),
    drop: chain.wire && { start: share('start'), run: share('run') },
  };
}

const plugOf = ({ input }: PlacedInput): PlugKind => input.input.plug;
const isPart = (one: PlacedInput): boolean => plugOf(one) === '4-pin-cpu' || plugOf(one) === '6-pin-card';
const sumOf = (list: readonly PlacedInput[], when: 'start' | 'run'): Amps => ({
  a12: list.reduce((sum, one) => sum + one[when].a12, 0),
  a5: list.reduce((sum, one) => sum + one[when].a5, 0),
});

/** Likely A of an input at work: its drives busy, a processor or card at its most. */
function atWork({ input, share }: Input): Amps {
  const ownA = input.feeds.reduce((sum, { part }) => sum + mostW(part, 'value') / 12, 0);
  return {
    a12: share * (ownA + input.drives.reduce((sum, { part }) => sum + part.busy12A, 0)),
    a5: share * input.drives.reduce((sum, { part }) => sum + part.busy5A, 0),
  };
}
