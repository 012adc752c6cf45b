import { printSpot, type Layout, type SpotRef } from '../build/layout';
import { fewLast } from '../memoLast';
import type { UnitId } from '../parts/ids';
import { DRIVE_BODY_MM } from '../parts/geometry';
import type { Part, PartOf } from '../parts/resolve';
import { portsIn } from '../links/ports';
import { dealtAlike, dealtSeatsAlike, dealtUnits, partsAlike } from '../solve/likeness';
import { mismatch } from '../machine/accepts';
import { sittersBySpot } from '../machine/sitters';
import { drivesLeft } from '../solve/solve';
import { refsOf, spotsOf, type SpotGroup } from '../machine/spots';
import { unconnectedDrives } from '../links/unconnected';
import { hasPlaces, ofKind, type PlannedUnit } from '../machine/units';

/**
 * Room for more of the commonest drive: how many would get a bay and a port, what ends then, and what is free of each.
 */
export type Room = {
  readonly more: number;
  readonly ends: 'bays' | 'ports';
  readonly baysFree: number;
  readonly portsFree: number;
  readonly drive: string;
};

/** Asked at most for so many more; past that a builder wants another machine. */
const MOST_ASKED = 120;

/** Room by asking the solver for a drive more in every free bay that takes it. */
export function roomForDrives(units: readonly PlannedUnit[], layout: Layout): Room {
  const drive = commonestDrive(units, layout);
  return { ...roomFor(units, layout, drive), drive: drive.name };
}

type Counts = Omit<Room, 'drive'>;
type Asked = { readonly units: readonly PlannedUnit[]; readonly layout: Layout; readonly drive: PartOf<'drive'> };
const counted = fewLast<Asked, Counts>(
  (one, other) =>
    partsAlike(one.drive, other.drive) &&
    dealtAlike(one.units, other.units) &&
    dealtSeatsAlike(one.units, one.layout, other.layout),
);

function roomFor(all: readonly PlannedUnit[], layout: Layout, drive: PartOf<'drive'>): Counts {
  const units = dealtUnits(all);
  const asked = { units, layout, drive };
  const known = counted.find(asked);
  if (known) return known.result;
  const counts = countRoom(units, layout, drive);
  counted.keep(asked, counts);
  return counts;
}

function countRoom(units: readonly PlannedUnit[], layout: Layout, drive: PartOf<'drive'>): Counts {
  const free = freeBays(units, layout).filter(({ group }) => !mismatch(drive, group));
  const ports = portsIn(units, layout);
  const inside = new Set(ports.filter((port) => port.inside && !port.carries.includes('usb')).map((port) => port.name));
  const lanes = ports.reduce((sum, port) => sum + (inside.has(port.name) ? Math.min(port.lanes, 4) : 0), 0);
  const used = layout.wires
    .filter((wire) => inside.has(printSpot(wire.host[0])))
    .reduce(
      (sum, wire) =>
        sum +
        (wire.lanes?.length ?? Math.min(4, ports.find((port) => port.name === printSpot(wire.host[0]))?.lanes ?? 1)),
      0,
    );
  const asked = Math.min(free.length, MOST_ASKED);
  const more = asked === 0 || ports.length === 0 ? 0 : connectedOf(units, layout, drive, asked);
  // However drives move there are as many bays free: short of those it is ports, or lanes that speak to them.
  return { more, ends: more < asked ? 'ports' : 'bays', baysFree: free.length, portsFree: Math.max(0, lanes - used) };
}

export type FreeBay = {
  readonly name: string;
  readonly ref: SpotRef;
  readonly group: Extract<SpotGroup, { type: 'bay' }>;
};

export function freeBays(units: readonly PlannedUnit[], layout: Layout): FreeBay[] {
  const sitting = sittersBySpot(units, layout);
  const spanned = new Set(
    ofKind(units, 'adapter').flatMap((unit) => {
      const spot = layout.at[unit.id]?.spot;
      return spot
        ? Array.from({ length: unit.part.span - 1 }, (_, i) => printSpot({ ...spot, n: (spot.n ?? 1) + i + 1 }))
        : [];
    }),
  );
  return units
    .filter((unit) => layout.at[unit.id] || unit.builtIn)
    .flatMap((unit) => spotsOf(unit.id, unit.part))
    .flatMap((group) =>
      group.type === 'bay' ? refsOf(group).map((ref) => ({ name: printSpot(ref), ref, group })) : [],
    )
    .filter(({ name }) => !sitting.has(name) && !spanned.has(name));
}

/**
 * Of so many more drives how many get a bay and a cable, whatever has to move for them. Beside drives
 * of another rank they count as spares, so that nothing gives up its place or cable for one of them.
 */
function connectedOf(units: readonly PlannedUnit[], layout: Layout, drive: PartOf<'drive'>, asked: number): number {
  const alike = ofKind(units, 'drive').every(({ role }) => role === undefined || role === 'data');
  const extra = Array.from({ length: asked }, (_, i): PlannedUnit => ({
    id: `room:${i}` as UnitId,
    mark: 'Z1',
    part: drive,
    item: null,
    role: alike ? 'data' : 'spare',
  }));
  const whole =
    unconnectedDrives(units, layout).unconnected.length === 0 &&
    units.every((unit) => unit.builtIn || !hasPlaces(unit) || layout.at[unit.id]);
  return Math.max(0, asked - (drivesLeft([...units, ...extra], layout) - (whole ? 0 : drivesLeft(units, layout))));
}

function commonestDrive(units: readonly PlannedUnit[], layout: Layout): PartOf<'drive'> {
  const counts = new Map<PartOf<'drive'>, number>();
  for (const { part, role } of ofKind(units, 'drive')) {
    if ((role ?? 'data') !== 'data' || !(part.size in DRIVE_BODY_MM)) continue;
    counts.set(part, (counts.get(part) ?? 0) + 1);
  }
  const most = [...counts].sort((a, b) => b[1] - a[1])[0]?.[0];
  if (most) return most;
  const free = freeBays(units, layout);
  return free.some(({ group }) => group.group.takes.includes('3.5')) || free.length === 0
    ? standIn('3.5')
    : standIn('2.5');
}

/** A plain SATA drive for a build that has none yet: only its size and interface are asked for. */
const standIns = new Map<string, PartOf<'drive'>>();
function standIn(size: '3.5' | '2.5'): PartOf<'drive'> {
  const known = standIns.get(size);
  if (known) return known;
  const body = DRIVE_BODY_MM[size];
  const part = {
    kind: 'drive',
    id: `standIn:${size}`,
    name: `a ${size}-inch SATA drive`,
    size,
    heightMm: size === '3.5' ? body.heightMm : 7,
    lengthMm: body.depthMm,
    interface: 'sata',
    builtIn: [],
    inTheBox: [],
  } as unknown as Part as PartOf<'drive'>;
  standIns.set(size, part);
  return part;
}
