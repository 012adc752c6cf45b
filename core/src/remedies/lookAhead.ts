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
  ].sort((a, b) => a - b);
  return bytes.slice(0, Math.max(0, bytes.length - failures)).reduce((sum, one) => sum + one, 0) / TERABYTE;
}
