import type { UnitId } from '../parts/ids';
import type { Gone } from '../figures/power/gone';
import type { Wiring } from '../wiring/rows';
import { hangingOf, singlesOf, type Machine, type Struck } from './breaks';
import { groupsOf, LAYOUTS, type PoolSet } from './layouts';
import { setOf, type Drive, type SetTold } from './setsOf';

/** The same sets with their drives dealt otherwise, and the things that then take no set with them any more. */
export type Dealt = { readonly sets: readonly PoolSet[]; readonly saved: readonly Struck[]; readonly left: number };

export const losing = (singles: readonly Struck[]): Struck[] =>
  singles.filter(({ things: [thing], worst }) => worst === 'lost' && thing?.kind !== 'drive');

/**
 * Drives of one size dealt out to their sets in turn, in the order of the cards, cables, cages and feeds they hang on:
 * of any of those every set then has as few as can be, since what hangs on one thing stands together in that order
 * (of c drives dealt to s sets each gets c/s rounded up or down). Null where no single thing fewer takes a set with it.
 */
export function dealtOut(
  machine: Machine,
  wiring: Wiring,
  gone: readonly Gone[],
  sets: readonly SetTold[],
  now: readonly Struck[] = singlesOf(machine, wiring, gone, sets),
): Dealt | null {
  const before = losing(now);
  if (before.length === 0) return null;
  const dealt = dealSets(machine, wiring, gone, sets);
  const after = new Set(losing(singlesOf(machine, wiring, gone, dealt)).map(({ things }) => things[0]!.key));
  const saved = before.filter(({ things }) => !after.has(things[0]!.key));
  return after.size < before.length ? { sets: dealt.map(({ set }) => set), saved, left: after.size } : null;
}

/** What fails together: all of a set, of mirrors each group, and apart from those what has no partner. */
type Cell = { readonly set: number; readonly size: number; readonly drives: Drive[] };

const isFull = ({ size, drives }: Cell): boolean => drives.length >= size;

/** The same sets with the drives dealt to them in turn; their members are the places a drive of theirs should have. */
export function dealSets(machine: Machine, wiring: Wiring, gone: readonly Gone[], sets: readonly SetTold[]): SetTold[] {
  const members = new Set(sets.flatMap(({ drives }) => drives.map(({ id }) => id)));
  const { ways, needs } = hangingOf(machine, wiring, gone, members);
  // The card first, then its cable, then what it stands in: contiguous on every level.
  const keyOf = (id: UnitId): string =>
    [...[...(ways.get(id)?.[0] ?? [])].reverse(), ...(needs.get(id) ?? []).filter((key) => key !== id)].join('|');
  const classes = new Map<string, number[]>();
  for (const [at, { drives, set }] of sets.entries()) {
    const [first] = drives;
    const isEven = drives.every(
      ({ part }) => part.capacityBytes === first?.part.capacityBytes && part.medium === first.part.medium,
    );
    if (!first || !isEven || LAYOUTS[set.layout].spare === 0) continue;
    const key = `${first.part.medium} ${first.part.capacityBytes}`;
    classes.set(key, [...(classes.get(key) ?? []), at]);
  }
  const next = sets.map(({ drives }) => [...drives]);
  for (const own of classes.values()) {
    const cells = own.flatMap((at): Cell[] => {
      const { kind, spare } = LAYOUTS[sets[at]!.set.layout];
      const { drives } = sets[at]!;
      if (kind !== 'mirror') return [{ set: at, size: drives.length, drives: [] }];
      const over = drives.length % (spare + 1);
      return [
        ...groupsOf(drives, spare + 1).map(() => ({ set: at, size: spare + 1, drives: [] })),
        ...(over > 0 ? [{ set: at, size: over, drives: [] }] : []),
      ];
    });
    const hands = own
      .flatMap((at) => sets[at]!.drives)
      .map((drive, i) => ({ drive, key: keyOf(drive.id), i }))
      .sort((a, b) => (a.key < b.key ? -1 : a.key > b.key ? 1 : a.i - b.i));
    let turn = 0;
    for (const { drive } of hands) {
      // All cells together hold as many as there are hands, so one is always free.
      while (isFull(cells[turn % cells.length]!)) turn++;
      cells[turn++ % cells.length]!.drives.push(drive);
    }
    for (const at of own) next[at] = cells.filter((cell) => cell.set === at).flatMap(({ drives }) => drives);
  }
  return sets.map(({ set }, at) => setOf({ ...set, units: next[at]!.map(({ id }) => id) }, next[at]!));
}
