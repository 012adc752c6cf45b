import type { Protocol } from '../parts/vocabulary';
import { demandsFor } from '../links/demands';
import { portsIn, protocolOf } from '../links/ports';
import { isKind, type PlannedUnit } from '../machine/units';
import { behindMultiplier } from './linkRules';
import { seatedBoard, unitById, type Situation } from './situation';
import type { Finding } from './finding';
import type { Found } from './words';

const PROTOCOL_WORDS: Readonly<Record<Protocol, string>> = { sata: 'SATA', sas: 'SAS', pcie: 'NVMe', usb: 'USB' };

/** Drives without a cable, and what the machine's live ports speak: one fact for both rules. */
function unreached(situation: Situation): {
  readonly foreign: readonly PlannedUnit[];
  readonly short: readonly PlannedUnit[];
  readonly spoken: readonly Protocol[];
} {
  const { outcome } = situation;
  if (outcome.unconnected.length === 0 || !seatedBoard(situation)) return { foreign: [], short: [], spoken: [] };
  const live = portsIn(situation.units, situation.layout).filter((port) => port.lanes > 0 && port.inside);
  const spoken = [...new Set(live.flatMap((port) => port.carries))];
  const waiting = outcome.unconnected.filter((unit) => !noMultiplier(situation, unit));
  const foreign = waiting.filter(
    (unit) => live.length > 0 && isKind(unit, 'drive') && !spoken.includes(protocolOf(unit.part)),
  );
  return { foreign, short: waiting.filter((unit) => !foreign.includes(unit)), spoken };
}

/** Drives behind a multiplier that no card drives have a rule of their own. */
const noMultiplier = (situation: Situation, unit: PlannedUnit) =>
  !!behindMultiplier(situation, unit) &&
  !situation.units.some((one) => isKind(one, 'controller') && one.part.portMultiplier);

const placesOf = (situation: Situation, units: readonly PlannedUnit[]): Finding['at'] =>
  units.flatMap((unit) => {
    const spot = situation.layout.at[unit.id]?.spot;
    return spot ? [{ unit: unit.id }, { spot }] : [{ unit: unit.id }];
  });

/** Drives that speak what no port of the machine does: a SAS drive never runs on a SATA port. */
export function driveInterface(situation: Situation): Found<'reaches.interface'>[] {
  const { foreign, spoken } = unreached(situation);
  const kinds = [...new Set(foreign.flatMap((unit) => (isKind(unit, 'drive') ? [protocolOf(unit.part)] : [])))];
  return kinds.map((kind): Found<'reaches.interface'> => {
    const units = foreign.filter((unit) => isKind(unit, 'drive') && protocolOf(unit.part) === kind);
    return {
      severity: 'blocker',
      at: placesOf(situation, units),
      facts: {
        count: units.length,
        kind: PROTOCOL_WORDS[kind],
        ports: spoken.map((one) => PROTOCOL_WORDS[one]).join(' and '),
      },
    };
  });
}

/** Boxes and cages that a cable or two feed as a whole, by their names and marks. */
function sharedHosts(situation: Situation, units: readonly PlannedUnit[]): PlannedUnit[] {
  const wanted = new Set(units.map(({ id }) => id as string));
  const hosts = demandsFor(situation.units, situation.layout).flatMap((demand) =>
    !wanted.has(demand.unit.id)
      ? []
      : demand.kind === 'backplane' && demand.target.shared
        ? [demand.target.ref.host]
        : [null],
  );
  return hosts.includes(null) ? [] : [...new Set(hosts)].flatMap((host) => unitById(situation, host!) ?? []);
}

export function portsShort(situation: Situation): Found<'reaches.portsShort'>[] {
  const { outcome } = situation;
  const { short } = unreached(situation);
  if (short.length === 0) return [];
  const shelves = sharedHosts(situation, short);
  const fact = (kind: string) => outcome.conflict?.filter((one) => one.kind === kind) ?? [];
  const drives = fact('drives')[0]?.count ?? 0;
  const ports = fact('ports')[0]?.count ?? 0;
  const off = fact('portsOff');
  const culprits = off.flatMap((one) => one.units);
  const kinds = [
    ...new Set(short.flatMap((unit) => (isKind(unit, 'drive') ? [PROTOCOL_WORDS[protocolOf(unit.part)]] : []))),
  ];
  return [
    {
      severity: 'blocker',
      at: placesOf(situation, short),
      gap: { have: ports, limit: drives, gap: -short.length, unit: 'ports' },
      facts: {
        drives,
        ports,
        without: short.length,
        culprit: culprits.map((id) => unitById(situation, id)?.part.name ?? id).join(' and '),
        off: off.reduce((sum, one) => sum + one.count, 0),
        shelves: shelves.map(({ part, mark }) => `${part.name} ${mark}`).join(', '),
        kind: ports >= drives ? `${kinds.join(' and ')} drives find none of their kind left.` : '',
      },
      because: culprits.map((unit) => ({ unit })),
    },
  ];
}
