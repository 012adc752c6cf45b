import type { EditOf } from '../build/edits';
import { printSpot, type Layout, type SpotRef, type Wire } from '../build/layout';
import { bracketsWanted, leadsBetween } from '../links/brackets';
import { cableKindBetween, cableKindById } from '../links/cableKinds';
import { expanderPorts, hostPorts, type HostPort } from '../links/ports';
import { boxAmong } from '../machine/hosts';
import { seatSpot, unitsById, type PlannedUnit } from '../machine/units';

/** A port a cable could be moved to: what is on it now, and the edit that moves it there. */
export type OtherPort = {
  readonly ref: SpotRef;
  readonly name: string;
  readonly host: string;
  readonly words: string;
  readonly takenBy: Wire | null;
  readonly edit: EditOf<'cable.put'>;
};

/**
 * Every other port one end of a cable could be plugged into: a cable is made that goes from there to
 * where it ends, it speaks the same protocols and has the lanes. A breakout in reverse is joined
 * from several ports and stays as it is.
 */
export function otherPorts(units: readonly PlannedUnit[], layout: Layout, wire: Wire): OtherPort[] {
  const cable = cableKindById(wire.cable);
  const seatOf = (unit: PlannedUnit) => seatSpot(layout, unit);
  if (!cable || cable.shape === 'reverse') return [];
  const all = [...hostPorts(units, seatOf, layout.modes), ...expanderPorts(units, seatOf)];
  const now = all.find((port) => port.name === printSpot(wire.host[0]));
  if (!now) return [];
  const byId = unitsById(units);
  const brackets = bracketsWanted(units, (unit) => boxAmong(unit.id, byId, seatOf)?.id ?? null);
  const endOf = ({ host }: SpotRef) => ({
    inside: cable.bracketAt ? !now.inside : now.inside,
    box: boxAmong(host, byId, seatOf)?.id ?? null,
  });
  const on = new Map(layout.wires.flatMap((one) => one.host.map((host) => [printSpot(host), one] as const)));
  const fed = new Set(layout.wires.flatMap((one) => one.device.map(printSpot)));
  const goes = (port: HostPort) =>
    port.name !== now.name &&
    port.lanes >= Math.min(now.lanes, cable.shape === 'forward' ? 4 : now.lanes) &&
    cable.carries.some((one) => port.carries.includes(one) && now.carries.includes(one)) &&
    !fed.has(port.name) &&
    !wire.device.some(({ host }) => host === port.unit.id);
  return all.filter(goes).flatMap((port): OtherPort[] => {
    const kind = cableKindBetween(cable.shape, port.kind, cable.device);
    if (!kind || !wire.device.every((ref) => leadsBetween(kind, port, endOf(ref), brackets))) return [];
    const takenBy = on.get(port.name) ?? null;
    if (takenBy && cableKindById(takenBy.cable)?.shape === 'reverse') return [];
    return [
      {
        ref: port.ref,
        name: port.name,
        host: port.unit.id,
        words: `${port.unit.part.name} ${port.unit.mark}, port${port.ref.n ? ` ${port.ref.n}` : ''}`,
        takenBy,
        edit: { type: 'cable.put', wire: { ...wire, cable: kind.id, host: [port.ref], how: 'put' } },
      },
    ];
  });
}

/** The end of another cable that this one could take, the two changing places. */
export type OtherEnd = { readonly wire: Wire; readonly edit: EditOf<'cable.put'> };

/**
 * Ends at bays or cards that the other end of a cable could be plugged into: of those cables that could stand on its
 * port.
 */
export function otherEnds(units: readonly PlannedUnit[], layout: Layout, wire: Wire): OtherEnd[] {
  const mine = printSpot(wire.device[0]);
  const isMine = (one: Wire | null) => one !== null && printSpot(one.device[0]) === mine;
  return layout.wires
    .filter((other) => !isMine(other))
    .flatMap((other) =>
      otherPorts(units, layout, other)
        .filter(({ takenBy }) => isMine(takenBy))
        .map(({ edit }) => ({ wire: other, edit })),
    );
}
