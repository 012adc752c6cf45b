import type { Build } from '../build/build';
import type { Layout } from '../build/layout';
import { resolve, type PartOf } from '../parts/resolve';
import { wantsPlate } from '../machine/accepts';
import { boxOf } from '../machine/hosts';
import { groupAt } from '../machine/spotAt';
import { fanPlans } from './fanHeaders';
import { isKind, ofKind, unitsById, type PlannedUnit, type UnitOf } from '../machine/units';

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

export type SmallUse = PartOf<'sundry'>['use'];
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

function wanted(units: readonly PlannedUnit[], layout: Layout, site: Site, kit: ReadonlyMap<SmallUse, number>): Want[] {
  const seated = (unit: PlannedUnit) => !!layout.at[unit.id] || !!unit.builtIn;
  const boards = ofKind(units, 'board').filter((unit) => !unit.builtIn);
  const large = boards.filter(({ part }) => part.holes !== 'own');
  const processors = ofKind(units, 'processor').filter((unit) => !unit.builtIn && seated(unit));
  const supplies = ofKind(units, 'supply').filter((unit) => !unit.builtIn && unit.part.form !== 'dc-converter');
  const racked =
    site.place === 'rack'
      ? ofKind(units, 'chassis').filter(({ part }) => part.rackUnits !== null && part.slideRails === 'apart')
      : [];
  const inRack = site.place === 'rack';
  const narrow = inRack ? ofKind(units, 'chassis').filter(({ part }) => part.rackKit === 'apart') : [];
  const bricks = inRack ? ofKind(units, 'supply').filter(({ part }) => part.form === 'brick') : [];
  const used = ofKind(units, 'chassis').filter((unit) => !boxIsWhole(unit));
  const bays = drivesIn(units, layout);
  const fixed = bays.filter(({ access }) => access === 'fixed');
  const screws = fixed.filter(({ unit }) => unit.part.size === '3.5');
  const small = fixed.filter(({ unit }) => unit.part.size !== '3.5');
  const trays = bays.filter(({ access, host }) => access !== 'fixed' && used.some(({ id }) => id === host));
  const fans = fanPlans(units, layout).filter(({ short, over }) => short > 0 || over);
  // What splitters would put past a header wants a hub.
  const [hubbed, split] = [fans.filter(({ over }) => over), fans.filter(({ over }) => !over)];
  const byId = unitsById(units);
  const plated = supplies.filter((unit) => {
    const spot = layout.at[unit.id]?.spot;
    const group = spot && groupAt(byId, spot);
    return group?.type === 'supplyBay' && wantsPlate(unit.part, group.bay);
  });
  return [
    {
      use: 'supplyPlate',
      what: 'Plate, SFX in ATX',
      why: 'holds a small supply in a bay for ATX supplies',
      count: plated.length,
      typicalMinor: 800,
      for: plated,
    },
    {
      use: 'coinCell',
      what: 'Coin cell',
      why: 'keeps the clock and the settings of the board',
      count: large.length,
      typicalMinor: 200,
      for: large,
    },
    {
      use: 'ioShield',
      what: 'I/O shield',
      why: 'closes the rear wall around the sockets of the board',
      count: large.length,
      typicalMinor: 700,
      for: large,
    },
    {
      use: 'paste',
      what: 'Thermal paste',
      why: 'between processor and cooler',
      count: processors.length,
      typicalMinor: 600,
      for: processors,
    },
    {
      use: 'screws',
      what: 'Drive screws, pack',
      why: 'hold the drives in fixed bays',
      count: Number(screws.length > 0) + Number(small.length > 0),
      typicalMinor: 400,
      for: [...screws, ...small].map(({ unit }) => unit),
    },
    {
      use: 'caddy',
      what: 'Caddy',
      why: 'a drive goes into such a bay in its caddy; of a used chassis count them first',
      count: trays.length,
      typicalMinor: 1400,
      for: trays.map(({ unit }) => unit),
    },
    {
      use: 'mainsLead',
      what: `Mains cable${MAINS_PLUGS[site.mainsPlug] ? `, ${MAINS_PLUGS[site.mainsPlug]}` : ''}`,
      why: 'one for each supply',
      isNeverBoxed: site.mainsPlug === 'C14',
      count: supplies.reduce((sum, { part }) => sum + (part.form === 'redundant' ? part.modules : 1), 0),
      typicalMinor: 500,
      for: supplies,
    },
    networkCables(units.filter(seated), site),
    {
      use: 'slideRails',
      what: 'Slide rails',
      why: 'they are sold apart for this chassis',
      count: racked.length,
      typicalMinor: 5800,
      for: racked,
    },
    {
      use: 'rackKit',
      what: 'Rack kit',
      why: 'holds a body narrower than the opening of the rack',
      count: narrow.length,
      typicalMinor: 4500,
      for: narrow,
    },
    {
      use: 'brickTray',
      what: 'Brick tray',
      why: 'in a rack a brick hangs on its cable, or lies where air should pass',
      count: bricks.length,
      typicalMinor: 1500,
      for: bricks,
    },
    // One splitter turns a header into three.
    {
      use: 'fanSplitter',
      what: 'Fan splitter',
      why: 'more fans than the board has headers',
      count: split.reduce((sum, { short }) => sum + Math.ceil(short / 2), 0),
      typicalMinor: 500,
      for: split.map(({ board }) => board),
    },
    {
      use: 'fanHub',
      what: 'Fan hub',
      why: 'the fans take more than the headers of the board carry',
      // Those of the kit are dealt to already: what is past its limit with them wants another.
      count: hubbed.length > 0 ? hubbed.length + (kit.get('fanHub') ?? 0) : 0,
      typicalMinor: 1500,
      for: hubbed.map(({ board }) => board),
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

/** Front sockets of a chassis whose header its board does not have. */
export function missingFrontUsb(
  units: readonly PlannedUnit[],
  layout: Layout,
): { readonly chassis: PlannedUnit; readonly board: PlannedUnit; readonly kind: string }[] {
  const seats = new Map(Object.entries(layout.at));
  return ofKind(units, 'board').flatMap((board) => {
    const box = layout.at[board.id] ? boxOf(board.id, seats, units) : null;
    if (!box || !isKind(box, 'chassis')) return [];
    const has = board.part.usbInside.flatMap((one) => Array<string>(one.count).fill(one.kind));
    return box.part.frontUsb.flatMap((kind) => {
      const at = has.indexOf(kind);
      if (at >= 0) {
        has.splice(at, 1);
        return [];
      }
      return [{ chassis: box, board, kind }];
    });
  });
}

/** From so many Gb/s on links go over cables with their transceivers on them. */
const DIRECT_GBPS = 25;

/** A cable for every link the place has, as far as there are ports for them; none while nobody says what is there. */
function networkCables(units: readonly PlannedUnit[], { links }: Site): Want {
  const holders = [...ofKind(units, 'board'), ...ofKind(units, 'networkCard')].filter(
    ({ part }) => part.networkPorts.length > 0,
  );
  const ports = holders.reduce((sum, { part }) => sum + part.networkPorts.reduce((all, one) => all + one.count, 0), 0);
  const wanted = links.reduce((sum, { count }) => sum + count, 0);
  const fastest = Math.max(0, ...links.map(({ gbPerS }) => gbPerS));
  const isDirect = fastest >= DIRECT_GBPS;
  return {
    use: 'networkCable',
    what: isDirect ? `Direct-attach cable, ${fastest} Gb/s` : `Network cable${fastest > 0 ? `, ${fastest} Gb/s` : ''}`,
    why: 'one for each link of the place',
    count: Math.min(wanted, ports),
    typicalMinor: isDirect ? 2500 : 600,
    for: holders,
  };
}
