import { memberAt } from '../lists';
import { parseSpot, type Layout } from '../build/layout';
import type { CableNeeds } from '../needs/cables';
import type { HostPort } from '../links/ports';
import { groupAt } from '../machine/spotAt';
import { isCard, isKind, ofKind, unitsById, type PlannedUnit } from '../machine/units';
import { lower, nth } from './cableWords';
import type { LooseEnd } from './rows';

/**
 * What nothing is plugged into, with its reason: drives, cards, ports switched off, cables that sleep, cables that fit
 * nowhere.
 */
export function looseEnds(
  units: readonly PlannedUnit[],
  layout: Layout,
  ports: readonly HostPort[],
  unconnected: readonly PlannedUnit[],
  needs: Pick<CableNeeds, 'spare'>,
): LooseEnd[] {
  const byId = unitsById(units);
  const end = (unit: PlannedUnit, words: string, why: string): LooseEnd => ({
    unit: unit.id,
    mark: unit.mark,
    words,
    why,
  });
  const off = ports.filter(({ offBecause }) => offBecause);
  const offs = [...new Set(off.map(({ unit }) => unit))].map((unit) => {
    const mine = off.filter((port) => port.unit === unit);
    const by = memberAt(mine, 0).offBecause!;
    return end(
      unit,
      `${mine.length} ${mine.length === 1 ? 'port' : 'ports'} of ${unit.part.name}`,
      isKind(by, 'chassis') ? 'no opening in the rear wall' : `switched off by ${by.part.name} ${by.mark}`,
    );
  });
  const drives = unconnected.map((unit) => {
    const seat = layout.at[unit.id];
    const group = seat && groupAt(byId, seat.spot);
    return end(
      unit,
      unit.part.name,
      `no port left for ${group ? lower(group.label) : 'its bay'}${seat?.spot.n ? ` ${seat.spot.n}` : ''}`,
    );
  });
  const tabled = ofKind(units, 'drive')
    .filter((unit) => !unit.builtIn && !layout.at[unit.id])
    .map((unit) => end(unit, unit.part.name, 'no bay'));
  const cards = units
    .filter((unit) => isCard(unit.part) && !layout.at[unit.id] && !unit.builtIn)
    .map((unit) => end(unit, unit.part.name, 'no slot'));
  const cables = needs.spare.map((unit) => end(unit, unit.part.name, 'fits nowhere here'));
  const asleep = Object.entries(layout.dormant).flatMap(([name, { spot, how, reason }]) => {
    const host = byId.get(spot.host);
    const device = parseSpot(name);
    return host && device
      ? [
          end(
            host,
            `Cable from ${host.part.name}, port${nth(spot)} to ` +
              `${byId.get(device.host)?.part.name ?? device.host}${nth(device)}, ` +
              `${how === 'held' ? 'held' : 'put by hand'}`,
            `sleeps: ${reason}`,
          ),
        ]
      : [];
  });
  return [...drives, ...tabled, ...cards, ...offs, ...asleep, ...cables];
}
