import { valueFor } from '../lists';
import { printSpot, type Layout, type SpotRef, type Wire } from '../build/layout';
import { groupAt } from '../machine/spotAt';
import { throughConnectors } from '../links/passOn';
import { isKind, type PlannedUnit } from '../machine/units';
import type { CableRow } from './rows';

export const nth = ({ n }: SpotRef) => (n === undefined ? '' : ` ${n}`);
export function hostWords(unit: PlannedUnit, wire: Wire, byId: ReadonlyMap<string, PlannedUnit>): string {
  const host = valueFor(byId, unit.id).part;
  const connectors = host.kind === 'chassis' ? throughConnectors(host) : 'connectors' in host ? host.connectors : [];
  const connector = connectors.find(({ key }) => key === wire.host[0].key);
  const ports = wire.host.map((ref) => ref.n ?? 1);
  const name = connector?.label ?? wire.host[0].key;
  return (
    `${unit.part.name} ${unit.mark}, ` +
    `${lower(name)}${wire.host.length > 1 ? ` ${ports.join(', ')}` : nth(wire.host[0])}`
  );
}
/** Bays of an adapter are named with it: there may be several alike. */
const ofAdapter = (unit: PlannedUnit | undefined) => (unit && isKind(unit, 'adapter') ? ` of ${unit.mark}` : '');
export const lower = (words: string) =>
  /^[A-Z]{2}/.test(words) || /^[A-Z]\./.test(words) ? words : words.charAt(0).toLowerCase() + words.slice(1);

/** Where a drive sits, in words: `front bays 7`; empty where it sits nowhere. */
export function bayWords(
  unit: PlannedUnit,
  layout: Pick<Layout, 'at'>,
  byId: ReadonlyMap<string, PlannedUnit>,
): string {
  const spot = layout.at[unit.id]?.spot;
  const group = spot && groupAt(byId, spot);
  return spot && group ? `${lower(group.label)}${nth(spot)}${ofAdapter(byId.get(spot.host))}` : '';
}

export function deviceWords(wire: Wire, byId: ReadonlyMap<string, PlannedUnit>, layout: Layout): CableRow['to'] {
  const [ref] = wire.device;
  const unit = byId.get(ref.host);
  if (!unit) return { host: ref.host, words: printSpot(ref), brief: printSpot(ref) };
  if (isKind(unit, 'drive')) {
    const places = wire.device.map(({ host }) => {
      const one = byId.get(host);
      const at = one && bayWords(one, layout, byId);
      return `${one?.mark ?? host}${at ? ` in ${at}` : ''}`;
    });
    return {
      host: unit.id,
      words: places.join(', '),
      brief: wire.device.length === 1 ? bayWords(unit, layout, byId) : '',
    };
  }
  if (isKind(unit, 'expander'))
    return { host: unit.id, words: `${unit.part.name} ${unit.mark}, port${nth(ref)}`, brief: `port${nth(ref)}` };
  const group =
    isKind(unit, 'chassis') || isKind(unit, 'adapter')
      ? unit.part.bayGroups.find(({ key }) => ref.key.startsWith(`${key}-`))
      : undefined;
  const bays =
    group?.backplane?.type === 'direct' && ref.n !== undefined
      ? ', ' +
        bayNumbers(
          (ref.n - 1) * group.backplane.baysPerConnector + 1,
          Math.min(ref.n * group.backplane.baysPerConnector, group.rows * group.columns),
        )
      : '';
  const label = lower(group?.label ?? 'bays');
  return {
    host: unit.id,
    words: `${unit.part.name} ${unit.mark}, ${label} connector${nth(ref)}${bays}`,
    brief: bays ? `${label.replace(/ bays$/, '')} ${bays.slice(2)}` : label,
  };
}

const bayNumbers = (first: number, last: number): string => (first === last ? `bay ${first}` : `bays ${first}–${last}`);
