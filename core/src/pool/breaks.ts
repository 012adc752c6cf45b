import { drivesFor } from '../machine/roles';
import { isKind, seatSpot, unitsById, type PlannedUnit } from '../machine/units';
import type { Layout } from '../build/layout';
import type { StillWall } from '../figures/air/stillWalls';
import type { Gone } from '../figures/power/gone';
import type { UnitId } from '../parts/ids';
import type { Wiring } from '../wiring/rows';
import { groupsOf, LAYOUTS } from './layouts';
import type { SetTold } from './setsOf';

/** What can be struck out: a drive, what drives hang on, sit in or are fed by. */
export type Thing = {
  readonly key: string;
  readonly kind: 'drive' | 'card' | 'cable' | 'cage' | 'box' | 'powerCable' | 'supply' | 'fans';
  readonly mark: string;
  readonly name: string;
  /** The unit to look at. */ readonly unit: UnitId;
};
/** `hot`: all drives are there, some past their limit on the hottest day. */
export type SetState = 'lives' | 'short' | 'hot' | 'lost';
/** What is left of each set with one thing, or two, struck out. */
export type Struck = {
  readonly things: readonly Thing[];
  readonly drives: number;
  /** Drives of the sets that get too hot. */ readonly heated: number;
  readonly sets: readonly { readonly id: string; readonly gone: number; readonly state: SetState }[];
  readonly worst: SetState;
};

/** A drive is reached by any of its ways that is whole: a cable with the cards it starts at, or a socket of a board. */
type Way = readonly string[];
export type Machine = { readonly units: readonly PlannedUnit[]; readonly layout: Layout };

/** Everything that may fail by itself, and how each drive of the sets hangs on it. */
type Hanging = {
  readonly things: readonly Thing[];
  /** By drive: without all of its ways, or with one of what it stands in or is fed by gone, it is gone. */
  readonly ways: ReadonlyMap<UnitId, readonly Way[]>;
  readonly needs: ReadonlyMap<UnitId, readonly string[]>;
};

export function hangingOf(
  { units, layout }: Machine,
  wiring: Wiring,
  gone: readonly Gone[],
  members: ReadonlySet<UnitId>,
): Hanging {
  const byId = unitsById(units);
  const things = new Map<string, Thing>();
  const ways = new Map<UnitId, Way[]>();
  const needs = new Map<UnitId, string[]>();
  const add = <V>(map: Map<UnitId, V[]>, id: UnitId, value: V) => map.set(id, [...(map.get(id) ?? []), value]);
  const thing = (
    key: string,
    kind: Thing['kind'],
    unit: PlannedUnit,
    name = unit.part.name,
    mark: string = unit.mark,
  ) => {
    if (!things.has(key)) things.set(key, { key, kind, mark, name, unit: unit.id });
    return key;
  };
  const rows = new Map(wiring.hosts.map((row) => [row.unit, row]));
  /** The cards between a host and the board: itself, and what feeds it. */
  const chain = (host: string): string[] => {
    const keys: string[] = [];
    for (let at: string | null = host; at && keys.length < 8; at = rows.get(at)?.behind ?? null) {
      const unit = byId.get(at);
      if (unit && unit.part.kind !== 'board' && unit.part.kind !== 'chassis' && unit.part.kind !== 'drive')
        keys.push(thing(at, 'card', unit));
    }
    return keys;
  };
  for (const row of wiring.hosts) {
    for (const { label, drives, to } of row.cables) {
      const own = drives.filter((id) => members.has(id as UnitId));
      const unit = byId.get(row.unit);
      if (own.length === 0 || !unit) continue;
      const key = thing(`cable ${label}`, 'cable', unit, to.brief, label);
      for (const id of own) add(ways, id as UnitId, [key, ...chain(row.unit)]);
    }
    for (const { unit } of row.modules) if (members.has(unit as UnitId)) add(ways, unit as UnitId, chain(row.unit));
  }
  for (const id of members) {
    const drive = byId.get(id);
    if (!drive) continue;
    add(needs, id, thing(id, 'drive', drive));
    for (let at = seatSpot(layout, drive), depth = 0; at && depth < 6; depth++) {
      const host = byId.get(at.host);
      if (!host) break;
      const group =
        isKind(host, 'adapter') || isKind(host, 'chassis')
          ? host.part.bayGroups.find(({ key }) => key === at!.key)
          : undefined;
      // Bays without a board of their own have nothing that fails.
      if (group?.backplane)
        add(needs, id, thing(`${host.id}/${group.key}`, 'cage', host, `${group.label} of ${host.part.name}`));
      if (isKind(host, 'chassis') && host.part.style === 'external') add(needs, id, thing(host.id, 'box', host));
      at = seatSpot(layout, host);
    }
  }
  for (const one of gone) {
    const own = one.drives.filter((id) => members.has(id));
    const unit = byId.get(one.unit);
    if (one.host || one.kind === 'module' || own.length === 0 || !unit) continue;
    const isCable = one.label !== null;
    const key = isCable
      ? thing(`power ${one.unit}/${one.label}`, 'powerCable', unit, one.name, one.label ?? '')
      : thing(`power ${one.unit}`, 'supply', unit);
    for (const id of own) add(needs, id, key);
  }
  return { things: [...things.values()], ways, needs };
}

const RANK: Readonly<Record<SetState, number>> = { lives: 0, short: 1, hot: 2, lost: 3 };

function stateOf({ set, drives }: SetTold, isGone: (id: UnitId) => boolean): { gone: number; state: SetState } {
  const lost = drives.filter(({ id }) => isGone(id));
  const { kind, spare } = LAYOUTS[set.layout];
  const isLost =
    kind === 'mirror'
      ? groupsOf(drives, spare + 1).some((group) => group.every(({ id }) => isGone(id)))
      : lost.length > spare;
  return { gone: lost.length, state: isLost ? 'lost' : lost.length > 0 ? 'short' : 'lives' };
}

/** One thing struck out alone, with the drives that go with it: what a drawing strikes out. */
export type StruckAlone = Struck & { readonly lost: readonly UnitId[] };

/** The loss matrix: each thing struck out alone, the worst first, and the pairs that lose what neither does. */
export type Breaks = {
  readonly singles: readonly StruckAlone[];
  /** Two that together lose a set which either alone does not; of two drives only how many pairs do. */
  readonly pairs: readonly Struck[];
  readonly drivePairs: { readonly lose: number; readonly of: number };
};

type Strike = { readonly things: readonly Thing[]; readonly strike: (struck: readonly Thing[]) => StruckAlone };

/** Everything that may fail, and what is left of the sets with some of it struck out. */
function strikes(
  machine: Machine,
  wiring: Wiring,
  gone: readonly Gone[],
  sets: readonly SetTold[],
  walls: readonly StillWall[],
): Strike {
  const meta = sets.length === 0 ? [] : drivesFor(machine.units, 'meta');
  const members = new Set([...sets.flatMap(({ drives }) => drives), ...meta].map(({ id }) => id));
  const { things, ways, needs } = hangingOf(machine, wiring, gone, members);
  const heats = new Map(walls.map((wall) => [`fans ${wall.key}`, wall.drives.filter((id) => members.has(id))]));
  const strike = (struck: readonly Thing[]): StruckAlone => {
    const keys = new Set(struck.map(({ key }) => key));
    const heated = new Set(struck.flatMap(({ key }) => heats.get(key) ?? []));
    const isGone = (id: UnitId): boolean => {
      if ((needs.get(id) ?? []).some((key) => keys.has(key))) return true;
      const own = ways.get(id) ?? [];
      return own.length > 0 && own.every((way) => way.some((key) => keys.has(key)));
    };
    // No set can be read without the metadata of the pool.
    const isBlind = meta.length > 0 && meta.every(({ id }) => isGone(id));
    const each = sets.map((told): Struck['sets'][number] => {
      const own = stateOf(told, isGone);
      if (own.state !== 'lost' && !isBlind && told.drives.some(({ id }) => heated.has(id)))
        return { id: told.set.id, ...own, state: 'hot' };
      return { id: told.set.id, ...own, ...(isBlind ? { state: 'lost' as const } : {}) };
    });
    const lost = [...members].filter(isGone);
    return {
      things: struck,
      drives: lost.length,
      heated: heated.size,
      lost,
      sets: each,
      worst: each.reduce<SetState>((worst, { state }) => (RANK[state] > RANK[worst] ? state : worst), 'lives'),
    };
  };
  const rows = walls.flatMap((wall): Thing[] => {
    const [first] = wall.fans;
    // Fans that come with a chassis have its mark.
    const mark = [...new Set(wall.fans.map((fan) => fan.mark))].join(', ');
    return first ? [{ key: `fans ${wall.key}`, kind: 'fans', mark, name: wall.label, unit: first.unit }] : [];
  });
  return { things: sets.length > 0 ? [...things, ...rows] : things, strike };
}

const worstFirst = (a: Struck, b: Struck) => RANK[b.worst] - RANK[a.worst] || b.drives - a.drives;

/** Each thing struck out alone, the worst first. */
export function singlesOf(
  machine: Machine,
  wiring: Wiring,
  gone: readonly Gone[],
  sets: readonly SetTold[],
): readonly Struck[] {
  const { things, strike } = strikes(machine, wiring, gone, sets, []);
  return things.map((one) => strike([one])).sort(worstFirst);
}

/** What fails, alone and two at once; `walls` are rows of fans that stand still. */
export function breaksOf(
  machine: Machine,
  wiring: Wiring,
  gone: readonly Gone[],
  sets: readonly SetTold[],
  walls: readonly StillWall[] = [],
): Breaks {
  const { things, strike } = strikes(machine, wiring, gone, sets, walls);
  const singles = things.map((one) => strike([one]));
  const alone = new Map(singles.map((one) => [one.things[0]!.key, one]));
  const isNew = (one: Struck): boolean =>
    one.sets.some(
      ({ id, state }) =>
        state === 'lost' &&
        one.things.every((each) => alone.get(each.key)!.sets.find((set) => set.id === id)?.state !== 'lost'),
    );
  const pairs: Struck[] = [];
  const drivePairs = { lose: 0, of: 0 };
  // A row of fans takes nothing by itself, so neither does it with another.
  const takes = things.filter(({ kind }) => kind !== 'fans');
  for (const [i, one] of takes.entries())
    for (const other of takes.slice(i + 1)) {
      const both = one.kind === 'drive' && other.kind === 'drive';
      if (both) drivePairs.of++;
      // What takes no drive alone may still take one beside another way that is gone.
      const { lost: _, ...struck } = strike([one, other]);
      if (!isNew(struck)) continue;
      if (both) drivePairs.lose++;
      else pairs.push(struck);
    }
  return { singles: singles.sort(worstFirst), pairs: pairs.sort(worstFirst), drivePairs };
}
