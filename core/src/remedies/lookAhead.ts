import { mismatch } from '../machine/accepts';
import { dataDrives } from '../machine/roles';
import { spotsOf } from '../machine/spots';
import { ofKind, type PlannedUnit } from '../machine/units';
import type { Part, PartOf } from '../parts/resolve';
import type { PlugKind } from '../parts/vocabulary';
import { TERABYTE } from '../pool/layouts';

/** Plugs a machine starts by: a board has one of them. */
const MAIN: ReadonlySet<PlugKind> = new Set(['24-pin', 'dc-jack']);

/**
 * Whether a board leads nowhere here: no supply of a list both goes into the machine's chassis, or lies outside, and
 * has the plug the board starts by. Not asked once a supply is chosen, nor before there is a chassis.
 */
export function hasNoSupply(part: Part, units: readonly PlannedUnit[], supplies: readonly PartOf<'supply'>[]): boolean {
  if (part.kind !== 'board' || supplies.length === 0 || ofKind(units, 'supply').length > 0) return false;
  const main = part.powerInputs.find(({ plug }) => MAIN.has(plug))?.plug;
  const [chassis] = ofKind(units, 'chassis');
  if (!main || !chassis) return false;
  const bays = spotsOf(chassis.id, chassis.part).filter(({ type }) => type === 'supplyBay');
  return !supplies.some(
    (supply) =>
      supply.cables.some(({ plugs }) => plugs.some(({ plug }) => plug === main)) &&
      (supply.form === 'brick' || supply.form === 'dc-converter' || bays.some((bay) => !mismatch(supply, bay))),
  );
}

/**
 * TB that any layout can use at the most once every one of so many free places holds such a drive, whichever
 * `failures` drives fail: what is left holds all data. Padding, the file system and the layout take from it.
 */
export function mostTbWith(
  drive: PartOf<'drive'>,
  places: number,
  units: readonly PlannedUnit[],
  failures: number,
): number {
  const bytes = [
    ...dataDrives(units).map(({ part }) => part.capacityBytes),
    ...Array.from({ length: places }, () => drive.capacityBytes),
  ];
  return restOf(bytes, failures) / TERABYTE;
}

/** Of a 5.25-inch bay, what cages make: five drives of 3.5 inch in three. */
const CAGED = 5 / 3;

/**
 * TB the bays of a chassis hold at the most, each with the largest drive of a list that goes in, whichever `failures`
 * drives fail: by its own bays, and with cages in those for 5.25 inch.
 */
export function mostTbIn(
  chassis: PartOf<'chassis'>,
  drives: readonly PartOf<'drive'>[],
  failures: number,
): { readonly plain: number; readonly caged: number } {
  const own = { ...chassis, bayGroups: chassis.bayGroups.filter((group) => !isForCages(group)) };
  return {
    plain: restOf(capacitiesIn(own, drives), failures) / TERABYTE,
    caged: restOf(capacitiesIn(chassis, drives), failures) / TERABYTE,
  };
}
type BayGroup = PartOf<'chassis'>['bayGroups'][number];
const isForCages = ({ takes }: BayGroup): boolean => takes.every((size) => size === '5.25');

/** The fewest drives of a list that hold so many TB in a chassis and survive `failures`; null where none do. */
export function fewestDrives(
  chassis: PartOf<'chassis'>,
  drives: readonly PartOf<'drive'>[],
  tb: number,
  failures: number,
): number | null {
  const all = capacitiesIn(chassis, drives).sort((a, b) => b - a);
  for (let n = failures + 1; n <= all.length; n++) if (restOf(all.slice(0, n), failures) >= tb * TERABYTE) return n;
  return null;
}

/** What is left of drives when the largest fail, bytes. */
const restOf = (bytes: readonly number[], failures: number): number =>
  [...bytes]
    .sort((a, b) => b - a)
    .slice(failures)
    .reduce((sum, one) => sum + one, 0);

function capacitiesIn(chassis: PartOf<'chassis'>, drives: readonly PartOf<'drive'>[]): number[] {
  const largest = (fits: (drive: PartOf<'drive'>) => boolean) =>
    drives.reduce((most, drive) => (fits(drive) ? Math.max(most, drive.capacityBytes) : most), 0);
  return chassis.bayGroups.flatMap((group) => {
    const { rows, columns, takes, maxDriveHeightMm } = group;
    const isCaged = isForCages(group);
    const most = largest(
      ({ size, heightMm }) =>
        heightMm <= (isCaged ? Infinity : maxDriveHeightMm) &&
        (isCaged ? size === '3.5' : (takes as readonly string[]).includes(size)),
    );
    const count = isCaged ? Math.floor(rows * columns * CAGED) : rows * columns;
    return most > 0 ? Array.from({ length: count }, () => most) : [];
  });
}

/**
 * Drives a board reaches by its own ports and sockets, and by cards where it has PCIe slots for them: then any number.
 * What a card on a conventional PCI bus adds is not counted: its 133 MB/s are shared by all.
 */
export function drivesReached(board: PartOf<'board'>): number {
  if (board.slots.some(({ bus }) => bus !== 'pci')) return Infinity;
  const ports = board.connectors
    .filter(({ side, carries }) => side === 'inside' && carries.some((way) => way === 'sata' || way === 'sas'))
    .reduce((sum, { count, lanes }) => sum + count * lanes, 0);
  return ports + board.m2Sockets.length;
}
