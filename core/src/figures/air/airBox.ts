import type { FanMount } from '../../parts/chassisValues';
import { printSpot } from '../../build/layout';
import { sittersBySpot } from '../../machine/sitters';
import { spotsOf, type SpotGroup } from '../../machine/spots';
import { memberAt } from '../../lists';
import { isCard, isKind, ofKind, seatSpot, unitsById, type PlannedUnit, type UnitOf } from '../../machine/units';
import { boxOf, seatsOf } from '../../machine/hosts';
import type { FigureContext } from '../context';
import { fanSpeedAt, ownDuty } from '../operating';
import { neighboursOf } from './neighbours';
import { isInStream, tiersOf } from './tiers';
import { atSpeed, emptyMountM2, solveFlow, stoppedM2, type AirBox, type AirFlow, type Blower } from './flow';

type Drive = UnitOf<'drive'>;
type Chassis = UnitOf<'chassis'>;

/** A drive and how the air reaches it. */
export type DrivePlace = {
  readonly drive: Drive;
  readonly path: DrivePath;
  /** Of the air past the drives, or of its cage's own, the share that goes past this one. */ readonly share: number;
  /** Drives of the rows before it, whose air it gets. */ readonly before: readonly Drive[];
  /** What else gives off heat right beside a module on a card. */ readonly beside: readonly PlannedUnit[];
};
/**
 * `stream`: in the air that comes in; `cage`: in a cage with a fan of its own; `inside`: behind it all, as in the roof
 * or beside the board; `board`: a module on it.
 */
export type DrivePath = 'stream' | 'cage' | 'inside' | 'board';

/** What is not known to the last digit, as factors of 1. */
type AirUnsure = { readonly k: number; readonly fan: number };
/** A box as the air sees it: everything but how fast its fans turn. */
export type BoxAir = {
  readonly box: Chassis;
  readonly places: readonly DrivePlace[];
  readonly flowAt: (duty: number, unsure: AirUnsure, supplyM3h: number) => AirFlow;
  /** A cage's own flow, by the id of the cage. */
  readonly cageAt: (cage: string, duty: number, unsure: AirUnsure) => number;
  /** All of the box in one, for warmth that rises by itself. */ readonly k: number;
  readonly heightM: number;
  readonly crossM2: number;
  readonly skinM2: number;
};

const EXIT_WALLS: ReadonlySet<FanMount['wall']> = new Set(['rear', 'top']);

/** Free area of a way in, by the largest bay it has, against that of a 3.5-inch bay. */
const SIZE_WEIGHT = { '5.25': 1.4, '3.5': 1, '2.5': 0.5, 'u.2': 0.5 } as const;
/** An empty bay lets more through than a filled one; a cover over a 5.25-inch bay nothing. */
const EMPTY_TIMES = 1.4;
/** A cage with a fan of its own, from its face to its rear, Pa/(m³/h)²: a small backplane, typical. */
const CAGE_K = 4e-3;
/** Of the cross-section, what air has beside boards and cards: 0.030 m² in 4U. */
const FREE_SHARE = 0.39;
/** Of the outer area, what stands free in a rack and elsewhere (IEC TR 60890). */
const SKIN_FREE = { rack: 0.4, other: 0.8 } as const;

/** A chassis with its drives and fans as the air sees them; null for one that is open all round. */
export function boxAir(context: FigureContext, box: Chassis): BoxAir | null {
  const { part } = box;
  if (part.style === 'openFrame') return null;
  const fans = fansOf(context, box);
  const { places, openness } = drivePlaces(context, box);
  const past = Math.max(0.02, Math.min(0.98, part.bypassShare));
  const kDrives = part.resistancePaPerM3h2 / (1 - past) ** 2 / openness ** 2;
  const kPast = part.resistancePaPerM3h2 / past ** 2;
  // Slots without covers and the like join the inside and the room beside the fans at the rear.
  const leftOpenM2 = (part.rearOpenCm2 ?? 0) / 1e4;
  const turning = (fan: UnitOf<'fan'>, duty: number) => fanSpeedAt(context, fan, duty);
  const isOn = ({ fan, runs }: Mounted, duty: number) => fan !== null && runs && turning(fan, duty) > 0;
  const wallAt = (of: ReadonlySet<FanMount['wall']>, duty: number, unsure: AirUnsure) => {
    const mounts = fans.filter(({ mount }) => of.has(mount.wall));
    const running = mounts.flatMap((one) => (one.fan && isOn(one, duty) ? [blower(one.fan, duty, unsure)] : []));
    const openM2 = mounts.reduce((sum, one) => {
      if (!one.fan) return sum + emptyMountM2(Math.max(...one.mount.sizesMm));
      return sum + (isOn(one, duty) ? 0 : stoppedM2(one.fan.part.sizeMm));
    }, 0);
    return { has: mounts.length > 0, wall: { fans: running, openM2 } };
  };
  const blower = (fan: UnitOf<'fan'>, duty: number, { fan: times }: AirUnsure): Blower => {
    const share = turning(fan, duty);
    const at = ownDuty(context, fan, duty) >= 1 ? 1 : Math.min(1, share * times);
    return atSpeed({ flowM3h: fan.part.flowM3h, pressurePa: fan.part.pressurePa }, at);
  };
  const cageFans = ofKind(context.running, 'fan').flatMap((fan) => {
    const spot = seatSpot(context.layout, fan);
    return spot ? [{ fan, host: spot.host }] : [];
  });
  return {
    box,
    places,
    flowAt(duty, unsure, supplyM3h) {
      // A wall in front of the drives and one behind them are one after the other; mounts of one wall side by side.
      const inner = (['front', 'middle', 'bottom'] as const)
        .map((wall) => wallAt(new Set([wall]), duty, unsure))
        // What is open where no fan turns is counted in what the chassis takes.
        .filter(({ wall }) => wall.fans.length > 0)
        .map(({ wall }) => wall);
      const side = wallAt(new Set(['side']), duty, unsure).wall;
      const exit = wallAt(EXIT_WALLS, duty, unsure);
      const net: AirBox = {
        driveWalls: inner,
        kDrives: kDrives * unsure.k,
        kPast: kPast * unsure.k,
        sideWall: side.fans.length > 0 ? side : null,
        exitWall: exit.has ? { ...exit.wall, openM2: exit.wall.openM2 + leftOpenM2 } : null,
        supplyM3h,
      };
      return solveFlow(net);
    },
    cageAt: (cage, duty, unsure) => {
      const own = cageFans.filter(({ host, fan }) => host === cage && turning(fan, duty) > 0);
      return own.length === 0
        ? 0
        : solveFlow({
            driveWalls: [{ fans: own.map(({ fan }) => blower(fan, duty, unsure)), openM2: 0 }],
            kDrives: CAGE_K * unsure.k,
            kPast: 1e9,
            sideWall: null,
            exitWall: null,
            supplyM3h: 0,
          }).drivesM3h;
    },
    k: 1 / (1 / Math.sqrt(kDrives) + 1 / Math.sqrt(kPast)) ** 2,
    heightM: part.heightMm / 1000,
    crossM2: (FREE_SHARE * part.widthMm * part.heightMm) / 1e6,
    skinM2:
      ((2 * (part.widthMm * part.heightMm + part.widthMm * part.depthMm + part.heightMm * part.depthMm)) / 1e6) *
      (context.site.place === 'rack' ? SKIN_FREE.rack : SKIN_FREE.other),
  };
}

/** A mount with the fan in it; one that does not run stands in the way with its ring. */
type Mounted = { readonly mount: FanMount; readonly fan: UnitOf<'fan'> | null; readonly runs: boolean };

/** Every mount of a chassis with the fan in it. */
function fansOf({ units, layout, running }: FigureContext, box: Chassis): Mounted[] {
  const sitting = sittersBySpot(units, layout);
  const runs = new Set(running.map(({ id }) => id));
  return box.part.fanMounts.flatMap((mount) =>
    Array.from({ length: mount.count }, (_, i): Mounted => {
      const unit =
        sitting.get(printSpot({ host: box.id, key: mount.key, n: i + 1 })) ??
        (i === 0 ? sitting.get(printSpot({ host: box.id, key: mount.key })) : undefined);
      const fan = unit && isKind(unit, 'fan') ? unit : null;
      return { mount, fan, runs: fan !== null && runs.has(fan.id) };
    }),
  );
}

type BayGroupSpot = Extract<SpotGroup, { type: 'bay' }>;

/**
 * Where every drive of a box is in the air, and how open the drives' path is against all of its bays filled. Bays that
 * open to the front are in it; others lie behind.
 */
function drivePlaces(
  context: FigureContext,
  box: Chassis,
): { readonly places: readonly DrivePlace[]; readonly openness: number } {
  const { units, layout, running } = context;
  const byId = unitsById(units);
  const sitting = sittersBySpot(units, layout);
  const seats = seatsOf(layout);
  const bays = spotsOf(box.id, box.part).filter((group): group is BayGroupSpot => group.type === 'bay');
  const stream = bays.filter(({ group }) => isInStream(group, box.part));
  const tiers = tiersOf(stream.map(({ group }) => group));
  const tierOf = (key: string) => tiers.get(key) ?? 0;
  const count = 1 + Math.max(0, ...tiers.values());
  const rows = Array.from({ length: count }, () => ({ full: 0, open: 0 }));
  const weightOf = ({ group }: BayGroupSpot): number => Math.max(...group.takes.map((size) => SIZE_WEIGHT[size]));
  const spans = new Map<string, { readonly weight: number; readonly tier: number }>();
  const covered = new Set<string>();
  for (const adapter of ofKind(units, 'adapter')) {
    const spot = seatSpot(layout, adapter);
    if (!spot || spot.host !== box.id) continue;
    for (let i = 1; i < adapter.part.span; i++) covered.add(printSpot({ ...spot, n: (spot.n ?? 1) + i }));
  }
  for (const bay of stream) {
    const weight = weightOf(bay);
    const isCovered = bay.group.takes.every((size) => size === '5.25');
    const tier = tierOf(bay.key);
    const row = memberAt(rows, tier);
    for (let n = 1; n <= bay.count; n++) {
      const name = printSpot({ host: box.id, key: bay.key, n });
      const here = sitting.get(name) ?? (n === 1 ? sitting.get(printSpot({ host: box.id, key: bay.key })) : undefined);
      row.full += weight;
      if (here || covered.has(name)) row.open += weight;
      else if (!isCovered) row.open += weight * EMPTY_TIMES;
      if (here) spans.set(here.id, { weight: weight * (isKind(here, 'adapter') ? here.part.span : 1), tier });
    }
  }
  const cageRuns = new Set(
    ofKind(running, 'fan').flatMap((fan) => {
      const host = byId.get(seatSpot(layout, fan)?.host ?? '');
      return host && isKind(host, 'adapter') ? [host.id as string] : [];
    }),
  );
  const inAdapter = new Map<string, number>();
  const drives = ofKind(running, 'drive').filter((drive) => boxOf(drive.id, seats, units) === box);
  for (const drive of drives) {
    const host = seatSpot(layout, drive)?.host ?? '';
    inAdapter.set(host, (inAdapter.get(host) ?? 0) + 1);
  }
  const spanOf = (drive: PlannedUnit) => spans.get(outermost(drive, box, byId, layout) ?? '');
  const before = Array.from({ length: count }, (_, tier) =>
    drives.filter((drive) => (spanOf(drive)?.tier ?? Infinity) < tier),
  );
  const places = drives.map((drive): DrivePlace => {
    const place = { drive, share: 0, before: [], beside: [] };
    const spot = seatSpot(layout, drive);
    const host = byId.get(spot?.host ?? '');
    if (!spot || !host || (!isKind(host, 'chassis') && !isKind(host, 'adapter'))) {
      // Modules on one card stand in one another's air, and in that of the cards beside it.
      const onCard = host && isCard(host.part) ? drives.filter((one) => seatSpot(layout, one)?.host === host.id) : [];
      const cards = (onCard.length > 0 && host && neighboursOf(context).get(host)) || [];
      return { ...place, path: 'board', beside: [...onCard.filter((one) => one !== drive), ...cards] };
    }
    const abreast = isKind(host, 'adapter') ? (inAdapter.get(host.id) ?? 1) : 1;
    if (cageRuns.has(host.id)) return { ...place, path: 'cage', share: 1 / abreast };
    const span = spanOf(drive);
    if (!span) return { ...place, path: 'inside' };
    const { weight, tier } = span;
    return {
      ...place,
      path: 'stream',
      share: weight / memberAt(rows, tier).open / abreast,
      before: memberAt(before, tier),
    };
  });
  // Rows in depth share what the chassis takes alike, one after the other.
  const filled = rows.filter(({ full }) => full > 0).map(({ full, open }) => Math.max(0.1, open / full));
  const inRow = filled.reduce((sum, openness) => sum + openness ** -2, 0);
  return { places, openness: filled.length > 0 ? Math.sqrt(filled.length / inRow) : 1 };
}

/** What sits in the chassis itself on the way to a drive: the drive, or the cage it is in. */
function outermost(
  drive: PlannedUnit,
  box: Chassis,
  byId: ReadonlyMap<string, PlannedUnit>,
  layout: FigureContext['layout'],
): string | null {
  let unit = drive;
  for (let depth = 0; depth < 6; depth++) {
    const host = seatSpot(layout, unit)?.host;
    if (host === box.id) return unit.id;
    const next = host === undefined ? undefined : byId.get(host);
    if (!next) return null;
    unit = next;
  }
  return null;
}
