import { memberAt, plainAt } from '../lists';
import type { Wire } from '../build/layout';
import type { PlugKind } from '../parts/vocabulary';
import { Configs, type Class, type Config } from './configs';
import { levelsOf, milli, sum } from './cost';
import { fillCables } from './filling';

/** A on 12 V and on 5 V. */
export type Amps = { readonly a12: number; readonly a5: number };
/** One input that wants one plug; `wish` is the chain it was put on by hand, or was on when another was. */
export type Want = {
  readonly plug: PlugKind;
  readonly start: Amps;
  readonly run: Amps;
  /** Spinning disks behind it; a share of them where they hang on several. */ readonly disks: number;
  readonly wish?: { readonly chain: number; readonly how: Wire['how'] };
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
 * counts as a hundred), mA over limits at the start, the same running, mA past 80 % of cables at work, splitters used,
 * thousandths of spinning disks past four a cable, inputs that leave the cable they were on, cables used.
 */
type PlugScore = readonly number[];
export type Placed = {
  /** For each want its chain, and the splitter it hangs on there. */
  readonly on: readonly ({ readonly chain: number; readonly splitter: number | null } | null)[];
  /** For each splitter its chain. */
  readonly splitters: readonly (number | null)[];
  readonly score: PlugScore;
  /** Whether it is proven that no other is better. */
  readonly whole: boolean;
};

/** Work past which inputs that differ a little are dealt as if they were alike. */
const MOST_WORK = 2_500_000;
const MOST_STATES = 400_000;

type Question = { readonly classes: readonly Class<Want>[]; readonly splitters: readonly Class<Splitter>[] };

/**
 * Deals inputs to plugs at the least score. Exact: what a cable may carry is listed by counts of like inputs and
 * splitters, the best of each kept, and cables are filled one after the other by dynamic programming over what is left.
 * Where that is too much, inputs next to each other in what they take count as the larger, and it is said.
 */
export function placePlugs(wants: readonly Want[], chains: readonly Bin[], splitters: readonly Splitter[]): Placed {
  let question: Question = {
    classes: classesOf(wants, keyOf),
    splitters: classesOf(splitters, (one) => JSON.stringify([one.takes, one.gives, one.ratedA])),
  };
  for (let whole = true; ; whole = false) {
    const answer = answerOf(question, chains);
    const coarser = answer ? null : coarserThan(question);
    if (answer || !coarser) {
      const { configs, score } = answer ?? { configs: [], score: [wants.length, 0, 0, 0, 0, 0, 0, 0, 0] };
      return { ...dealOut(question, configs, wants.length, splitters.length), score, whole };
    }
    question = coarser;
  }
}

/** What two inputs have to share to be dealt alike. */
const keyOf = ({ plug, start, run, disks, wish }: Want): string =>
  [plug, ...[start.a12, start.a5, run.a12, run.a5, disks].map(milli), wish?.chain, wish?.how].join();

function classesOf<T>(list: readonly T[], keyOf: (one: T) => string): Class<T>[] {
  const classes = new Map<string, { of: T; members: number[] }>();
  for (const [i, one] of list.entries()) {
    const key = keyOf(one);
    const known = classes.get(key);
    if (known) known.members.push(i);
    else classes.set(key, { of: one, members: [i] });
  }
  return [...classes.values()];
}

/** The best filling of every cable; null where finding it is too much work. */
function answerOf(
  { classes, splitters }: Question,
  chains: readonly Bin[],
): { readonly configs: readonly (Config | null)[]; readonly score: PlugScore } | null {
  const counts = [...classes, ...splitters].map(({ members }) => members.length);
  const states = counts.reduce((product, count) => product * (count + 1), 1);
  if (states > MOST_STATES) return null;
  const configs = new Configs(classes, splitters, counts);
  const known = new Map<string, readonly Config[]>();
  const each = chains.map((chain, c) => {
    const isWished = classes.some(({ of }) => of.wish?.chain === c);
    const key = isWished ? `wished ${c}` : JSON.stringify([chain.plugs, chain.startA, chain.runA]);
    let own = known.get(key);
    if (!own) known.set(key, (own = configs.of(chain, c)));
    return own;
  });
  if (configs.isTooMany || states * sum(each.map((own) => own.length)) > MOST_WORK) return null;
  const filled = fillCables(counts, classes.length, each);
  return { configs: filled.configs, score: [filled.left, ...levelsOf(filled.cost)] };
}

/**
 * The question without what only asks to stay where it was, else with the two classes nearest to each other made one,
 * else with a sort of splitter left out.
 */
function coarserThan({ classes, splitters }: Question): Question | null {
  if (classes.some(({ of }) => of.wish?.how === 'solved')) return { classes: unbound(classes), splitters };
  let [nearest, least]: [readonly [Class<Want>, Class<Want>] | null, number] = [null, Infinity];
  for (const [i, one] of classes.entries())
    for (const other of classes.slice(i + 1)) {
      if (one.of.plug !== other.of.plug || one.of.wish || other.of.wish) continue;
      const apart = (when: 'start' | 'run') =>
        Math.abs(one.of[when].a12 - other.of[when].a12) + Math.abs(one.of[when].a5 - other.of[when].a5);
      const distance = apart('start') + apart('run') + Math.abs(one.of.disks - other.of.disks);
      if (distance < least) [nearest, least] = [[one, other], distance];
    }
  if (!nearest) return splitters.length > 0 ? { classes, splitters: splitters.slice(0, -1) } : null;
  const [one, other] = nearest;
  const larger = (a: Amps, b: Amps): Amps => ({ a12: Math.max(a.a12, b.a12), a5: Math.max(a.a5, b.a5) });
  const both: Class<Want> = {
    of: {
      plug: one.of.plug,
      start: larger(one.of.start, other.of.start),
      run: larger(one.of.run, other.of.run),
      disks: Math.max(one.of.disks, other.of.disks),
    },
    members: [...one.members, ...other.members].sort((a, b) => a - b),
  };
  return { classes: classes.flatMap((own) => (own === one ? [both] : own === other ? [] : [own])), splitters };
}

/** Classes in which nothing asks to stay where it was. */
function unbound(classes: readonly Class<Want>[]): Class<Want>[] {
  const plain = classes.flatMap(({ of, members }) => {
    const { wish, ...others } = of;
    return members.map((member) => ({ of: wish?.how === 'solved' ? others : of, member }));
  });
  return classesOf(plain, ({ of }) => keyOf(of)).map(({ members }) => ({
    of: memberAt(plain, plainAt(members, 0)).of,
    members: members.map((i) => memberAt(plain, i).member).sort((a, b) => a - b),
  }));
}

/** Members of classes in their order to cables in theirs: neighbours share a cable. */
function dealOut(
  { classes, splitters: splitterClasses }: Question,
  configs: readonly (Config | null)[],
  wants: number,
  splitterCount: number,
): Pick<Placed, 'on' | 'splitters'> {
  const on: (Placed['on'][number] | null)[] = Array.from({ length: wants }, () => null);
  const splitters: (number | null)[] = Array.from({ length: splitterCount }, () => null);
  const next = classes.map(() => 0);
  const nextSplitter = splitterClasses.map(() => 0);
  for (const [chain, config] of configs.entries()) {
    if (!config) continue;
    const put = (counts: readonly number[], splitter: number | null) =>
      counts.forEach((count, k) => {
        for (let i = 0; i < count; i++) on[plainAt(memberAt(classes, k).members, next[k]!++)] = { chain, splitter };
      });
    put(config.direct, null);
    for (const { splitter, contents } of config.hung) {
      const id = plainAt(memberAt(splitterClasses, splitter).members, nextSplitter[splitter]!++);
      splitters[id] = chain;
      put(contents, id);
    }
  }
  return { on, splitters };
}
