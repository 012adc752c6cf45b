import { memberAt, valueFor } from '../lists';
import { memoWeak } from '../memoLast';
import { factOf, type Part, type PartOf } from '../parts/resolve';
import type { PlugKind } from '../parts/vocabulary';
import type { PlugInput } from './plugInputs';

/** Splitters are made for these alone; a board's or a card's own input wants a plug of its own. */
const SPLITTABLE: ReadonlySet<PlugKind> = new Set(['sata-power', 'peripheral']);
export const isSplittable = (plug: PlugKind): boolean => SPLITTABLE.has(plug);

/** One supply, or several of a box, by the cables they have. */
export type Cabled = Pick<PartOf<'supply'>, 'cables'>;
/** Plugs of a kind on all cables of a supply. */
export const plugsOn = ({ cables }: Cabled, plug: string): number =>
  cables.reduce(
    (sum, cable) => sum + cable.count * cable.plugs.reduce((all, one) => all + (one.plug === plug ? one.count : 0), 0),
    0,
  );

/** Good practice: so many spinning disks on a cable that has a splitter in it. */
const MOST_DISKS = 4;
/** What a plug carries a rail, A: three 1.5 A pins (SATA 3.x), or one 4-pin contact. */
export const PLUG_A: Partial<Record<PlugKind, number>> = { 'sata-power': 4.5, peripheral: 8 };
/** What a cable carries on a rail, A: one conductor by its gauge (AWG), and no more than the pin at the supply. */
export const wireA = (gaugeAwg: number): number =>
  Math.min(8, gaugeAwg <= 16 ? 13 : gaugeAwg <= 18 ? 9 : gaugeAwg <= 20 ? 6 : 3);
const VOLTS = 12;
/** A start is over within seconds: so much more of it is a caution and blocks nothing. */
export const AT_START = 1.25;

/** What hangs on one plug: spinning disks, and A on 12 V at their start and on 5 V. */
export type PlugLoad = {
  readonly plug: PlugKind;
  readonly disks: number;
  readonly a12: number;
  readonly a5: number;
  /** What hangs by a splitter: its cable has to keep its limits. */ readonly isSplit: boolean;
};
type Chain = {
  readonly free: Map<PlugKind, number>;
  readonly plugsA: number;
  readonly wireA: number;
  disks: number;
  a12: number;
  a5: number;
  isSplit: boolean;
};
/** Which end of the range of what a drive takes is counted, or what is likely. */
export type End = 'lo' | 'value' | 'hi';

/**
 * Whether some way of hanging these inputs on splitters keeps within plugs, wires and disks a cable, taking what the
 * drives draw at its low end: where there is none, a shortage of plugs cannot be cured by splitters.
 */
export function canBeSplit(inputs: readonly PlugInput[], supply: Cabled, plug: PlugKind): boolean {
  const chains = chainsOf(supply);
  const reachable = (load: PlugLoad, chain: Chain) =>
    chain.free.has(load.plug) || (load.plug === 'sata-power' && chain.free.has('peripheral'));
  return heaviestFirst(loadsOf(inputs, 'lo').filter((load) => isSplittable(load.plug))).every((load) => {
    const direct = chains.filter(
      (chain) => (chain.free.get(load.plug) ?? 0) > 0 && (!chain.isSplit || holds(chain, load, AT_START)),
    );
    const on = leastLoaded(direct.filter((chain) => holds(chain, load, AT_START))) ?? leastLoaded(direct);
    if (on) return hang(on, load, true);
    const split = leastLoaded(chains.filter((chain) => reachable(load, chain) && holds(chain, load, AT_START)));
    return split ? hang(split, { ...load, isSplit: true }, false) : load.plug !== plug;
  });
}

/**
 * Whether these adapters carry what would hang on them, dealt out as evenly as it goes: the adapter its rated A, its
 * plug and its cable theirs, and no more than four spinning disks a cable; the drives at their high end.
 */
export function adaptersHold(
  inputs: readonly PlugInput[],
  supply: Cabled,
  adapters: readonly PartOf<'powerAdapter'>[],
): boolean {
  const loads = heaviestFirst(loadsOf(inputs, 'hi'));
  const hung = hangOn(adapters, loads, supply);
  if (!hung) return false;
  const splits = adapters.map((adapter, i): PlugLoad => ({
    plug: adapter.takes,
    disks: total(memberAt(hung, i), 'disks'),
    a12: total(memberAt(hung, i), 'a12'),
    a5: total(memberAt(hung, i), 'a5'),
    isSplit: memberAt(hung, i).length > 0,
  }));
  if (
    splits.some(
      (load, i) => Math.max(load.a12, load.a5) > Math.min(memberAt(adapters, i).ratedA, PLUG_A[load.plug] ?? Infinity),
    )
  )
    return false;
  const chains = chainsOf(supply);
  const direct = loads.filter((load) => !hung.some((own) => own.includes(load)));
  return [...heaviestFirst(splits), ...direct]
    .filter((load) => isSplittable(load.plug))
    .every((load) => {
      const open = chains.filter((chain) => (chain.free.get(load.plug) ?? 0) > 0);
      const fitting = open.filter((chain) => (!load.isSplit && !chain.isSplit) || holds(chain, load, 1));
      // What goes on a cable of its own plugs is the supply's own matter; what is split must hold.
      const on = load.isSplit
        ? leastLoaded(fitting)
        : (leastLoaded(fitting.filter((chain) => !chain.isSplit)) ?? leastLoaded(fitting));
      return on ? hang(on, load, true) : false;
    });
}

/**
 * Deals to adapters the lightest of what the supply's own plugs do not take, each on the one that carries least; null
 * when some is left.
 */
function hangOn(
  adapters: readonly PartOf<'powerAdapter'>[],
  loads: readonly PlugLoad[],
  supply: Cabled,
): readonly (readonly PlugLoad[])[] | null {
  const hung = adapters.map((): PlugLoad[] => []);
  for (const plug of new Set(adapters.flatMap((adapter) => adapter.gives.map((one) => one.plug)))) {
    const own = plugsOn(supply, plug);
    const taken = adapters.filter((adapter) => adapter.takes === plug).length;
    for (const load of loads.filter((one) => one.plug === plug).slice(Math.max(0, own - taken))) {
      const open = adapters.flatMap((adapter, i) =>
        (adapter.gives.find((one) => one.plug === plug)?.count ?? 0) >
        memberAt(hung, i).filter((one) => one.plug === plug).length
          ? [i]
          : [],
      );
      const least = open.sort(
        (a, b) =>
          total(memberAt(hung, a), 'a12') - total(memberAt(hung, b), 'a12') ||
          total(memberAt(hung, a), 'a5') - total(memberAt(hung, b), 'a5'),
      )[0];
      if (least === undefined) return null;
      memberAt(hung, least).push(load);
    }
  }
  return hung;
}

const total = (loads: readonly PlugLoad[], what: 'disks' | 'a12' | 'a5'): number =>
  loads.reduce((sum, load) => sum + load[what], 0);
const heaviestFirst = (loads: readonly PlugLoad[]): PlugLoad[] =>
  [...loads].sort((a, b) => b.disks - a.disks || b.a12 - a.a12 || b.a5 - a.a5);
const leastLoaded = (chains: readonly Chain[]): Chain | undefined =>
  [...chains].sort((a, b) => a.disks - b.disks || a.a12 - b.a12 || a.a5 - b.a5)[0];

/** Whether a cable with a splitter in it still keeps its limits with one load more. */
function holds(chain: Chain, load: PlugLoad, times: number): boolean {
  const mostA = Math.min(chain.plugsA, chain.wireA * times);
  return (
    chain.disks + load.disks <= MOST_DISKS &&
    chain.a12 + load.a12 <= mostA &&
    chain.a5 + load.a5 <= Math.min(chain.plugsA, chain.wireA)
  );
}

function hang(chain: Chain, load: PlugLoad, takesPlug: boolean): true {
  chain.disks += load.disks;
  chain.a12 += load.a12;
  chain.a5 += load.a5;
  chain.isSplit ||= load.isSplit;
  if (takesPlug) chain.free.set(load.plug, valueFor(chain.free, load.plug) - 1);
  return true;
}

/** The cables of a supply that have plugs which can be split. */
function chainsOf(supply: Cabled): Chain[] {
  return supply.cables
    .flatMap((cable) =>
      Array.from({ length: cable.count }, (): Chain => {
        const own = cable.plugs.filter(({ plug }) => isSplittable(plug));
        return {
          free: new Map(own.map(({ plug, count }) => [plug, count])),
          plugsA: own.reduce((sum, { plug, count }) => sum + count * PLUG_A[plug]!, 0),
          wireA: wireA(cable.gaugeAwg),
          disks: 0,
          a12: 0,
          a5: 0,
          isSplit: false,
        };
      }),
    )
    .filter((chain) => chain.free.size > 0);
}

/** W of what a plug feeds itself at its most: a processor, a card, or a fan on a hub. */
export const mostW = (part: Part, end: End): number =>
  part.kind === 'fan' ? factOf(part, 'maxW')[end] : 'peakW' in part ? factOf(part, 'peakW')[end] : 0;

/**
 * What each input puts on its plug; the inputs of one group, as they are among `all`, share equally. Of drives that do
 * not start together at most `atOnce` start at one moment: that many are counted at their high end, none as certain.
 */
export function loadsOf(
  inputs: readonly PlugInput[],
  end: End,
  atOnce = Infinity,
  all: readonly PlugInput[] = inputs,
): PlugLoad[] {
  return inputs.flatMap((input) => {
    const ownA = input.feeds.reduce((sum, { part }) => sum + mostW(part, end) / VOLTS, 0);
    const share = 1 / all.filter((one) => one.group === input.group).reduce((sum, one) => sum + one.count, 0);
    const drives = input.drives.map(({ part }) => driveA[end](part));
    const starting = end === 'hi' || atOnce === Infinity ? atOnce : 0;
    const load: PlugLoad = {
      plug: input.plug,
      disks: input.drives.filter(({ part }) => part.medium === 'disk').length * share,
      a12: (ownA + together(drives, 'a12', starting)) * share,
      a5: together(drives, 'a5', starting) * share,
      isSplit: false,
    };
    return Array.from({ length: input.count }, () => ({ ...load }));
  });
}

type DriveAmps = Readonly<Record<'run' | 'start', { readonly a12: number; readonly a5: number }>>;

/** A of drives of which so many start, those that take most for it, and the others work. */
function together(drives: readonly DriveAmps[], rail: 'a12' | 'a5', starting: number): number {
  const more = drives.map(({ run, start }) => start[rail] - run[rail]).sort((a, b) => b - a);
  return (
    drives.reduce((sum, { run }) => sum + run[rail], 0) +
    more.slice(0, Math.min(starting, more.length)).reduce((sum, one) => sum + one, 0)
  );
}

/** What one drive takes on its rails, A, at each end: at work, and at its start where that is more. */
const driveA: Readonly<Record<End, (part: PartOf<'drive'>) => DriveAmps>> = {
  lo: memoWeak((part) => driveAt(part, 'lo')),
  value: memoWeak((part) => driveAt(part, 'value')),
  hi: memoWeak((part) => driveAt(part, 'hi')),
};

function driveAt(part: PartOf<'drive'>, end: End): DriveAmps {
  const amps = (rail: 'a12' | 'a5', busy: 'busy12A' | 'busy5A') => {
    const run = factOf(part, busy)[end];
    const start = Math.max(0, ...part.spinUp.map((step) => step[rail]));
    return { run, start: Math.max(run, factOf(part, 'spinUp', start, `spinUp.${rail}`)[end]) };
  };
  const [twelve, five] = [amps('a12', 'busy12A'), amps('a5', 'busy5A')];
  return { run: { a12: twelve.run, a5: five.run }, start: { a12: twelve.start, a5: five.start } };
}
