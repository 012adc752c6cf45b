import { memberAt, plainAt } from '../lists';
import { PLUG_A } from '../needs/plugLoads';
import type { PlugKind } from '../parts/vocabulary';
import { compare, costFrom, milli, past, sum, type Cost } from './cost';
import type { Bin, Splitter, Want } from './place';

/** What a cable takes of each class and sort of splitter, what hangs on its splitters, and what that costs. */
export type Config = {
  readonly used: readonly number[];
  readonly direct: readonly number[];
  readonly hung: readonly { readonly splitter: number; readonly contents: readonly number[] }[];
  readonly cost: Cost;
};
/** Inputs or splitters that are dealt alike, by their numbers. */
export type Class<T> = { readonly of: T; readonly members: readonly number[] };

/** Good practice: so many spinning disks a cable. */
export const DISKS_A_CABLE = 4;
/** Past this share of what it carries, at work, a cable is left alone while another can be taken. */
const NEAR = 0.8;
const HELD = 100;
/** Ways of filling one cable past which fewer classes are told apart. */
const MOST_LEAVES = 20_000;
type Sums = { s12: number; s5: number; r12: number; r5: number; disks: number };

/** Lists what cables may carry, by counts of like inputs and of like splitters. */
export class Configs {
  /** Whether a cable can be filled in more ways than are listed. */ isTooMany = false;

  constructor(
    private readonly classes: readonly Class<Want>[],
    private readonly splitterClasses: readonly Class<Splitter>[],
    private readonly counts: readonly number[],
  ) {}

  /** All that one cable may take, of each count of classes the cheapest; the fullest first. */
  of(chain: Bin, c: number): readonly Config[] {
    const best = new Map<string, Config>();
    const hung: { splitter: number; contents: readonly number[] }[] = [];
    const used = this.counts.map(() => 0);
    const direct = this.classes.map(() => 0);
    const taken: Partial<Record<PlugKind, number>> = {};
    let leaves = 0;
    const leaf = () => {
      leaves++;
      const cost = this.costOf(chain, c, direct, hung);
      const key = used.join();
      const had = best.get(key);
      if (!had || compare(cost, had.cost) < 0)
        best.set(key, { used: [...used], direct: [...direct], hung: [...hung], cost });
    };
    const take = (plug: PlugKind, by: number) => (taken[plug] = (taken[plug] ?? 0) + by);
    const plainly = (k: number) => {
      if (leaves > MOST_LEAVES) return;
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
      if (leaves > MOST_LEAVES) return;
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
    if (leaves > MOST_LEAVES) this.isTooMany = true;
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
      if (all.length > MOST_LEAVES) return;
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

  private costOf(chain: Bin, c: number, direct: readonly number[], hung: Config['hung']): Cost {
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
    let [startOver, runOver, broken, moves] = [0, 0, 0, 0];
    const near = () => past(all.r12, NEAR * chain.runA) + past(all.r5, NEAR * chain.runA);
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
      if (!wish || here === 0 || wish.chain === c) return;
      if (wish.how === 'solved') moves += here;
      else broken += here * (wish.how === 'held' ? HELD : 1);
    });
    const isUsed = hung.length > 0 || direct.some((count) => count > 0);
    return costFrom({
      broken,
      startOver,
      runOver,
      near: near(),
      splitters: hung.length,
      pastFour: milli(Math.max(0, all.disks - DISKS_A_CABLE)),
      moves,
      cables: Number(isUsed),
    });
  }
}

/**
 * Whether so many inputs by kind fit on plugs by kind. A plug of 6 + 2 pins serves either input of a card, and one of 8
 * pins for a processor parts into two of 4.
 */
function fits(
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
