import type { Protocol } from '../../parts/vocabulary';
import { demandsFor } from '../../links/demands';
import { portsIn, protocolOf } from '../../links/ports';
import { isKind, ofKind, type PlannedUnit, unitsById } from '../../machine/units';
import { boxAround, seatedBoard, spotOf, type Situation, unitById } from '../situation';
import type { Finding } from '../finding';
import type { Found } from '../words';
import { memberAt } from '../../lists';
import { groupAt } from '../../machine/spotAt';
import { drivesOn } from '../../wiring/drivesOn';

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

/** Whether a seated drive hangs behind a port multiplier: an expander of one lane. */
function behindMultiplier(situation: Pick<Situation, 'units' | 'layout'>, unit: PlannedUnit): PlannedUnit | null {
  const spot = situation.layout.at[unit.id]?.spot;
  const group = spot && groupAt(unitsById(situation.units), spot);
  return group?.type === 'bay' &&
    group.group.backplane?.type === 'expander' &&
    group.group.backplane.connectors[0].lanes === 1
    ? (unitsById(situation.units).get(spot!.host) ?? null)
    : null;
}

/** Drives behind a multiplier that no port drives: it wants a controller that says it supports one. */
export function portMultiplier(situation: Situation): Found<'reaches.multiplier'>[] {
  const waiting = situation.outcome.unconnected.filter((unit) => behindMultiplier(situation, unit));
  if (waiting.length === 0) return [];
  const controllers = ofKind(situation.units, 'controller').filter((unit) => spotOf(situation, unit));
  if (controllers.some(({ part }) => part.portMultiplier)) return [];
  const cage = behindMultiplier(situation, memberAt(waiting, 0))!;
  return [
    {
      severity: 'blocker',
      at: waiting.map(({ id }) => ({ unit: id })),
      gap: { have: 0, limit: 1, gap: -1, unit: 'ports' },
      facts: { count: waiting.length, cage: cage.part.name },
    },
  ];
}

/** A controller that has as many drives as it takes while others wait. */
export function mostDevices(situation: Situation): Found<'reaches.mostDevices'>[] {
  const waiting = situation.outcome.unconnected.length;
  return waiting === 0
    ? []
    : ofKind(situation.units, 'controller').flatMap((unit): Found<'reaches.mostDevices'>[] => {
        const have = drivesOn(situation, unit.id).length;
        return have > 0 && have >= unit.part.mostDevices
          ? [
              {
                severity: 'caution',
                at: [{ unit: unit.id }],
                gap: {
                  have: have + waiting,
                  limit: unit.part.mostDevices,
                  gap: unit.part.mostDevices - have - waiting,
                  unit: 'drives',
                },
                facts: { card: unit.part.name, waiting },
              },
            ]
          : [];
      });
}

const TB = 1e12;

/** Drives larger than their controller, board or bridge sees. */
export function largestDrive(situation: Situation): Found<'reaches.largestDrive'>[] {
  return situation.units.flatMap((unit): Found<'reaches.largestDrive'>[] => {
    const limit =
      isKind(unit, 'controller') || isKind(unit, 'board')
        ? unit.part.largestDriveBytes
        : isKind(unit, 'enclosure')
          ? (unit.part.largestDriveBytes ?? undefined)
          : undefined;
    if (limit === undefined) return [];
    const box = isKind(unit, 'enclosure') ? boxAround(situation, unit) : null;
    const drives = box
      ? ofKind(situation.units, 'drive').filter(
          (drive) => situation.layout.at[drive.id] && boxAround(situation, drive) === box,
        )
      : drivesOn(situation, unit.id);
    const large = drives.filter(({ part }) => part.capacityBytes > limit);
    if (large.length === 0) return [];
    const most = Math.max(...large.map(({ part }) => part.capacityBytes));
    return [
      {
        severity: 'blocker',
        at: large.map(({ id }) => ({ unit: id })),
        gap: { have: most / TB, limit: limit / TB, gap: (limit - most) / TB, unit: 'TB' },
        facts: { host: unit.part.name, count: large.length },
        because: [{ unit: unit.id }],
      },
    ];
  });
}

/** Controllers that put their own RAID between the drives and a pool that wants them bare. */
export function raidFirmware(situation: Situation): Found<'reaches.raid'>[] {
  return ofKind(situation.units, 'controller').flatMap((unit): Found<'reaches.raid'>[] => {
    const drives = drivesOn(situation, unit.id).filter(
      (drive) => situation.units.find(({ id }) => id === drive.id)?.role !== 'boot',
    );
    if (drives.length === 0 || unit.part.passThrough || unit.part.raid === 'none') return [];
    return [
      {
        severity: unit.part.raid === 'fixed' ? 'caution' : 'note',
        at: [{ unit: unit.id }],
        facts: { card: unit.part.name, count: drives.length, raid: unit.part.raid },
      },
    ];
  });
}
