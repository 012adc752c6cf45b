import type { FigureContext } from '../figures/context';
import { dataDrives, rolesOf, type Role } from '../machine/roles';
import { ofKind } from '../machine/units';
import type { UnitId } from '../parts/ids';
import { valueFor } from '../lists';
import { LAYOUTS, TERABYTE, type PoolSet } from './layouts';
import { leastBytes, likelyBytes, poolOf, type Drive, type SetTold } from './setsOf';
import { together, waysFor, type PoolTold, type PoolWay } from './ways';

/** A drive as the view of the pool shows it. */
export type PoolDrive = {
  readonly unit: UnitId;
  readonly mark: string;
  readonly name: string;
  readonly tb: number;
  readonly medium: 'disk' | 'flash';
};
/** A set with what each of its drives gives to it, TB: what is beyond that a layout of these sizes wastes. */
export type SetSeen = Omit<SetTold, 'drives' | 'bytes'> & {
  readonly drives: readonly (PoolDrive & { readonly usedTb: number })[];
  readonly usableTb: number;
  readonly leastTb: number;
  readonly redundancyTb: number;
  readonly wastedTb: number;
};
export type PoolSeen = {
  readonly sets: readonly SetSeen[];
  readonly isProposed: boolean;
  readonly proposed: readonly PoolSet[];
  /** Data drives in no set. */ readonly loose: readonly PoolDrive[];
  /** Drives with another role. */ readonly support: readonly (PoolDrive & { readonly role: Role })[];
  readonly all: PoolTold;
  /** Layouts of the data drives side by side, of the medium that has most TB; `rest` are sets of the others. */
  readonly ways: readonly PoolWay[];
  readonly rest: readonly PoolSet[];
};

const seen = ({ id, mark, part }: Drive): PoolDrive => ({
  unit: id,
  mark,
  name: part.name,
  tb: part.capacityBytes / TERABYTE,
  medium: part.medium,
});

/** How much of each drive its layout uses, bytes: of mirrors the smaller partner's, of parity the smallest of all. */
function usedOf({ set, drives, bytes }: SetTold): (drive: Drive) => number {
  if (bytes.data === 0) return () => 0;
  const capacities = drives.map(({ part }) => part.capacityBytes);
  const { kind, spare } = LAYOUTS[set.layout];
  switch (kind) {
    case 'single':
      return ({ part }) => part.capacityBytes;
    case 'dedicated': {
      const largestData = [...capacities].sort((a, b) => b - a)[spare] ?? 0;
      return ({ part }) => Math.min(part.capacityBytes, largestData);
    }
    case 'mirror': {
      const size = spare + 1;
      const whole = Math.floor(drives.length / size) * size;
      return (drive) => {
        const at = drives.indexOf(drive);
        if (at >= whole) return 0;
        const from = at - (at % size);
        return Math.min(...capacities.slice(from, from + size));
      };
    }
    default:
      return () => Math.min(...capacities);
  }
}

export function poolTold(context: FigureContext): PoolSeen {
  const { sets, isProposed, loose } = poolOf(context);
  const roles = rolesOf(context.units);
  const data = dataDrives(context.units);
  const bytes = (medium: 'disk' | 'flash') =>
    data.reduce((sum, { part }) => (part.medium === medium ? sum + part.capacityBytes : sum), 0);
  const main = bytes('disk') >= bytes('flash') ? 'disk' : 'flash';
  const own = data.filter(({ part }) => part.medium === main);
  const isMain = ({ drives }: SetTold) => drives.every(({ part }) => part.medium === main);
  return {
    sets: sets.map((told): SetSeen => {
      const { drives, bytes: held, ...rest } = told;
      const used = usedOf(told);
      return {
        ...rest,
        drives: drives.map((drive) => ({ ...seen(drive), usedTb: used(drive) / TERABYTE })),
        usableTb: likelyBytes(told) / TERABYTE,
        leastTb: leastBytes(told) / TERABYTE,
        redundancyTb: held.redundancy / TERABYTE,
        wastedTb: held.wasted / TERABYTE,
      };
    }),
    isProposed,
    proposed: isProposed ? sets.map(({ set }) => set) : [],
    loose: loose.map(seen),
    support: ofKind(context.units, 'drive').flatMap((drive) => {
      const role = valueFor(roles, drive.id);
      return role === 'data' ? [] : [{ ...seen(drive), role }];
    }),
    all: together(sets, loose),
    ways: own.length > 1 ? waysFor(own) : [],
    rest: sets.filter((told) => !isMain(told)).map(({ set }) => set),
  };
}
