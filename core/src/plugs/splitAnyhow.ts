import { isSplittable, PLUG_A } from '../needs/plugLoads';
import type { PlugKind } from '../parts/vocabulary';
import { milli } from './cost';
import type { Bin, Want } from './place';

/** Inputs that a splitter of the trade gives at most; what its plug carries mostly decides before that. */
const MOST_GIVEN = 4;
/** What splitters are made for: the plug they hang on, and what each gives. */
const MADE: Partial<Record<PlugKind, readonly PlugKind[]>> = {
  'sata-power': ['sata-power'],
  peripheral: ['sata-power', 'peripheral'],
};
/** Steps past which it stays open whether there is a way. */
const MOST_STEPS = 20_000;

type Milli = { readonly s12: number; readonly s5: number; readonly r12: number; readonly r5: number };
type Load = Milli & { readonly plug: PlugKind; readonly key: string };
type Cable = { readonly start: number; readonly run: number; has: Milli; readonly plugs: Plug[] };
type Plug = { readonly kind: PlugKind; has: Milli; on: readonly PlugKind[] };

const NONE: Milli = { s12: 0, s5: 0, r12: 0, r5: 0 };
const plus = (a: Milli, b: Milli): Milli => ({
  s12: a.s12 + b.s12,
  s5: a.s5 + b.s5,
  r12: a.r12 + b.r12,
  r5: a.r5 + b.r5,
});
const within = (has: Milli, start: number, run: number): boolean =>
  has.s12 <= start && has.s5 <= start && has.r12 <= run && has.r5 <= run;

/**
 * Whether all drive plugs wanted could be had from these cables with splitters of any make on any plug, each plug and
 * cable within what it carries. Every way is tried, the heaviest first, until one goes; null where that is given up.
 */
export function canSplitAnyhow(wants: readonly Want[], bins: readonly Bin[]): boolean | null {
  const loads = wants.filter(({ plug }) => isSplittable(plug)).map(loadOf);
  loads.sort((a, b) => b.s12 - a.s12 || b.s5 - a.s5 || (a.key < b.key ? -1 : 1));
  const cables = bins.map(cableOf).filter(({ plugs }) => plugs.length > 0);
  const left = loads.map((_, i) => loads.slice(i).reduce<Milli>(plus, NONE));
  let steps = 0;

  const hasRoom = (i: number): boolean => {
    let [start12, start5, run12, run5] = [0, 0, 0, 0];
    for (const { start, run, has } of cables) {
      start12 += start - has.s12;
      start5 += start - has.s5;
      run12 += run - has.r12;
      run5 += run - has.r5;
    }
    const all = left[i]!;
    return all.s12 <= start12 && all.s5 <= start5 && all.r12 <= run12 && all.r5 <= run5;
  };
  const place = (i: number, from: number): boolean | null => {
    const load = loads[i];
    if (!load) return true;
    if (!hasRoom(i)) return false;
    if (steps++ > MOST_STEPS) return null;
    const seen = new Set<string>();
    let at = 0;
    for (const cable of cables) {
      const sum = plus(cable.has, load);
      const fits = within(sum, cable.start, cable.run);
      for (const plug of cable.plugs) {
        // Of like loads a later one never stands before an earlier one.
        if (at++ < from || !fits || !takes(plug, load)) continue;
        const state = stateOf(cable, plug);
        if (seen.has(state)) continue;
        seen.add(state);
        const [hadCable, hadPlug, hadOn] = [cable.has, plug.has, plug.on];
        cable.has = sum;
        plug.has = plus(plug.has, load);
        plug.on = [...plug.on, load.plug];
        const goes = place(i + 1, loads[i + 1]?.key === load.key ? at - 1 : 0);
        [cable.has, plug.has, plug.on] = [hadCable, hadPlug, hadOn];
        if (goes !== false) return goes;
      }
    }
    return false;
  };
  return place(0, 0);
}

function loadOf({ plug, start, run }: Want): Load {
  const amps = { s12: milli(start.a12), s5: milli(start.a5), r12: milli(run.a12), r5: milli(run.a5) };
  return { ...amps, plug, key: [plug, ...Object.values(amps)].join() };
}

const cableOf = ({ plugs, startA, runA }: Bin): Cable => ({
  start: milli(startA),
  run: milli(runA),
  has: NONE,
  plugs: Object.entries(plugs).flatMap(([kind, count]) =>
    isSplittable(kind as PlugKind)
      ? Array.from({ length: count }, (): Plug => ({ kind: kind as PlugKind, has: NONE, on: [] }))
      : [],
  ),
});

/** One input of its own kind goes on a plug as it is; more of one kind by a splitter, within what the plug carries. */
function takes({ kind, has, on }: Plug, load: Load): boolean {
  if (on.length === 0 && kind === load.plug) return true;
  if (on.length >= MOST_GIVEN || !MADE[kind]?.includes(load.plug) || on.some((own) => own !== load.plug)) return false;
  const carries = milli(PLUG_A[kind]!);
  return within(plus(has, load), carries, carries);
}

/** What tells plugs apart: two that stand alike lead to the same. */
const stateOf = (cable: Cable, plug: Plug): string => {
  const of = ({ kind, has, on }: Plug) => `${kind}/${has.s12}/${has.s5}/${has.r12}/${has.r5}/${on.length}`;
  return `${cable.start}/${cable.run}|${of(plug)}|${cable.plugs.map(of).sort().join()}`;
};
