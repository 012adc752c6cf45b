import { memberAt, plainAt } from '../lists';
import type { PlugKind } from '../parts/vocabulary';
import { PLUG_A } from '../needs/splitters';

/** A on 12 V and on 5 V. */
export type Amps = { readonly a12: number; readonly a5: number };
/** One input that wants one plug; `wish` is the chain it was put on by hand. */
export type Want = {
  readonly plug: PlugKind;
  readonly start: Amps;
  readonly run: Amps;
  /** Spinning disks behind it; a share of them where they hang on several. */ readonly disks: number;
  readonly wish?: { readonly chain: number; readonly isHeld: boolean };
};
/** A cable with its plugs by kind, and what its wire carries a rail at the start and running, A. */
export type Bin = {
  readonly plugs: Readonly<Partial<Record<PlugKind, number>>>;
  readonly startA: number;
  readonly runA: number;
};
export type Splitter = {
  readonly takes: PlugKind;
  readonly gives: Readonly<Partial<Record<PlugKind, number>>>;
  readonly ratedA: number;
};
/**
 * What a placement is compared by, the first that differs deciding: inputs without a plug, wishes broken (a held one
 * counts as a hundred), mA over limits at the start, the same running, splitters used, thousandths of spinning disks
 * past four a cable, cables used.
 */
export const PLUG_LEVELS = ['without', 'broken', 'startOver', 'runOver', 'splitters', 'pastFour', 'cables'] as const;
export type PlugScore = readonly number[];
export type Placed = {
  /** For each want its chain, and the splitter it hangs on there. */
  readonly on: readonly ({ readonly chain: number; readonly splitter: number | null } | null)[];
  /** For each splitter its chain. */
  readonly splitters: readonly (number | null)[];
  readonly score: PlugScore;
  /** Whether it is proven that no other is better. */
  readonly whole: boolean;
};

/** Good practice: so many spinning disks a cable. */
export const DISKS_A_CABLE = 4;
const HELD = 100;
/** Steps of the search after which what was found stands, unproven. */
const MOST_WORK = 3_000_000;
const MOST_CONTENTS = 4_000;

const milli = (value: number) => Math.round(value * 1000);
const sum = (list: readonly number[]) => list.reduce((all, one) => all + one, 0);

/**
 * Deals inputs to plugs at the least score. Exact: what each cable may carry is listed by counts of like inputs and
 * splitters, the best of each kept, and cables are filled one after the other by dynamic programming over what is left.
 */
export function placePlugs(wants: readonly Want[], chains: readonly Bin[], splitters: readonly Splitter[]): Placed {
  return new Dealing(wants, chains, splitters).run();
}

/** What a cable takes of each class, what hangs on its splitters, and what that costs. */
type Config = {
  readonly used: readonly number[];
  readonly direct: readonly number[];
  readonly hung: readonly { readonly splitter: number; readonly contents: readonly number[] }[];
  readonly cost: Cost;
};
type Entry = { readonly cost: Cost; readonly from: number; readonly config: Config | null };
type Class = { readonly of: Want; readonly members: readonly number[] };
type SplitterClass = { readonly of: Splitter; readonly members: readonly number[] };
type Sums = { s12: number; s5: number; r12: number; r5: number; disks: number };

function classesOf<T>(list: readonly T[], keyOf: (one: T) => string): { of: T; members: number[] }[] {
  const classes = new Map<string, { of: T; members: number[] }>();
  for (const [i, one] of list.entries()) {
    const key = keyOf(one);
    const known = classes.get(key);
    if (known) known.members.push(i);
    else classes.set(key, { of: one, members: [i] });
  }
  return [...classes.values()];
}

class Dealing {
  private readonly classes: readonly Class[];
  private readonly splitterClasses: readonly SplitterClass[];
  /** Of each class and then of each sort of splitter, how many there are, and what one of them counts in a state. */
  private readonly counts: readonly number[];
  private readonly radix: readonly number[];
  private work = 0;

  constructor(
    private readonly wants: readonly Want[],
    private readonly chains: readonly Bin[],
    private readonly splitters: readonly Splitter[],
  ) {
    this.classes = classesOf(wants, ({ plug, start, run, disks, wish }) =>
      [plug, ...[start.a12, start.a5, run.a12, run.a5, disks].map(milli), wish?.chain, wish?.isHeld].join(),
    );
    this.splitterClasses = classesOf(splitters, (one) => JSON.stringify([one.takes, one.gives, one.ratedA]));
    this.counts = [...this.classes, ...this.splitterClasses].map(({ members }) => members.length);
    let base = 1;
    this.radix = this.counts.map((count) => {
      const now = base;
      base *= count + 1;
      return now;
    });
  }

  run(): Placed {
    const start = sum(this.counts.map((count, i) => count * plainAt(this.radix, i)));
    let states = new Map<number, Entry>([[start, { cost: FREE, from: -1, config: null }]]);
    const steps: Map<number, Entry>[] = [];
    const known = new Map<string, readonly Config[]>();
    for (const [c, chain] of this.chains.entries()) {
      const wished = this.classes.some(({ of }) => of.wish?.chain === c);
      const key = wished ? `wished ${c}` : JSON.stringify([chain.plugs, chain.startA, chain.runA]);
      let configs = known.get(key);
      if (!configs) known.set(key, (configs = this.configsOf(c)));
      states = this.step(states, configs);
      steps.push(states);
    }
    return this.readOff(states, steps);
  }

  /** Every way on with one cable more; the first of several alike stays, so that earlier cables are filled first. */
  private step(states: ReadonlyMap<number, Entry>, configs: readonly Config[]): Map<number, Entry> {
    const next = new Map<number, Entry>();
    for (const [state, entry] of states) {
      // With no work left each state still goes on by what it can take that is listed first.
      const isHurried = this.work > MOST_WORK;
      for (const config of configs) {
        this.work++;
        if (!this.holds(state, config)) continue;
        const to = state - sum(config.used.map((count, i) => count * plainAt(this.radix, i)));
        const cost = plus(entry.cost, config.cost);
        const had = next.get(to);
        if (!had || compare(cost, had.cost) < 0) next.set(to, { cost, from: state, config });
        if (isHurried) break;
      }
    }
    return next;
  }

  private holds(state: number, { used }: Config): boolean {
    for (let i = 0; i < used.length; i++)
      if (used[i]! > 0 && used[i]! > Math.floor(state / this.radix[i]!) % (this.counts[i]! + 1)) return false;
    return true;
  }

  private readOff(last: ReadonlyMap<number, Entry>, steps: readonly ReadonlyMap<number, Entry>[]): Placed {
    const leftIn = (state: number) =>
      sum(this.classes.map((_, i) => Math.floor(state / plainAt(this.radix, i)) % (plainAt(this.counts, i) + 1)));
    let best: { state: number; left: number; entry: Entry } | null = null;
    for (const [state, entry] of last) {
      const left = leftIn(state);
      const order = best && (left - best.left || compare(entry.cost, best.entry.cost));
      if (order === null || order < 0) best = { state, left, entry };
    }
    const configs: (Config | null)[] = [];
    let state = best?.state ?? -1;
    for (let c = this.chains.length - 1; c >= 0; c--) {
      const entry = steps[c]?.get(state);
      configs.unshift(entry?.config ?? null);
      state = entry?.from ?? -1;
    }
    const left = best?.left ?? this.wants.length;
    const score = [left, ...levelsOf(best?.entry.cost ?? FREE)];
    return { ...this.deal(configs), score, whole: this.work <= MOST_WORK };
  }

  /** Members of classes in their order to cables in theirs: neighbours share a cable. */
  private deal(configs: readonly (Config | null)[]): Pick<Placed, 'on' | 'splitters'> {
    const on: (Placed['on'][number] | null)[] = this.wants.map(() => null);
    const splitters: (number | null)[] = this.splitters.map(() => null);
    const next = this.classes.map(() => 0);
    const nextSplitter = this.splitterClasses.map(() => 0);
    for (const [chain, config] of configs.entries()) {
      if (!config) continue;
      const put = (counts: readonly number[], splitter: number | null) =>
        counts.forEach((count, k) => {
          for (let i = 0; i < count; i++)
            on[plainAt(memberAt(this.classes, k).members, next[k]!++)] = { chain, splitter };
        });
      put(config.direct, null);
      for (const { splitter, contents } of config.hung) {
        const id = plainAt(memberAt(this.splitterClasses, splitter).members, nextSplitter[splitter]!++);
        splitters[id] = chain;
        put(contents, id);
      }
    }
    return { on, splitters };
  }

  /** All that one cable may take, of each count of classes the cheapest; the fullest first. */
  private configsOf(c: number): readonly Config[] {
    const chain = memberAt(this.chains, c);
    const best = new Map<string, Config>();
    const hung: { splitter: number; contents: readonly number[] }[] = [];
    const used = this.counts.map(() => 0);
    const direct = this.classes.map(() => 0);
    const taken: Partial<Record<PlugKind, number>> = {};
    const leaf = () => {
      this.work++;
      const cost = this.costOf(c, direct, hung);
      const key = used.join();
      const had = best.get(key);
      if (!had || compare(cost, had.cost) < 0)
        best.set(key, { used: [...used], direct: [...direct], hung: [...hung], cost });
    };
    const take = (plug: PlugKind, by: number) => (taken[plug] = (taken[plug] ?? 0) + by);
    const plainly = (k: number) => {
      if (this.work > MOST_WORK && best.size > 0) return;
      const one = this.classes[k];
      if (!one) return leaf();
      const { plug } = one.of;
      const most = plainAt(this.counts, k) - plainAt(used, k);
      let count = 0;
      for (; count <= most; count++) {
        if (count > 0) {
          take(plug, 1);
          used[k]!++;
          direct[k]!++;
        }
        if (!fits(taken, chain.plugs)) break;
        plainly(k + 1);
      }
      const back = Math.min(count, most);
      take(plug, -back);
      used[k]! -= back;
      direct[k]! -= back;
    };
    const splitting = (s: number, option: number) => {
      if (this.work > MOST_WORK && best.size > 0) return;
      const one = this.splitterClasses[s];
      if (!one) return plainly(0);
      splitting(s + 1, 0);
      const at = this.classes.length + s;
      if (plainAt(used, at) >= plainAt(this.counts, at)) return;
      take(one.of.takes, 1);
      used[at]!++;
      if (fits(taken, chain.plugs)) {
        const all = this.contentsOf(s);
        for (let i = option; i < all.length; i++) {
          const contents = all[i]!;
          if (contents.some((count, k) => used[k]! + count > this.counts[k]!)) continue;
          contents.forEach((count, k) => (used[k]! += count));
          hung.push({ splitter: s, contents });
          splitting(s, i);
          hung.pop();
          contents.forEach((count, k) => (used[k]! -= count));
        }
      }
      take(one.of.takes, -1);
      used[at]!--;
    };
    splitting(0, 0);
    return [...best.values()].sort((a, b) => sum(b.used) - sum(a.used));
  }

  private readonly contents = new Map<number, readonly (readonly number[])[]>();
  /** Everything that may hang on a splitter of a sort, by class; never nothing. */
  private contentsOf(s: number): readonly (readonly number[])[] {
    const known = this.contents.get(s);
    if (known) return known;
    const { gives } = memberAt(this.splitterClasses, s).of;
    const all: number[][] = [];
    const now = this.classes.map(() => 0);
    const left = { ...gives };
    const go = (k: number) => {
      if (all.length >= MOST_CONTENTS) return void (this.work = MOST_WORK + 1);
      const one = this.classes[k];
      if (!one) return void (now.some((count) => count > 0) && all.push([...now]));
      const most = Math.min(plainAt(this.counts, k), left[one.of.plug] ?? 0);
      for (let count = most; count >= 0; count--) {
        now[k] = count;
        left[one.of.plug] = (left[one.of.plug] ?? 0) - count;
        go(k + 1);
        left[one.of.plug] = (left[one.of.plug] ?? 0) + count;
      }
      now[k] = 0;
    };
    go(0);
    this.contents.set(s, all);
    return all;
  }

  private costOf(c: number, direct: readonly number[], hung: Config['hung']): Cost {
    const chain = memberAt(this.chains, c);
    const all: Sums = { s12: 0, s5: 0, r12: 0, r5: 0, disks: 0 };
    const add = (to: Sums, counts: readonly number[]) => {
      for (let k = 0; k < counts.length; k++) {
        const count = counts[k]!;
        if (count === 0) continue;
        const { start, run, disks } = this.classes[k]!.of;
        to.s12 += count * start.a12;
        to.s5 += count * start.a5;
        to.r12 += count * run.a12;
        to.r5 += count * run.a5;
        to.disks += count * disks;
      }
    };
    let [startOver, runOver, broken] = [0, 0, 0];
    const over = (sums: Sums, startA: number, runA: number) => {
      startOver += past(sums.s12, startA) + past(sums.s5, startA);
      runOver += past(sums.r12, runA) + past(sums.r5, runA);
    };
    add(all, direct);
    for (const { splitter, contents } of hung) {
      const { ratedA, takes } = memberAt(this.splitterClasses, splitter).of;
      const own: Sums = { s12: 0, s5: 0, r12: 0, r5: 0, disks: 0 };
      add(own, contents);
      add(all, contents);
      const mostA = Math.min(ratedA, PLUG_A[takes] ?? Infinity);
      over(own, mostA, mostA);
    }
    over(all, chain.startA, chain.runA);
    this.classes.forEach(({ of: { wish } }, k) => {
      const here = direct[k]! + sum(hung.map(({ contents }) => contents[k]!));
      if (wish && here > 0 && wish.chain !== c) broken += here * (wish.isHeld ? HELD : 1);
    });
    const isUsed = hung.length > 0 || direct.some((count) => count > 0);
    return {
      broken,
      over: startOver * ROOM + runOver,
      rest: (hung.length * ROOM + milli(Math.max(0, all.disks - DISKS_A_CABLE))) * CABLES + Number(isUsed),
    };
  }
}

/** mA past a limit; what rounding leaves is none. */
const past = (amps: number, limitA: number): number => Math.max(0, milli(amps) - milli(limitA));

/** Levels but the first, two or three to a number, with room for ten thousand A and ten thousand cables. */
type Cost = { readonly broken: number; readonly over: number; readonly rest: number };
const ROOM = 1e7;
const CABLES = 1e4;
const FREE: Cost = { broken: 0, over: 0, rest: 0 };
const plus = (one: Cost, other: Cost): Cost => ({
  broken: one.broken + other.broken,
  over: one.over + other.over,
  rest: one.rest + other.rest,
});
const compare = (one: Cost, other: Cost): number =>
  one.broken - other.broken || one.over - other.over || one.rest - other.rest;
const levelsOf = ({ broken, over, rest }: Cost): number[] => [
  broken,
  Math.floor(over / ROOM),
  over % ROOM,
  Math.floor(rest / CABLES / ROOM),
  Math.floor(rest / CABLES) % ROOM,
  rest % CABLES,
];

/**
 * Whether so many inputs by kind fit on plugs by kind. A plug of 6 + 2 pins serves either input of a card, and one of 8
 * pins for a processor parts into two of 4.
 */
export function fits(
  taken: Readonly<Partial<Record<PlugKind, number>>>,
  plugs: Readonly<Partial<Record<PlugKind, number>>>,
): boolean {
  for (const kind in taken) {
    const want = taken[kind as PlugKind]!;
    if (want <= 0) continue;
    const spare = (of: PlugKind) => (plugs[of] ?? 0) - (taken[of] ?? 0);
    const more = kind === '6-pin-card' ? spare('8-pin-card') : kind === '4-pin-cpu' ? 2 * spare('8-pin-cpu') : 0;
    if (want > (plugs[kind as PlugKind] ?? 0) + Math.max(0, more)) return false;
  }
  return true;
}
