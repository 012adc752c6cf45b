import type { FigureContext } from '../figures/context';
import { dataDrives } from '../machine/roles';
import type { UnitOf } from '../machine/units';
import { asSets, proposeSets } from './propose';
import { bytesIn, LAYOUTS, paddedShare, survives, type PoolSet, type SetBytes } from './layouts';
import { agedAfrPct, rebuildHours, unreadable, yearlyLoss } from './risk';

export type Drive = UnitOf<'drive'>;
/** What records take of a parity set where nobody said how large they are: 128 KiB in units of 4 KiB. */
const USUAL_RECORD = { recordBytes: 131_072, allocationBytes: 4096 };
/** Metadata and what a file system keeps for itself. */
const KEPT = 0.02;

/** A set with its drives that are there: what it holds, survives, gives and risks. */
export type SetTold = {
  readonly set: PoolSet;
  readonly drives: readonly Drive[];
  readonly bytes: SetBytes;
  /** Share of the data bytes that stays after padding, and whether the set says its record size. */
  readonly padded: number;
  readonly saysRecord: boolean;
  readonly any: number;
  readonly lucky: number;
  /** One after the other and at random, before cards, links and the network. */
  readonly readMBps: number;
  readonly writeMBps: number;
  readonly readIops: number;
  readonly writeIops: number;
  readonly rebuildH: number;
  /** A year, by drives alone: at best, and with failures that come together. */
  readonly loss: { readonly apart: number; readonly together: number };
  /** That a rebuild with no redundancy left meets a sector it cannot read. */ readonly unreadable: number;
};

/** The sets of a machine: made by hand, or proposed for the failures wished; and data drives that are in none. */
export type Pool = {
  readonly sets: readonly SetTold[];
  readonly isProposed: boolean;
  readonly loose: readonly Drive[];
};

type Asked = Pick<FigureContext, 'units' | 'pool' | 'failuresWished'>;
const kept = new WeakMap<FigureContext['units'], { readonly asked: Asked; readonly pool: Pool }>();

/** Sets as they are kept, or a proposal where none are; asked again of the same machine the same is given. */
export function poolOf({ units, pool, failuresWished }: Asked): Pool {
  const known = kept.get(units);
  if (known && known.asked.pool === pool && known.asked.failuresWished === failuresWished) return known.pool;
  const told = tell(units, pool, failuresWished);
  kept.set(units, { asked: { units, pool, ...(failuresWished === undefined ? {} : { failuresWished }) }, pool: told });
  return told;
}

function tell(units: Asked['units'], pool: Asked['pool'], failuresWished: number | undefined): Pool {
  const data = dataDrives(units);
  const isProposed = pool.sets.length === 0;
  const sets = isProposed ? asSets(proposeSets(data, failuresWished)) : pool.sets;
  const inSome = new Set(sets.flatMap(({ units: members }) => members));
  return {
    sets: sets.map((set) => toldOf(set, units)).filter(({ drives }) => drives.length > 0),
    isProposed,
    loose: data.filter(({ id }) => !inSome.has(id)),
  };
}

/** Sets that hold something: those short of drives do not. */
export const holding = (sets: readonly SetTold[]): readonly SetTold[] => sets.filter(({ bytes }) => bytes.data > 0);

/** Sets on flash alone are a pool of their own beside those with disks. */
export const mediumOf = ({ drives }: SetTold): 'disk' | 'flash' =>
  drives.every(({ part }) => part.medium === 'flash') ? 'flash' : 'disk';

/** A set by what its drives are; those it names that are gone, or that are for something else, are not there. */
export function toldOf(set: PoolSet, units: FigureContext['units']): SetTold {
  const byId = new Map(dataDrives(units).map((unit) => [unit.id as string, unit]));
  const drives = set.units.flatMap((id) => byId.get(id) ?? []);
  return setOf(set, drives);
}

export function setOf(set: PoolSet, drives: readonly Drive[]): SetTold {
  const { kind, spare } = LAYOUTS[set.layout];
  const parts = drives.map(({ part }) => part);
  const n = parts.length;
  const bytes = bytesIn(
    set.layout,
    parts.map(({ capacityBytes }) => capacityBytes),
  );
  const { any, lucky } = survives(set.layout, n);
  const least = (of: (part: Drive['part']) => number) => (n > 0 ? Math.min(...parts.map(of)) : 0);
  const [rate, iops] = [least((part) => part.sequentialMBps), least((part) => part.randomIops)];
  const holds = bytes.data > 0;
  const groups = kind === 'mirror' ? Math.floor(n / (spare + 1)) : 1;
  const rows = { single: 1, stripe: n, mirror: groups, parity: n - spare, dedicated: 1 }[kind];
  const readers = kind === 'mirror' ? n : kind === 'dedicated' ? 1 : rows;
  const small = { single: n, stripe: n, mirror: n, parity: 1, dedicated: n - spare }[kind];
  const smallWrites = kind === 'mirror' ? groups : kind === 'dedicated' ? 1 : small;
  const rebuildH = Math.max(0, ...parts.map(rebuildHours));
  const afrPct =
    drives.reduce((sum, { part, item }) => sum + agedAfrPct(part.annualFailurePct, item ?? {}), 0) / Math.max(1, n);
  // Of mirrors each pair stands for itself; of drives without redundancy each loses what is on it.
  const unit = { drives: kind === 'mirror' ? spare + 1 : n, spare: any, afrPct, rebuildH };
  const ofAll = (one: number) => 1 - (1 - one) ** groups;
  const smallest = least((part) => part.capacityBytes);
  const readBack = kind === 'mirror' ? smallest : kind === 'dedicated' || kind === 'parity' ? (n - any) * smallest : 0;
  const { recordBytes, allocationBytes = USUAL_RECORD.allocationBytes } = set;
  return {
    set,
    drives,
    bytes,
    padded: paddedShare(set.layout, n, {
      recordBytes: recordBytes ?? USUAL_RECORD.recordBytes,
      allocationBytes,
    }),
    saysRecord: recordBytes !== undefined,
    any: holds ? any : 0,
    lucky: holds ? lucky : 0,
    readMBps: holds ? readers * rate : 0,
    writeMBps: holds ? rows * rate : 0,
    readIops: holds ? small * iops : 0,
    writeIops: holds ? smallWrites * iops : 0,
    rebuildH: any > 0 ? rebuildH : 0,
    loss: { apart: ofAll(yearlyLoss(unit, 1)), together: ofAll(yearlyLoss(unit)) },
    unreadable: any > 0 ? unreadable(readBack, Math.max(0, ...parts.map((part) => part.unreadablePerBit))) : 0,
  };
}

/** The bytes of a set that a builder can fill: padding and metadata taken off at the most they are likely to take. */
export const leastBytes = ({ bytes, padded }: SetTold): number => bytes.data * padded * (1 - KEPT);
/** Where the record size is said, padding is known; else none of it is likely and all of it possible. */
export const likelyBytes = ({ bytes, padded, saysRecord }: SetTold): number => bytes.data * (saysRecord ? padded : 1);
