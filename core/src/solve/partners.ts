import { valueFor, memberAt, mapNonEmpty } from '../lists';
import type { Build } from '../build/build';
import type { Layout, Seat, Wire } from '../build/layout';
import { demandsFor } from '../links/demands';
import { partsAlike } from './likeness';
import { sourceOf } from '../links/passOn';
import { liveWires, wireServing } from '../links/unconnected';
import { isKind, type PlannedUnit } from '../machine/units';

/** Drives that mirror each other: a pair of a two-way mirror, three of a three-way one. */
export function partnersOf({ sets }: Build['pool']): readonly (readonly string[])[] {
  return sets.flatMap(({ layout, units }) => {
    const ways = layout === 'mirror2' ? 2 : layout === 'mirror3' ? 3 : 0;
    return ways === 0
      ? []
      : Array.from({ length: Math.floor(units.length / ways) }, (_, i) => units.slice(i * ways, (i + 1) * ways));
  });
}

/**
 * A second pass over a settled layout, cables fixed: mirror partners that hang on one card change bays
 * with drives alike of another, as long as that leaves fewer pairs on one card. What is put or held,
 * by its place or by a cable at its own end, stays. The same layout where nothing is gained.
 */
export function keepPartnersApart(
  units: readonly PlannedUnit[],
  layout: Layout,
  partners: readonly (readonly string[])[],
): Layout {
  if (partners.length === 0) return layout;
  const cardOf = cardsOf(units, layout);
  const own = new Map(
    partners.flatMap((group) => group.map((id) => [id, group.filter((other) => other !== id)] as const)),
  );
  const tied = new Set(
    layout.wires.flatMap((wire) => (wire.how === 'solved' ? [] : wire.device.map(({ host }) => host))),
  );
  const movable = units.filter(
    (unit) =>
      isKind(unit, 'drive') && layout.at[unit.id]?.how === 'solved' && cardOf.has(unit.id) && !tied.has(unit.id),
  );
  /** Partners of a drive on the card it has, or would have. */
  const together = (id: string, card = cardOf.get(id)) =>
    (own.get(id) ?? []).filter((other) => cardOf.get(other) === card).length;
  const standIn = new Map<string, string>();
  const apart = (id: string): boolean => {
    const unit = movable.find((one) => one.id === id);
    if (!unit || together(id) === 0) return false;
    const mine = valueFor(cardOf, id);
    const other = movable.find((one) => {
      const theirs = valueFor(cardOf, one.id);
      if (
        theirs === mine ||
        one.role !== unit.role ||
        !partsAlike(one.part, unit.part) ||
        valueFor(own, id).includes(one.id)
      )
        return false;
      return together(id, theirs) + together(one.id, mine) < together(id) + together(one.id);
    });
    if (!other) return false;
    const theirs = valueFor(cardOf, other.id);
    cardOf.set(id, theirs);
    cardOf.set(other.id, mine);
    const [placeOf, placeOfOther] = [standIn.get(id) ?? id, standIn.get(other.id) ?? other.id];
    standIn.set(id, placeOfOther);
    standIn.set(other.id, placeOf);
    return true;
  };
  // Every exchange leaves fewer pairs on one card, so this ends.
  while ([...own.keys()].filter(apart).length > 0);
  if (standIn.size === 0) return layout;
  return exchanged(layout, standIn);
}

/**
 * A layout in which each drive of `standIn` sits where another sat: it takes its bay and the cable and plug at its end.
 * Whoever moves keeps how it sat, or sits as `how` says.
 */
export function exchanged(layout: Layout, standIn: ReadonlyMap<string, string>, how?: Seat['how']): Layout {
  const now = new Map([...standIn].map(([unit, before]) => [before, unit]));
  const renamed = (wire: Wire): Wire =>
    wire.device.some(({ host }) => now.has(host))
      ? {
          ...wire,
          ...(how ? { how } : {}),
          device: mapNonEmpty(wire.device, (end) =>
            now.has(end.host) ? { ...end, host: now.get(end.host) as typeof end.host } : end,
          ),
        }
      : wire;
  const seats = [...standIn].flatMap(([unit, before]) => {
    const seat = layout.at[before];
    return seat ? [[unit, { ...seat, ...(how ? { how } : {}) }] as const] : [];
  });
  return {
    ...layout,
    at: { ...layout.at, ...Object.fromEntries(seats) },
    wires: layout.wires.map(renamed),
    plugs: layout.plugs.map(renamed),
  };
}

/** The card or board each drive hangs on; behind an expander or a chained shelf the one that feeds it. */
export function cardsOf(units: readonly PlannedUnit[], layout: Layout): Map<string, string> {
  const live = liveWires(units, layout.wires);
  return new Map(
    demandsFor(units, layout).flatMap((demand) => {
      const wire = wireServing(demand, live);
      if (!wire) return [];
      const at =
        demand.kind === 'backplane' && wire.host.length > 1 ? Math.max(0, wire.lanes?.indexOf(demand.lane) ?? 0) : 0;
      const host = memberAt(wire.host, at).host;
      return [[demand.unit.id, sourceOf(units, layout.wires, host) ?? host] as const];
    }),
  );
}

/** Pairs of partners on one card. */
export function pairsTogether(
  units: readonly PlannedUnit[],
  layout: Layout,
  partners: readonly (readonly string[])[],
): number {
  const cardOf = cardsOf(units, layout);
  return partners.reduce(
    (sum, group) =>
      sum +
      group.reduce(
        (all, id, i) =>
          all + group.slice(i + 1).filter((other) => cardOf.has(id) && cardOf.get(id) === cardOf.get(other)).length,
        0,
      ),
    0,
  );
}
