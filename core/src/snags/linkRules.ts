import { basisOf } from '../parts/resolve';
import { demandsFor } from '../links/demands';
import { laneMBps, wishMBps } from '../links/rates';
import { portsIn } from '../links/ports';
import { groupAt } from '../machine/spotAt';
import { isKind, ofKind, unitsById, type PlannedUnit } from '../machine/units';
import { printSpot } from '../build/layout';
import { drivesOn, type DriveUnit } from '../wiring/drivesOn';
import { boxAround, byPart, spotOf, unitById, type Situation } from './situation';
import type { Found } from './words';

/** Bays that share uplinks: what their drives wish against what the cables to them carry. */
export function uplinkShare(situation: Situation): Found<'reaches.uplink'>[] {
  const { units, layout } = situation;
  const byId = unitsById(units);
  const without = new Set(situation.outcome.unconnected.map(({ id }) => id as string));
  const ports = new Map(portsIn(units, layout).map((port) => [port.name, port]));
  const groups = new Map<string, { drives: DriveUnit[]; host: string; label: string; carries: number; type: string }>();
  for (const demand of demandsFor(units, layout)) {
    if (demand.kind !== 'backplane' || !demand.target.shared || without.has(demand.unit.id)) continue;
    const spot = layout.at[demand.unit.id]!.spot;
    const key = `${spot.host}/${spot.key}`;
    let group = groups.get(key);
    if (!group) {
      const at = groupAt(byId, spot);
      if (at?.type !== 'bay') continue;
      const { connectors, type } = at.group.backplane!;
      const feeds = layout.wires.filter((wire) =>
        wire.device.some((device) => device.host === spot.host && device.key.startsWith(`${spot.key}-`)),
      );
      const carries = feeds.reduce(
        (sum, wire) =>
          sum +
          demand.target.lanes *
            laneMBps(
              demand.target.speaks ?? 'sas',
              Math.min(
                ports.get(printSpot(wire.host[0]!))?.gbPerLane ?? connectors[0]!.gbPerLane,
                connectors[0]!.gbPerLane,
              ),
            ),
        0,
      );
      groups.set(
        key,
        (group = {
          drives: [],
          host: spot.host,
          label: at.group.label,
          carries,
          type: demand.target.lanes === 1 && type === 'expander' ? 'multiplier' : type,
        }),
      );
    }
    group.drives.push(demand.unit as DriveUnit);
  }
  return [...groups.values()].flatMap((group): Found<'reaches.uplink'>[] => {
    const asked = group.drives.reduce((sum, unit) => sum + wishMBps(unit.part), 0);
    if (asked <= group.carries) return [];
    return [
      {
        severity: asked > group.carries * 1.5 ? 'caution' : 'note',
        at: [{ unit: group.host }, ...group.drives.map(({ id }) => ({ unit: id }))],
        gap: { have: asked, limit: group.carries, gap: group.carries - asked, unit: 'MB/s' },
        facts: {
          drives: group.drives.length,
          bays: group.label,
          host: unitById(situation, group.host)!.part.name,
          each: Math.round(group.carries / group.drives.length),
          how: { multiplier: 'a port multiplier', expander: 'an expander', bridge: 'a USB bridge', direct: '' }[
            group.type as 'expander'
          ],
        },
      },
    ];
  });
}

/** Whether a seated drive hangs behind a port multiplier: an expander of one lane. */
export function behindMultiplier(
  situation: Pick<Situation, 'units' | 'layout'>,
  unit: PlannedUnit,
): PlannedUnit | null {
  const spot = situation.layout.at[unit.id]?.spot;
  const group = spot && groupAt(unitsById(situation.units), spot);
  return group?.type === 'bay' &&
    group.group.backplane?.type === 'expander' &&
    group.group.backplane.connectors[0]!.lanes === 1
    ? (unitsById(situation.units).get(spot!.host) ?? null)
    : null;
}

/** Drives behind a multiplier that no port drives: it wants a controller that says it supports one. */
export function portMultiplier(situation: Situation): Found<'reaches.multiplier'>[] {
  const waiting = situation.outcome.unconnected.filter((unit) => behindMultiplier(situation, unit));
  if (waiting.length === 0) return [];
  const controllers = ofKind(situation.units, 'controller').filter((unit) => spotOf(situation, unit));
  if (controllers.some(({ part }) => part.portMultiplier)) return [];
  const cage = behindMultiplier(situation, waiting[0]!)!;
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

/** Drives formatted with 520-byte sectors, as from storage arrays (INCITS T10 protection formats). */
export function sectors(situation: Situation): Found<'mates.sectors'>[] {
  return byPart(ofKind(situation.units, 'drive').filter(({ part }) => part.sectors === '520')).map(
    (units): Found<'mates.sectors'> => {
      const sas = units.every((unit) =>
        situation.units.some(
          (card) => isKind(card, 'controller') && drivesOn(situation, card.id).some(({ id }) => id === unit.id),
        ),
      );
      return {
        severity: 'caution',
        at: units.map(({ id }) => ({ unit: id })),
        facts: { count: units.length, drive: units[0]!.part.name, sas: sas ? 'yes' : '' },
      };
    },
  );
}

/** Drives that a live 3.3 V pin keeps switched off (SATA 3.3 power disable), where nothing cuts it. */
export function powerDisable(situation: Situation): Found<'mates.powerDisable'>[] {
  const byId = unitsById(situation.units);
  const held = ofKind(situation.units, 'drive').filter((unit) => {
    const spot = spotOf(situation, unit);
    const group = spot && groupAt(byId, spot);
    // A class of drives may or may not: only what its own sheet says is said here.
    if (
      !unit.part.obeysPin3 ||
      basisOf(unit.part, 'obeysPin3') === 'typical' ||
      unit.part.interface === 'usb' ||
      group?.type !== 'bay' ||
      unit.part.size !== '3.5'
    )
      return false;
    const { backplane } = group.group;
    return backplane ? !backplane.cutsPin3 && backplane.powerInputs.some(({ plug }) => plug === 'sata-power') : true;
  });
  // A cable from a 4-pin plug carries no 3.3 V: with enough of them in the kit nothing is held off.
  const freed = ofKind(situation.units, 'powerAdapter')
    .filter(({ part }) => part.takes === 'peripheral')
    .flatMap(({ part }) => part.gives)
    .reduce((sum, { plug, count }) => sum + (plug === 'sata-power' ? count : 0), 0);
  return held.length <= freed
    ? []
    : [{ severity: 'caution', at: held.map(({ id }) => ({ unit: id })), facts: { count: held.length } }];
}
