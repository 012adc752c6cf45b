import type { Build } from '../build/build';
import type { Layout } from '../build/layout';
import { resolve, type PartOf } from '../parts/resolve';
import { wantsPlate } from '../machine/accepts';
import { groupAt } from '../machine/spotAt';
import { fanPlans } from './fanHeaders';
import { networkWants } from './network';
import { isSplittable, plugsOn } from './plugLoads';
import { plugBalance } from './plugs';
import { runningUnits } from '../machine/running';
import { ofKind, seatSpot, unitsById, type PlannedUnit, type UnitOf } from '../machine/units';

/**
 * Plugs that mains cables end in, by the letters of IEC's list of plug types; `C14` (IEC 60320) goes into an outlet of
 * a UPS or a rack, for which no cable lies in the box of a supply.
 */
const MAINS_PLUGS: Readonly<Record<string, string>> = {
  F: 'plug type F',
  G: 'plug type G',
  B: 'plug type B',
  I: 'plug type I',
  J: 'plug type J',
  K: 'plug type K',
  L: 'plug type L',
  M: 'plug type M',
  N: 'plug type N',
  C14: 'C13 to C14',
};

/** A splitter for power is a part of its own kind: with one in the kit the plugs are not short any more. */
export type SmallUse = PartOf<'sundry'>['use'] | 'powerSplitter';
/**
 * Small parts of one use that a machine wants: how many are in the kit and in the boxes of its parts, and how many are
 * left to buy.
 */
export type SmallNeed = {
  readonly use: SmallUse;
  readonly what: string;
  readonly why: string;
  readonly count: number;
  readonly fromKit: number;
  readonly fromBoxes: number;
  readonly toBuy: number;
  /** A typical price of one, in euro cents. */ readonly typicalMinor: number;
  readonly for: readonly string[];
};

type Site = Pick<Build['site'], 'place' | 'mainsPlug' | 'links'>;

type Want = {
  readonly use: SmallUse;
  readonly what: string;
  readonly why: string;
  readonly count: number;
  readonly typicalMinor: number;
  readonly for: readonly PlannedUnit[];
  /** What lies in the boxes is of another kind. */ readonly isNeverBoxed?: boolean;
};

/**
 * Of what is bought used nothing is taken to be in the box: small parts are what goes missing first. What is owned has
 * been seen.
 */
const boxIsWhole = ({ item }: PlannedUnit): boolean =>
  item?.deal === 'owned' || item?.condition === undefined || item.condition === 'new';

/** Everything small that a machine needs and nobody lists, against what the kit and the boxes bring. */
export function smallNeeds(
  units: readonly PlannedUnit[],
  layout: Layout,
  site: Site,
  sheets: Build['sheets'],
  archetypes: Build['archetypes'],
): readonly SmallNeed[] {
  const boxed = new Map<SmallUse, number>();
  for (const unit of units)
    for (const inner of boxIsWhole(unit) ? unit.part.inTheBox : []) {
      const sheet = sheets[inner.sheet];
      const archetype = sheet && archetypes[sheet.archetype];
      const part = sheet && archetype && resolve(sheet, archetype);
      if (part?.kind === 'sundry') boxed.set(part.use, (boxed.get(part.use) ?? 0) + inner.count * part.packOf);
    }
  const kit = new Map<SmallUse, number>();
  for (const { part, item } of ofKind(units, 'sundry'))
    kit.set(part.use, (kit.get(part.use) ?? 0) + part.packOf * (item?.count ?? 1));
  return wanted(units, layout, site, kit)
    .filter(({ count }) => count > 0)
    .map((want) => {
      const fromKit = Math.min(want.count, kit.get(want.use) ?? 0);
      const fromBoxes = want.isNeverBoxed ? 0 : Math.min(want.count - fromKit, boxed.get(want.use) ?? 0);
      // What one want takes is not there for the next of its use.
      kit.set(want.use, (kit.get(want.use) ?? 0) - fromKit);
      boxed.set(want.use, (boxed.get(want.use) ?? 0) - fromBoxes);
      return {
        use: want.use,
        what: want.what,
        why: want.why,
        count: want.count,
        fromKit,
        fromBoxes,
        toBuy: want.count - fromKit - fromBoxes,
        typicalMinor: want.typicalMinor,
        for: want.for.map(({ id }) => id),
      };
    });
}

const wanted = (
  units: readonly PlannedUnit[],
  layout: Layout,
  site: Site,
  kit: ReadonlyMap<SmallUse, number>,
): Want[] => {
  const supplies = ofKind(units, 'supply').filter((unit) => !unit.builtIn && unit.part.form !== 'dc-converter');
  return [
    plates(supplies, units, layout),
    ...forBoards(units, layout),
    ...forDrives(units, layout),
    mainsCables(supplies, site),
    ...networkWants(
      units.filter((unit) => layout.at[unit.id] ?? unit.builtIn),
      site.links,
    ),
    ...(site.place === 'rack' ? forRack(units) : []),
    ...forFans(units, layout, kit),
    ...forPlugs(units, layout),
  ];
};

const want = (use: SmallUse, what: string, why: string, typicalMinor: number, of: readonly PlannedUnit[]): Want => ({
  use,
  what,
  why,
  count: of.length,
  typicalMinor,
  for: of,
});

function plates(supplies: readonly UnitOf<'supply'>[], units: readonly PlannedUnit[], layout: Layout): Want {
  const byId = unitsById(units);
  const plated = supplies.filter((unit) => {
    const spot = layout.at[unit.id]?.spot;
    const group = spot && groupAt(byId, spot);
    return group?.type === 'supplyBay' && wantsPlate(unit.part, group.bay);
  });
  return want('supplyPlate', 'Plate, SFX in ATX', 'holds a small supply in a bay for ATX supplies', 800, plated);
}

function forBoards(units: readonly PlannedUnit[], layout: Layout): Want[] {
  const large = ofKind(units, 'board').filter((unit) => !unit.builtIn && unit.part.holes !== 'own');
  const processors = ofKind(units, 'processor').filter((unit) => !unit.builtIn && layout.at[unit.id]);
  return [
    want('coinCell', 'Coin cell', 'keeps the clock and the settings of the board', 200, large),
    want('ioShield', 'I/O shield', 'closes the rear wall around the sockets of the board', 700, large),
    want('paste', 'Thermal paste', 'between processor and cooler', 600, processors),
  ];
}

function forDrives(units: readonly PlannedUnit[], layout: Layout): Want[] {
  const used = ofKind(units, 'chassis').filter((unit) => !boxIsWhole(unit));
  const bays = drivesIn(units, layout);
  const fixed = bays.filter(({ access }) => access === 'fixed').map(({ unit }) => unit);
  const large = fixed.filter(({ part }) => part.size === '3.5');
  const small = fixed.filter(({ part }) => part.size !== '3.5');
  const trays = bays.filter(({ access, host }) => access !== 'fixed' && used.some(({ id }) => id === host));
  return [
    {
      ...want('screws', 'Drive screws, pack', 'hold the drives in fixed bays', 400, [...large, ...small]),
      // Large and small drives take other threads.
      count: Number(large.length > 0) + Number(small.length > 0),
    },
    want(
      'caddy',
      'Caddy',
      'a drive goes into such a bay in its caddy; of a used chassis count them first',
      1400,
      trays.map(({ unit }) => unit),
    ),
  ];
}

function mainsCables(supplies: readonly UnitOf<'supply'>[], { mainsPlug }: Site): Want {
  const plug = MAINS_PLUGS[mainsPlug];
  return {
    ...want('mainsLead', `Mains cable${plug ? `, ${plug}` : ''}`, 'one for each supply', 500, supplies),
    isNeverBoxed: mainsPlug === 'C14',
    count: supplies.reduce((sum, { part }) => sum + (part.form === 'redundant' ? part.modules : 1), 0),
  };
}

function forRack(units: readonly PlannedUnit[]): Want[] {
  const chassis = ofKind(units, 'chassis');
  const racked = chassis.filter(({ part }) => part.rackUnits !== null && part.slideRails === 'apart');
  const narrow = chassis.filter(({ part }) => part.rackKit === 'apart');
  const bricks = ofKind(units, 'supply').filter(({ part }) => part.form === 'brick');
  return [
    want('slideRails', 'Slide rails', 'they are sold apart for this chassis', 5800, racked),
    want('rackKit', 'Rack kit', 'holds a body narrower than the opening of the rack', 4500, narrow),
    want(
      'brickTray',
      'Brick tray',
      'in a rack a brick hangs on its cable, or lies where air should pass',
      1500,
      bricks,
    ),
  ];
}

/** What splitters would put past a header wants a hub. One splitter turns a header into three. */
function forFans(units: readonly PlannedUnit[], layout: Layout, kit: ReadonlyMap<SmallUse, number>): Want[] {
  const fans = fanPlans(units, layout).filter(({ short, over }) => short > 0 || over);
  const [hubbed, split] = [fans.filter(({ over }) => over), fans.filter(({ over }) => !over)];
  const boards = (of: typeof fans) => of.map(({ board }) => board);
  return [
    {
      ...want('fanSplitter', 'Fan splitter', 'more fans than the board has headers', 500, boards(split)),
      count: split.reduce((sum, { short }) => sum + Math.ceil(short / 2), 0),
    },
    {
      ...want('fanHub', 'Fan hub', 'the fans take more than the headers of the board carry', 1500, boards(hubbed)),
      // Those of the kit are dealt to already: what is past its limit with them wants another.
      count: hubbed.length > 0 ? hubbed.length + (kit.get('fanHub') ?? 0) : 0,
    },
  ];
}

/**
 * Splitters for drive plugs that are short: one of two plugs gives one more on a plug of its kind, two on a free 4-pin
 * plug. Whether they carry what hangs on them is a rule's question.
 */
function forPlugs(units: readonly PlannedUnit[], layout: Layout): Want[] {
  const chassis = ofKind(units, 'chassis');
  const supplies = ofKind(runningUnits(units, layout), 'supply');
  const wanting = (chassis.length > 0 ? chassis : [null]).flatMap((box, i) => {
    const own = supplies.filter((unit) => {
      const host = seatSpot(layout, unit)?.host;
      return box && host ? host === box.id : i === 0 && host === undefined;
    });
    const lines = own.length > 0 ? plugBalance(units, layout, box, own) : [];
    const peripheral = lines.find(({ plug }) => plug === 'peripheral');
    const onSupplies = own.reduce((sum, { part }) => sum + plugsOn(part, 'peripheral'), 0);
    let free = Math.max(0, onSupplies - (peripheral?.need ?? 0));
    return lines.flatMap(({ plug, short, wantedBy }) => {
      if (short === 0 || !isSplittable(plug)) return [];
      const onFree = plug === 'sata-power' ? Math.min(free, Math.ceil(short / 2)) : 0;
      free -= onFree;
      return [{ count: onFree + Math.max(0, short - 2 * onFree), for: wantedBy }];
    });
  });
  return [
    {
      ...want(
        'powerSplitter',
        'Power splitter',
        'more drives want a power plug than the cables of the supply have',
        600,
        wanting.flatMap((one) => one.for),
      ),
      count: wanting.reduce((sum, { count }) => sum + count, 0),
    },
  ];
}

type InBay = {
  readonly unit: UnitOf<'drive'>;
  readonly access: 'hotSwap' | 'tray' | 'fixed';
  readonly host: string;
};
function drivesIn(units: readonly PlannedUnit[], layout: Layout): InBay[] {
  const byId = unitsById(units);
  return ofKind(units, 'drive').flatMap((unit) => {
    const spot = layout.at[unit.id]?.spot;
    const group = spot && groupAt(byId, spot);
    return group?.type === 'bay' ? [{ unit, access: group.group.access, host: spot!.host }] : [];
  });
}
