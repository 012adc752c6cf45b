import { demandsFor } from '../../links/demands';
import { laneMBps, linkMBps } from '../../links/rates';
import { portsIn, type Target } from '../../links/ports';
import { groupAt } from '../../machine/spotAt';
import { isKind, ofKind, unitsById } from '../../machine/units';
import type { Backplane } from '../../parts/chassisValues';
import { printSpot, type SpotRef } from '../../build/layout';
import { feedChain } from '../../links/passOn';
import { asksMBps } from '../../wiring/asked';
import { servedBy } from '../../wiring/servedBy';
import { type DriveUnit } from '../../wiring/drivesOn';
import { spotOf, unitById, type Situation } from '../situation';
import type { Found } from '../words';
import { feltIn } from './felt';

/** The bays of the shelf next to the card, for drives of one chained behind it; null for what is not behind a shelf. */
function headOfChain({ units, layout }: Situation, host: string): SpotRef | null {
  const byId = unitsById(units);
  const shelves = feedChain(units, layout.wires, host).flatMap((id) => {
    const unit = byId.get(id);
    return unit && isKind(unit, 'chassis') ? [unit] : [];
  });
  const head = shelves.at(-1);
  const group = head?.part.bayGroups.find(({ backplane }) => backplane?.type === 'expander');
  return head && head.id !== host && group ? { host: head.id, key: group.key, n: 1 } : null;
}

type Sharing = {
  readonly drives: DriveUnit[];
  readonly spot: SpotRef;
  readonly label: string;
  readonly backplane: Backplane;
  readonly target: Target;
};

/** Bays that share uplinks, with their drives; those of chained shelves by the first of them. */
function sharingBays(situation: Situation): Sharing[] {
  const { units, layout } = situation;
  const byId = unitsById(units);
  const without = new Set(situation.outcome.unconnected.map(({ id }) => id as string));
  const groups = new Map<string, Sharing>();
  for (const demand of demandsFor(units, layout)) {
    if (demand.kind !== 'backplane' || !demand.target.shared || without.has(demand.unit.id)) continue;
    const spot = headOfChain(situation, demand.target.ref.host) ?? spotOf(situation, demand.unit);
    const at = spot && groupAt(byId, spot);
    if (!spot || at?.type !== 'bay' || !at.group.backplane) continue;
    const key = `${spot.host}/${spot.key}`;
    const group = groups.get(key) ?? {
      drives: [],
      spot,
      label: at.group.label,
      backplane: at.group.backplane,
      target: demand.target,
    };
    groups.set(key, group);
    group.drives.push(demand.unit as DriveUnit);
  }
  return [...groups.values()];
}

/** Gb/s of the lanes of every uplink that is plugged in. */
function uplinksOf({ units, layout }: Situation, { spot, backplane }: Sharing): number[] {
  const ports = new Map(portsIn(units, layout).map((port) => [port.name, port]));
  const own = Math.min(...backplane.connectors.map(({ gbPerLane }) => gbPerLane));
  return layout.wires
    .filter((wire) => wire.device.some(({ host, key }) => host === spot.host && key.startsWith(`${spot.key}-`)))
    .map((wire) => Math.min(own, ...wire.host.flatMap((host) => ports.get(printSpot(host))?.gbPerLane ?? [])));
}

/**
 * MB/s the uplinks carry of what these drives ask. A drive holds a lane at its own link's rate, so the lanes' time is
 * shared: where the sum of rate over lane rate is past the lanes, all get less. An expander that gathers what slower
 * drives send runs its uplink at its own rate (edge buffering; SAS-3, SPL).
 */
function carriedMBps(
  sharing: Sharing,
  uplinks: readonly number[],
  gathers: boolean,
  asks: (unit: DriveUnit) => number,
): number {
  const { target, drives, backplane } = sharing;
  const protocol = target.speaks ?? 'sas';
  const lanesAt = (gb: number) => target.lanes * laneMBps(protocol, gb);
  if (gathers || backplane.type !== 'expander' || target.lanes === 1)
    return uplinks.reduce((sum, gb) => sum + lanesAt(gb), 0);
  const asked = drives.reduce((sum, unit) => sum + asks(unit), 0);
  const laneTime = (gb: number) =>
    drives.reduce((sum, unit) => sum + asks(unit) / laneMBps('sas', Math.min(gb, unit.part.gbPerLane)), 0);
  return uplinks.reduce((sum, gb) => sum + (target.lanes * asked) / laneTime(gb), 0);
}

/** Bays that share uplinks: what their drives wish against what the cables to them carry. */
export function uplinkShare(situation: Situation): Found<'reaches.uplink'>[] {
  const asks = asksMBps(situation.units);
  return sharingBays(situation).flatMap((sharing): Found<'reaches.uplink'>[] => {
    const { drives, spot, label, backplane, target } = sharing;
    const uplinks = uplinksOf(situation, sharing);
    const asked = drives.reduce((sum, unit) => sum + asks(unit), 0);
    const { edgeBuffering } = backplane;
    const most = Math.round(carriedMBps(sharing, uplinks, edgeBuffering !== false, asks));
    const least = Math.round(carriedMBps(sharing, uplinks, edgeBuffering === true, asks));
    if (asked <= least) return [];
    const felt = feltIn(situation, ({ to }) => to === spot.host, asked > most * 1.5 ? 'caution' : 'note');
    return [
      {
        severity: felt.severity,
        at: [{ unit: spot.host }, ...drives.map(({ id }) => ({ unit: id }))],
        gap: { have: asked, limit: least, gap: least - asked, unit: 'MB/s' },
        facts: {
          drives: drives.filter((unit) => asks(unit) > 0).length,
          bays: label,
          host: unitById(situation, spot.host)?.part.name ?? '',
          behind: new Set(drives.map(({ id }) => situation.layout.at[id]?.spot.host)).size - 1,
          most,
          ...felt.facts,
          how:
            target.lanes === 1 && backplane.type === 'expander'
              ? 'a port multiplier'
              : { expander: 'an expander', bridge: 'a USB bridge', direct: '' }[backplane.type],
        },
      },
    ];
  });
}

/** Numbers in words: 7–10, or one by one where some lie between. */
const rangesOf = (ns: readonly number[]): string => {
  const sorted = [...ns].sort((a, b) => a - b);
  const [first, last] = [sorted[0], sorted.at(-1)];
  return sorted.length > 2 && last! - first! === sorted.length - 1 ? `${first}–${last}` : sorted.join(', ');
};

/** Drives on ports of an added chip, which could give more than its link carries. */
export function addedChip(situation: Situation): Found<'reaches.addedChip'>[] {
  const asks = asksMBps(situation.units);
  const served = servedBy(situation.units, situation.layout);
  return ofKind(situation.units, 'board').flatMap((board) =>
    (board.part.addedChips ?? []).flatMap((chip): Found<'reaches.addedChip'>[] => {
      const drives = [...served].flatMap(([wire, these]) =>
        wire.host.some(({ host, key, n = 1 }) => host === board.id && key === chip.key && chip.ns.includes(n))
          ? these
          : [],
      );
      const asked = Math.round(drives.reduce((sum, unit) => sum + asks(unit), 0));
      const carries = linkMBps(chip.lanes, chip.gen);
      if (asked <= carries) return [];
      const felt = feltIn(
        situation,
        (link) => link.group === `chip ${board.id} ${chip.key}`,
        asked > carries * 1.5 ? 'caution' : 'note',
      );
      return [
        {
          severity: felt.severity,
          at: drives.map(({ id }) => ({ unit: id })),
          because: [{ unit: board.id }],
          gap: { have: asked, limit: carries, gap: carries - asked, unit: 'MB/s' },
          facts: {
            board: board.part.name,
            drives: drives.length,
            ports: rangesOf(chip.ns),
            lanes: chip.lanes,
            gen: chip.gen,
            ...felt.facts,
          },
        },
      ];
    }),
  );
}
