import type { Wire } from '../build/layout';
import type { PartOf } from '../parts/resolve';
import type { Connector } from '../parts/connector';
import { memoPair } from '../memoLast';
import { isKind, unitsById, type PlannedUnit } from '../machine/units';

/** Connectors of a shelf through which the next one is chained, as they are called in the layout. */
export const throughConnectors = (chassis: PartOf<'chassis'>): Connector[] =>
  chassis.bayGroups.flatMap(({ key, backplane }) =>
    backplane?.type === 'expander'
      ? backplane.connectors
          .filter(({ role, side, lanes, count }) => role === 'either' && side === 'outside' && lanes > 1 && count > 1)
          .map((connector) => ({ ...connector, key: `${key}-${connector.key}` }))
      : [],
  );

/** Whether a unit hands on what feeds it: an expander card, or a shelf with a second connector. */
export const passesOn = (unit: PlannedUnit): boolean =>
  isKind(unit, 'expander') || (isKind(unit, 'chassis') && throughConnectors(unit.part).length > 0);

/** What feeds each unit that hands on: the unit at the other end of its first cable. */
const feedersOf = memoPair((units: readonly PlannedUnit[], wires: readonly Wire[]): ReadonlyMap<string, string> => {
  const byId = unitsById(units);
  const feeders = new Map<string, string>();
  for (const wire of wires)
    for (const { host } of wire.device) {
      const unit = byId.get(host);
      const from = wire.host[0]?.host;
      if (unit && from !== undefined && passesOn(unit) && !feeders.has(host)) feeders.set(host, from);
    }
  return feeders;
});

/** From the unit a cable starts at back to what feeds the chain: itself first, a board or card last. */
export function feedChain(units: readonly PlannedUnit[], wires: readonly Wire[], host: string): readonly string[] {
  const feeders = feedersOf(units, wires);
  const chain = [host];
  for (let at = feeders.get(host); at !== undefined && !chain.includes(at); at = feeders.get(at)) chain.push(at);
  return chain;
}

/** The board or card at the start of a chain; null where nothing feeds it. */
export function sourceOf(units: readonly PlannedUnit[], wires: readonly Wire[], host: string): string | null {
  const last = feedChain(units, wires, host).at(-1) ?? host;
  const unit = unitsById(units).get(last);
  return unit && passesOn(unit) ? null : last;
}
