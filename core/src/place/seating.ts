import { printSpot, type How, type Layout, type Seat, type SpotRef } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import type { PartKind } from '../parts/vocabulary';
import { limitFor } from './clearance';
import { match } from './matching';
import { mismatch } from './mates';
import { portsTakenBy, protocolOf } from './ports';
import { refsOf, spotsOf, type SpotGroup, type SpotType } from './spots';
import { CARD_KINDS, isCard, isKind, unitsById, type PlannedUnit } from './units';

type Place = { readonly ref: SpotRef; readonly name: string; readonly group: SpotGroup };
type Stage = { readonly kinds: readonly PartKind[]; readonly spots: readonly SpotType[]; readonly where?: (unit: PlannedUnit) => boolean };

/** Hosts before what they host, so that every stage sees all of its spots. */
const STAGES: readonly Stage[] = [
  { kinds: ['chassis'], spots: ['floor'] },
  { kinds: ['adapter'], spots: ['bay'] },
  { kinds: ['board'], spots: ['tray'] },
  { kinds: ['supply'], spots: ['supplyBay'] },
  { kinds: ['processor'], spots: ['socket'] },
  { kinds: ['cooler'], spots: ['coolerMount'] },
  { kinds: ['memory'], spots: ['memoryBank'] },
  { kinds: CARD_KINDS, spots: ['slot'] },
  { kinds: ['drive'], spots: ['m2'] },
  { kinds: ['drive'], spots: ['bay'] },
  { kinds: ['drive'], spots: ['usb'] },
  { kinds: ['fan'], spots: ['fanMount'] },
];

const ROLE_WEIGHT: Readonly<Record<string, number>> = { data: 0, boot: 1 };
const weight = (unit: PlannedUnit) => ROLE_WEIGHT[unit.role ?? 'data'] ?? 2;

export type Seating = { readonly at: Map<string, Seat>; readonly dormant: Layout['dormant']; readonly groups: ReadonlyMap<string, SpotGroup> };

/**
 * A seat for every unit that finds one: a maximum matching of units to spots, stage by stage, on
 * top of the hint. Spots where a part also fits by its millimetres are used before those where it
 * only mates. With `calmM2` modules prefer sockets that take no port away over where they were.
 */
export function seatUnits(units: readonly PlannedUnit[], hint: Layout, calmM2 = false): Seating {
  const at = new Map<string, Seat>();
  const groups = new Map<string, SpotGroup>();
  const boxes = units.filter((unit) => isKind(unit, 'chassis')).length;
  const byType = new Map<SpotType, Place[]>();
  const open = (group: SpotGroup) => {
    for (const ref of refsOf(group)) {
      const place = { ref, name: printSpot(ref), group };
      groups.set(place.name, group);
      const list = byType.get(group.type);
      if (list) list.push(place);
      else byType.set(group.type, [place]);
    }
  };
  const inside = new Map<string, PlannedUnit[]>();
  for (const unit of units) if (unit.builtIn) inside.set(unit.builtIn.spot.host, [...(inside.get(unit.builtIn.spot.host) ?? []), unit]);
  const host = (unit: PlannedUnit) => {
    for (const group of spotsOf(unit.id, unit.part)) if (group.type !== 'connector' && group.type !== 'opening') open(group);
    // What is built in is there with its host, and so are its places.
    inside.get(unit.id)?.forEach(host);
  };
  open({ type: 'floor', kind: 'chassis', host: 'floor', key: 'chassis', label: 'Floor', count: Math.max(boxes, 1) });

  const wished = wishes(units, hint);
  const taken = fixedPlaces(units);
  const loose = new Map<PartKind, PlannedUnit[]>();
  for (const unit of units) {
    if (unit.builtIn) continue;
    const like = loose.get(unit.part.kind);
    if (like) like.push(unit);
    else loose.set(unit.part.kind, [unit]);
  }
  for (const stage of STAGES) {
    const lefts = stage.kinds.flatMap((kind) => loose.get(kind) ?? []).filter((unit) => !at.has(unit.id)).sort((a, b) => weight(a) - weight(b));
    const spots = stage.spots.flatMap((type) => byType.get(type) ?? []);
    if (lefts.length === 0 || spots.length === 0) continue;
    const sit = (unit: PlannedUnit, place: Place) => {
      const wish = wished.get(unit.id);
      at.set(unit.id, wish?.name === place.name ? wish.seat : { spot: place.ref, how: 'solved' as How });
      taken.add(place.name);
      if (widthOf(unit.part) > 1) for (const name of alsoCovers(unit, place, units)) taken.add(name);
      host(unit);
    };
    // What takes several places in a row is dealt first, one by one: a matching knows single places only.
    for (const unit of lefts.filter((one) => widthOf(one.part) > 1)) {
      const place = placeForWide(unit, spots, taken, wished.get(unit.id), units);
      if (place) sit(unit, place);
    }
    const single = lefts.filter((unit) => widthOf(unit.part) === 1);
    const calm = calmM2 && stage.spots[0] === 'm2';
    const standing = calm ? null : allStand(single, wished, groups, stage, taken);
    if (standing) { standing.forEach((place, i) => sit(single[i]!, place)); continue; }
    const places = spots.filter((place) => !taken.has(place.name));
    for (const [unit, place] of seatStage(single, places, wished, { at, units, calm })) sit(unit, place);
  }
  return { at, dormant: sleepers(units, wished, at, groups), groups };
}

/** The old places of all of a stage's units where every one of them stands: then there is nothing to match. Null otherwise. */
function allStand(units: readonly PlannedUnit[], wished: Wishes, groups: ReadonlyMap<string, SpotGroup>, stage: Stage, taken: ReadonlySet<string>): Place[] | null {
  const places: Place[] = [];
  const used = new Set<string>();
  for (const unit of units) {
    const wish = wished.get(unit.id);
    const group = wish && groups.get(wish.name);
    if (!group || !stage.spots.includes(group.type) || taken.has(wish.name) || used.has(wish.name) || mismatch(unit.part, group)) return null;
    used.add(wish.name);
    places.push({ ref: wish.seat.spot, name: wish.name, group });
  }
  return places;
}

const widthOf = (part: PlannedUnit['part']): number => (part.kind === 'adapter' ? part.span : isCard(part) ? Math.ceil(part.thickSlots) : 1);

/** The first place, its old one before others, where a wide unit finds every place it lies over free. */
function placeForWide(unit: PlannedUnit, spots: readonly Place[], taken: ReadonlySet<string>, wish: Wish | undefined, units: readonly PlannedUnit[]): Place | undefined {
  const free = spots.filter((place) => !mismatch(unit.part, place.group) && [place.name, ...alsoCovers(unit, place, units)].every((name) => !taken.has(name)) && endsWithin(unit, place));
  return free.find((place) => place.name === wish?.name) ?? free[0];
}

const alsoCovers = (unit: PlannedUnit, { ref }: Place, units: readonly PlannedUnit[]): string[] =>
  isKind(unit, 'adapter') ? Array.from({ length: unit.part.span - 1 }, (_, i) => printSpot({ ...ref, n: (ref.n ?? 1) + i + 1 })) : coveredBy(unit, ref, units);

const endsWithin = (unit: PlannedUnit, { ref, group }: Place): boolean => !isKind(unit, 'adapter') || (ref.n ?? 1) + unit.part.span - 1 <= group.count;

type Wish = { readonly seat: Seat; readonly name: string };
type Wishes = ReadonlyMap<string, Wish>;

/** Hint seats and sleeping places alike: both are wanted again as soon as they can be had. */
function wishes(units: readonly PlannedUnit[], hint: Layout): Wishes {
  const wished = new Map<string, Wish>();
  for (const unit of units) {
    const asleep = hint.dormant[unit.id];
    const seat = asleep ? { spot: asleep.spot, how: asleep.how } : hint.at[unit.id];
    if (seat) wished.set(unit.id, { seat, name: printSpot(seat.spot) });
  }
  return wished;
}

/** Places that a fixed built-in part has for good. */
function fixedPlaces(units: readonly PlannedUnit[]): Set<string> {
  const taken = new Set<string>();
  for (const unit of units) if (unit.builtIn?.fixed) for (const name of spellings(unit.builtIn.spot)) taken.add(name);
  return taken;
}

/** A built-in at n 1 of a group of one is spelt without its number. */
const spellings = (spot: SpotRef) => [printSpot(spot), ...(spot.n === 1 ? [printSpot({ host: spot.host, key: spot.key })] : [])];

/** Slots a thick card lies over besides its own. */
export function coveredBy(card: PlannedUnit, spot: SpotRef, units: readonly PlannedUnit[]): string[] {
  if (!isCard(card.part) || card.part.thickSlots <= 1) return [];
  const board = unitsById(units).get(spot.host);
  if (!board || !isKind(board, 'board')) return [];
  const own = board.part.slots.find((slot) => slot.key === spot.key);
  if (!own) return [];
  const reach = own.position + Math.ceil(card.part.thickSlots) - 1;
  return board.part.slots.filter((slot) => slot.position > own.position && slot.position <= reach).map((slot) => printSpot({ host: spot.host, key: slot.key }));
}

type Context = { readonly at: ReadonlyMap<string, Seat>; readonly units: readonly PlannedUnit[]; readonly calm: boolean };

function seatStage(lefts: PlannedUnit[], places: Place[], wished: Wishes, context: Context): Map<PlannedUnit, Place> {
  const indexOf = new Map(places.map((place, i) => [place.name, i]));
  const byClass = new Map<string, { fitting: number[]; mating: number[] }>();
  const edgesOf = (unit: PlannedUnit) => {
    const name = `${unit.part.id}|${unit.role ?? ''}`;
    const known = byClass.get(name);
    if (known) return known;
    const mating: { i: number; cost: number; fits: boolean }[] = [];
    const costs = new Map<SpotGroup, { cost: number; fits: boolean } | null>();
    places.forEach((place, i) => {
      let cost = costs.get(place.group);
      if (cost === undefined) costs.set(place.group, (cost = mismatch(unit.part, place.group) ? null : { cost: preference(unit, place.group, context), fits: fitsIn(unit, place.group, context) }));
      if (cost) mating.push({ i, ...cost });
    });
    mating.sort((a, b) => a.cost - b.cost || a.i - b.i);
    const found = { fitting: mating.filter((one) => one.fits).map((one) => one.i), mating: mating.map((one) => one.i) };
    byClass.set(name, found);
    return found;
  };
  const seed = lefts.flatMap((unit, left): [number, number][] => {
    const wish = wished.get(unit.id);
    const right = wish && indexOf.get(wish.name);
    if (right === undefined || (context.calm && wish!.seat.how !== 'held')) return [];
    return mismatch(unit.part, places[right]!.group) ? [] : [[left, right]];
  });
  // Held places are dealt first, then those put by hand, so that neither is taken by a hint that came earlier.
  const rank = { held: 0, put: 1, solved: 2 } as const;
  const howOf = (left: number) => wished.get(lefts[left]!.id)!.seat.how;
  seed.sort((a, b) => rank[howOf(a[0])] - rank[howOf(b[0])]);
  const seeded = new Set(seed.map(([left]) => left));
  const fixed = (left: number) => seeded.has(left) && howOf(left) === 'held';
  const first = match(lefts.length, places.length, (left) => edgesOf(lefts[left]!).fitting, seed, fixed);
  const standing = first.flatMap((right, left): [number, number][] => (right === -1 ? [] : [[left, right]]));
  const all = standing.length === lefts.length ? first : match(lefts.length, places.length, (left) => edgesOf(lefts[left]!).mating, standing, fixed);
  return new Map(all.flatMap((right, left): [PlannedUnit, Place][] => (right === -1 ? [] : [[lefts[left]!, places[right]!]])));
}

/** Smaller is better; equal ones go by the order of the sheet. */
function preference(unit: PlannedUnit, group: SpotGroup, context: Context): number {
  const { part } = unit;
  if (group.type === 'slot' && isCard(part)) return Math.max(0, part.lanes - group.slot.wiredLanes) * 100 + Math.max(0, part.gen - group.slot.gen) * 10 + (group.slot.lanes - part.lanes);
  if (group.type === 'bay' && part.kind === 'drive') return group.group.takes.indexOf(part.size as never) * 10 + (unit.role === 'boot' ? (group.group.access === 'fixed' ? 0 : 5) : group.group.access === 'hotSwap' ? 0 : 5);
  if (group.type === 'm2' && part.kind === 'drive') {
    const board = context.units.find((one) => one.id === group.host);
    return board && isKind(board, 'board') ? portsTakenBy(board.part, group.key, protocolOf(part)) * 10 + (part.gbPerLane * part.lanes > group.socket.lanes * 16 ? 1 : 0) : 0;
  }
  return 0;
}

function fitsIn(unit: PlannedUnit, group: SpotGroup, context: Context): boolean {
  const { part } = unit;
  if (group.type === 'bay' && part.kind === 'drive') return part.heightMm <= group.group.maxDriveHeightMm;
  if (group.type === 'supplyBay' && part.kind === 'supply') return part.lengthMm <= group.bay.maxLengthMm;
  if (group.type === 'slot' && isCard(part)) {
    const chassis = chassisAround(group.host, context.at, context.units);
    const limit = chassis && limitFor(chassis, 'card', { slot: group.slot.position, occupied: new Set() });
    return !limit || part.lengthMm <= limit.maxMm;
  }
  return true;
}

/** The chassis a unit sits in, through boards and adapters; null while it lies on the table. */
export function chassisAround(unitId: string, at: ReadonlyMap<string, Seat>, units: readonly PlannedUnit[]): PartOf<'chassis'> | null {
  const unit = boxOf(unitId, at, units);
  return unit && isKind(unit, 'chassis') ? unit.part : null;
}

export function boxOf(unitId: string, at: ReadonlyMap<string, Seat>, units: readonly PlannedUnit[]): PlannedUnit | null {
  const byId = unitsById(units);
  for (let id = unitId, depth = 0; depth < 6; depth++) {
    const unit = byId.get(id);
    if (!unit) return null;
    if (isKind(unit, 'chassis')) return unit;
    const spot = unit.builtIn?.spot ?? at.get(id)?.spot;
    if (!spot) return null;
    id = spot.host;
  }
  return null;
}

/** Put and held places that cannot stand sleep with their reason. */
function sleepers(units: readonly PlannedUnit[], wished: Wishes, at: ReadonlyMap<string, Seat>, groups: ReadonlyMap<string, SpotGroup>): Layout['dormant'] {
  return Object.fromEntries(units.flatMap((unit) => {
    const wish = wished.get(unit.id);
    if (!wish || wish.seat.how === 'solved' || at.get(unit.id) === wish.seat) return [];
    const group = groups.get(wish.name);
    const reason = !group ? 'that place is not there now' : mismatch(unit.part, group) ? 'it does not go there' : 'another part needs that place';
    return [[unit.id, { spot: wish.seat.spot, how: wish.seat.how, reason }]];
  }));
}
