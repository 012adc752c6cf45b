import type { PartKind } from './parts/vocabulary';
import { bootDrives } from './machine/roles';
import type { PlannedUnit } from './machine/units';
import { printSpot, type Layout } from './build/layout';

export type Status = 'empty' | 'partsMissing' | 'blocked' | 'clear';

/** What is not chosen yet: not a snag, an outline on the drawing. `key` is its place on the table. */
export type OpenThing = {
  readonly kind: PartKind;
  readonly label: string;
  readonly spot: { readonly host: string; readonly key: string; readonly n?: number };
};

const LABELS: readonly (readonly [PartKind, string])[] = [
  ['chassis', 'Chassis'],
  ['board', 'Board'],
  ['processor', 'Processor'],
  ['cooler', 'Cooler'],
  ['memory', 'Memory'],
  ['supply', 'Supply'],
  ['drive', 'Drive'],
];

/** Kinds a machine cannot be without that the build does not have yet, in the order of the work. */
export function openThings(units: readonly PlannedUnit[], layout: Layout): OpenThing[] {
  // A stick starts the machine; the drives are still to come.
  const boots = bootDrives(units);
  const isStick = (unit: PlannedUnit) => unit.part.kind === 'drive' && unit.part.size === 'usb' && boots.has(unit);
  const have = new Set(units.filter((unit) => !isStick(unit)).map((unit) => unit.part.kind));
  // Memory and processor may be soldered down.
  const boards = units.filter((unit) => unit.part.kind === 'board');
  const hasMemory = boards.length > 0 && boards.every(({ part }) => part.kind === 'board' && part.memorySlots === 0);
  const passive = units.some((unit) => unit.part.kind === 'processor' && unit.builtIn?.fixed);
  return LABELS.filter(
    ([kind]) => !have.has(kind) && !(kind === 'cooler' && passive) && !(kind === 'memory' && hasMemory),
  ).map(([kind, label]) => ({
    kind,
    label,
    spot: spotFor(kind, units, layout),
  }));
}

/** The first free bay of the chassis' largest group. */
function firstBay(chassis: PlannedUnit, layout: Layout): OpenThing['spot'] | null {
  if (chassis.part.kind !== 'chassis') return null;
  const taken = new Set(Object.values(layout.at).map(({ spot }) => printSpot(spot)));
  const bays = ({ rows, columns }: { readonly rows: number; readonly columns: number }) => rows * columns;
  const groups = chassis.part.bayGroups
    .filter(({ takes }) => takes.some((size) => size !== '5.25'))
    .sort((a, b) => bays(b) - bays(a));
  for (const group of groups)
    for (let n = 1; n <= bays(group); n++) {
      const spot = { host: chassis.id, key: group.key, n };
      if (!taken.has(printSpot(spot))) return spot;
    }
  return null;
}

function spotFor(kind: PartKind, units: readonly PlannedUnit[], layout: Layout): OpenThing['spot'] {
  if (kind === 'chassis') return { host: 'floor', key: 'chassis' };
  const chassis = units.find((unit) => unit.part.kind === 'chassis' && layout.at[unit.id]);
  const board = units.find((unit) => unit.part.kind === 'board' && (layout.at[unit.id] || unit.builtIn));
  if (kind === 'board' && chassis?.part.kind === 'chassis' && chassis.part.boardHoles.length)
    return { host: chassis.id, key: 'tray' };
  if (kind === 'supply' && chassis?.part.kind === 'chassis' && chassis.part.supplyBays[0])
    return { host: chassis.id, key: chassis.part.supplyBays[0].key };
  if (kind === 'drive' && chassis) return firstBay(chassis, layout) ?? { host: 'table', key: kind };
  if (board?.part.kind === 'board') {
    if (kind === 'processor' && board.part.socket) return { host: board.id, key: 'socket' };
    if (kind === 'cooler' && board.part.socket) return { host: board.id, key: 'coolerMount' };
  }
  return { host: 'table', key: kind };
}
