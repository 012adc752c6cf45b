import type { PoolSet, SetLayout } from '@inch-tower/core';

/** Sets as they are kept when one of them is changed: what was only proposed becomes what is. */
export type Sets = readonly PoolSet[];

export const withLayout = (sets: Sets, id: string, layout: SetLayout): PoolSet[] =>
  sets.map((set) => (set.id === id ? { ...set, layout } : set));

export const withoutSet = (sets: Sets, id: string): PoolSet[] => sets.filter((set) => set.id !== id);

export const withoutDrive = (sets: Sets, unit: string): PoolSet[] =>
  sets
    .map((set) => ({ ...set, units: set.units.filter((one) => one !== unit) }))
    .filter(({ units }) => units.length > 0);

/** Drives put into a set, or into one of their own. */
export function withDrives(
  sets: Sets,
  units: PoolSet['units'],
  into: string | { readonly layout: SetLayout },
): PoolSet[] {
  if (typeof into === 'string')
    return sets.map((set) => (set.id === into ? { ...set, units: [...set.units, ...units] } : set));
  return [...sets, { id: freeName(sets), layout: into.layout, units: [...units] }];
}

export const withRecord = (sets: Sets, id: string, recordBytes: number | undefined): PoolSet[] =>
  sets.map((set) => {
    if (set.id !== id) return set;
    const { recordBytes: _old, ...rest } = set;
    return recordBytes === undefined ? rest : { ...rest, recordBytes };
  });

function freeName(sets: Sets): string {
  const names = new Set(sets.map(({ id }) => id));
  let n = 1;
  while (names.has(`set${n}`)) n++;
  return `set${n}`;
}

/** Sets of a way beside those that keep other drives, each under a name of its own. */
export function besides(rest: Sets, fresh: Sets): PoolSet[] {
  return fresh.reduce<PoolSet[]>((all, set) => [...all, { ...set, id: freeName(all) }], [...rest]);
}
