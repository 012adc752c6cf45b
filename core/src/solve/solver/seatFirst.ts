import { memberAt } from '../../lists';
import { printSpot, type Seat, type SpotRef } from '../../build/layout';
import type { PartKind } from '../../parts/vocabulary';
import { match } from '../matching';
import { mismatch } from '../../machine/accepts';
import { refsOf, spotsOf, type SpotGroup, type SpotType } from '../../machine/spots';
import { isKind, type PlannedUnit } from '../../machine/units';
import { seatAt, type Wishes } from './wishes';

type Place = { readonly ref: SpotRef; readonly name: string; readonly group: SpotGroup };
type Stage = { readonly kind: PartKind; readonly spot: SpotType };

/** Hosts before what they host, so that every stage sees all of its places. */
const STAGES: readonly Stage[] = [
  { kind: 'chassis', spot: 'floor' },
  { kind: 'board', spot: 'tray' },
  { kind: 'supply', spot: 'supplyBay' },
  { kind: 'processor', spot: 'socket' },
  { kind: 'cooler', spot: 'coolerMount' },
  { kind: 'memory', spot: 'memoryBank' },
  { kind: 'drive', spot: 'usb' },
  { kind: 'fan', spot: 'fanMount' },
];

/**
 * What is placed apart from cards, modules and drives in bays: no two of these kinds want the same
 * places, and none of them takes a port. A maximum matching for each kind, on top of the wishes.
 */
export function seatRest(units: readonly PlannedUnit[], wishes: Wishes): Map<string, Seat> {
  const at = new Map<string, Seat>();
  const byType = new Map<SpotType, Place[]>();
  const open = (group: SpotGroup) => {
    const list = byType.get(group.type);
    // Modules go where the board wants the first of them.
    const order = group.type === 'memoryBank' ? group.board.memoryFillOrder : [];
    const nth = (ref: SpotRef) => {
      const at = order.indexOf(ref.n ?? 1);
      return at < 0 ? order.length : at;
    };
    const places = refsOf(group)
      .map((ref) => ({ ref, name: printSpot(ref), group }))
      .sort((a, b) => nth(a.ref) - nth(b.ref));
    if (list) list.push(...places);
    else byType.set(group.type, places);
  };
  const inside = new Map<string, PlannedUnit[]>();
  for (const unit of units)
    if (unit.builtIn) inside.set(unit.builtIn.spot.host, [...(inside.get(unit.builtIn.spot.host) ?? []), unit]);
  const host = (unit: PlannedUnit) => {
    for (const group of spotsOf(unit.id, unit.part)) if (STAGES.some((stage) => stage.spot === group.type)) open(group);
    // What is built in is there with its host, and so are its places.
    inside.get(unit.id)?.forEach(host);
  };
  const boxes = units.filter((unit) => isKind(unit, 'chassis')).length;
  open({ type: 'floor', kind: 'chassis', host: 'floor', key: 'chassis', label: 'Floor', count: Math.max(boxes, 1) });
  const taken = fixedPlaces(units);
  for (const stage of STAGES) {
    const lefts = units.filter((unit) => unit.part.kind === stage.kind && !unit.builtIn);
    const places = (byType.get(stage.spot) ?? []).filter((place) => !taken.has(place.name));
    if (lefts.length === 0 || places.length === 0) continue;
    for (const [unit, place] of seatStage(lefts, places, wishes)) {
      at.set(unit.id, seatAt(wishes, unit.id, place.ref));
      host(unit);
    }
  }
  return at;
}

/** Places that a fixed built-in part has for good; one at number 1 of a group of one is spelt without it. */
export function fixedPlaces(units: readonly PlannedUnit[]): Set<string> {
  return new Set(
    units.flatMap((unit) => {
      if (!unit.builtIn?.fixed) return [];
      const { spot } = unit.builtIn;
      return [printSpot(spot), ...(spot.n === 1 ? [printSpot({ host: spot.host, key: spot.key })] : [])];
    }),
  );
}

/** Places where a part also fits by its millimetres are used before those where it only mates. */
function seatStage(lefts: readonly PlannedUnit[], places: readonly Place[], wishes: Wishes): [PlannedUnit, Place][] {
  const indexOf = new Map(places.map((place, i) => [place.name, i]));
  const byPart = new Map<string, { fitting: number[]; mating: number[] }>();
  const edgesOf = (unit: PlannedUnit) => {
    let known = byPart.get(unit.part.id);
    if (!known) {
      const mating = places.flatMap((place, i) => (mismatch(unit.part, place.group) ? [] : [i]));
      byPart.set(
        unit.part.id,
        (known = { mating, fitting: mating.filter((i) => fits(unit, memberAt(places, i).group)) }),
      );
    }
    return known;
  };
  const rank = { held: 0, put: 1, solved: 2 } as const;
  const seed = lefts
    .flatMap((unit, left): { left: number; right: number; rank: number }[] => {
      const wish = wishes.get(unit.id);
      const right = wish && indexOf.get(wish.name);
      return right === undefined ? [] : [{ left, right, rank: rank[wish!.seat.how] }];
    })
    .sort((a, b) => a.rank - b.rank);
  const held = new Set(seed.filter((one) => one.rank === 0).map((one) => one.left));
  const first = match(
    lefts.length,
    places.length,
    (left) => edgesOf(memberAt(lefts, left)).fitting,
    seed.map(({ left, right }): [number, number] => [left, right]),
    (left) => held.has(left),
  );
  const standing = first.flatMap((right, left): [number, number][] => (right === -1 ? [] : [[left, right]]));
  const all =
    standing.length === lefts.length
      ? first
      : match(
          lefts.length,
          places.length,
          (left) => edgesOf(memberAt(lefts, left)).mating,
          standing,
          (left) => held.has(left),
        );
  return all.flatMap((right, left): [PlannedUnit, Place][] =>
    right === -1 ? [] : [[memberAt(lefts, left), memberAt(places, right)]],
  );
}

const fits = ({ part }: PlannedUnit, group: SpotGroup): boolean =>
  group.type !== 'supplyBay' || part.kind !== 'supply' || part.lengthMm <= group.bay.maxLengthMm;
