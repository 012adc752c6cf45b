import { memberAt } from '../lists';
import type { Build, Change, Item, Unit } from '../build/build';
import type { SpotRef } from '../build/layout';
import type { SheetId, UnitId } from '../parts/ids';
import { resolve, type Part, type PartOf } from '../parts/resolve';
import type { Effect } from '../parts/chassisValues';
import type { PartKind } from '../parts/vocabulary';

/** One physical thing of the chosen stage with its complete part; a built-in one names its host. */
export type PlannedUnit = {
  readonly id: UnitId;
  readonly mark: string;
  readonly part: Part;
  readonly item: Item | null;
  readonly role?: Unit['role'];
  readonly builtIn?: { readonly spot: SpotRef; readonly fixed: boolean };
};

export type UnitSections = Pick<Build, 'items' | 'sheets' | 'archetypes' | 'changes' | 'stage'>;

const planned = new WeakMap<Build['items'], { readonly from: UnitSections; readonly units: readonly PlannedUnit[] }>();

/**
 * Every unit of this stage and those before it, built-in ones behind their hosts; the same sections give the same list.
 */
export function plannedUnits(build: UnitSections): readonly PlannedUnit[] {
  const known = planned.get(build.items);
  if (
    known &&
    known.from.sheets === build.sheets &&
    known.from.archetypes === build.archetypes &&
    known.from.changes === build.changes &&
    known.from.stage === build.stage
  )
    return known.units;
  const units = planUnits(build);
  const { items, sheets, archetypes, changes, stage } = build;
  planned.set(items, { from: { items, sheets, archetypes, changes, stage }, units });
  return units;
}

function planUnits(build: UnitSections): PlannedUnit[] {
  return build.items.filter((item) => item.stage <= build.stage).flatMap((item) => unitsOf(build, item));
}

const plannedOf = new WeakMap<Item, { readonly parts: readonly Part[]; readonly units: readonly PlannedUnit[] }>();

/** An item's units, the same objects as long as the item and every part under it are the same. */
function unitsOf(build: UnitSections, item: Item): readonly PlannedUnit[] {
  const own = item.units.map((unit) =>
    withChanges(
      partOf(build, item.sheet),
      build.changes.filter((change) => change.host === unit.id),
    ),
  );
  const parts = own.flatMap((part) => [part, ...partsUnder(build, part, 0)]);
  const known = plannedOf.get(item);
  if (known && known.parts.length === parts.length && known.parts.every((part, i) => part === parts[i]))
    return known.units;
  const units = item.units.flatMap((unit, i) => {
    const host: PlannedUnit = {
      id: unit.id,
      mark: unit.mark,
      part: memberAt(own, i),
      item,
      ...(unit.role ? { role: unit.role } : {}),
    };
    return [host, ...builtInUnits(build, host, 0)];
  });
  plannedOf.set(item, { parts, units });
  return units;
}

const partsUnder = (build: UnitSections, host: Part, depth: number): Part[] =>
  depth >= DEEPEST
    ? []
    : host.builtIn.flatMap((inner) => {
        const part = partOf(build, inner.sheet);
        return [part, ...partsUnder(build, part, depth + 1)];
      });

function partOf(build: UnitSections, id: SheetId): Part {
  const sheet = build.sheets[id]!;
  return resolve(sheet, build.archetypes[sheet.archetype]!);
}

/** Archetypes nest no deeper than this; the bound keeps a sheet that contains itself from looping. */
const DEEPEST = 3;

function builtInUnits(build: UnitSections, host: PlannedUnit, depth: number): PlannedUnit[] {
  if (depth >= DEEPEST) return [];
  return host.part.builtIn.flatMap((inner) =>
    Array.from({ length: inner.count }, (_, i) => {
      const unit: PlannedUnit = {
        id: `${host.id}+${inner.key}.${i + 1}` as UnitId,
        mark: host.mark,
        part: partOf(build, inner.sheet),
        item: null,
        builtIn: { spot: { host: host.id, key: inner.spot, n: i + 1 }, fixed: inner.fixed },
      };
      return [unit, ...builtInUnits(build, unit, depth + 1)];
    }).flat(),
  );
}

const changed = new WeakMap<Part, Map<string, Part>>();

/** A chassis with its options and mods applied, a card without its bracket; the same changes give the same object. */
function withChanges(part: Part, changes: readonly Change[]): Part {
  if (changes.length === 0 || (part.kind !== 'chassis' && !isCard(part))) return part;
  const key = JSON.stringify(changes);
  const known = changed.get(part)?.get(key);
  if (known) return known;
  const effects = changes.flatMap((change): readonly Effect[] =>
    change.kind === 'mod'
      ? change.effects
      : part.kind === 'chassis'
        ? (part.options.find((option) => option.key === change.key)?.effects ?? [])
        : [],
  );
  const result: Part =
    part.kind === 'chassis'
      ? effects.reduce(applyEffect, part)
      : effects.some((effect) => effect.do === 'bracketOff')
        ? { ...part, brackets: [] }
        : part;
  changed.set(part, (changed.get(part) ?? new Map<string, Part>()).set(key, result));
  return result;
}

export function applyEffect(chassis: PartOf<'chassis'>, effect: Effect): PartOf<'chassis'> {
  const without = <T extends { readonly key: string }>(list: readonly T[], key: string) =>
    list.filter((one) => one.key !== key);
  switch (effect.do) {
    case 'remove':
      return {
        ...chassis,
        bayGroups: without(chassis.bayGroups, effect.key),
        fanMounts: without(chassis.fanMounts, effect.key),
        supplyBays: without(chassis.supplyBays, effect.key),
        openings: without(chassis.openings, effect.key),
        clearances: chassis.clearances.filter((one) => one.because !== effect.key),
        builtIn: chassis.builtIn.filter((one) => one.spot !== effect.key),
      };
    case 'addBayGroup':
      return { ...chassis, bayGroups: [...without(chassis.bayGroups, effect.feature.key), effect.feature] };
    case 'addFanMount':
      return { ...chassis, fanMounts: [...without(chassis.fanMounts, effect.feature.key), effect.feature] };
    case 'clearance':
      return {
        ...chassis,
        clearances: [
          ...chassis.clearances.filter(
            (one) => !(one.for === effect.clearance.for && one.because === effect.clearance.because),
          ),
          effect.clearance,
        ],
      };
    case 'leak':
      return { ...chassis, bypassShare: Math.min(1, Math.max(0, chassis.bypassShare + effect.shareChange)) };
    case 'opening':
      return { ...chassis, rearOpenCm2: Math.max(0, (chassis.rearOpenCm2 ?? 0) + effect.cm2) };
    case 'attenuation':
      return { ...chassis, panelDb: Math.max(0, chassis.panelDb + effect.changeDb) };
    case 'bracketOff':
      return chassis;
    case 'resistance':
      return { ...chassis, resistancePaPerM3h2: chassis.resistancePaPerM3h2 * effect.timesFactor };
  }
}

const indexes = new WeakMap<readonly PlannedUnit[], ReadonlyMap<string, PlannedUnit>>();

/** Units by id; the same list gives the same map. */
export function unitsById(units: readonly PlannedUnit[]): ReadonlyMap<string, PlannedUnit> {
  let index = indexes.get(units);
  if (!index) indexes.set(units, (index = new Map(units.map((unit) => [unit.id as string, unit]))));
  return index;
}

/** Where a unit sits: its own place, or the one it is built into. */
export const seatSpot = (layout: Pick<Build['layout'], 'at'>, unit: PlannedUnit): SpotRef | undefined =>
  layout.at[unit.id]?.spot ?? unit.builtIn?.spot;

/** A unit of one kind. */
export type UnitOf<K extends PartKind> = PlannedUnit & { readonly part: PartOf<K> };

export const isKind = <K extends PartKind>(unit: PlannedUnit, kind: K): unit is UnitOf<K> => unit.part.kind === kind;
const byKind = new WeakMap<readonly PlannedUnit[], Map<PartKind, readonly PlannedUnit[]>>();
export function ofKind<K extends PartKind>(units: readonly PlannedUnit[], kind: K): readonly UnitOf<K>[] {
  let lists = byKind.get(units);
  if (!lists) byKind.set(units, (lists = new Map()));
  let list = lists.get(kind);
  if (!list) lists.set(kind, (list = units.filter((unit) => isKind(unit, kind))));
  return list as readonly UnitOf<K>[];
}

export const CARD_KINDS = ['controller', 'expander', 'networkCard', 'accelerator', 'carrier'] as const;
export type CardPart = PartOf<(typeof CARD_KINDS)[number]>;
/** How deep a card reaches into the box with the plug at its far end. */
export const cardReachMm = (part: CardPart): number => part.lengthMm + (part.plugEndMm ?? 0);
export const isCard = (part: Part): part is CardPart => (CARD_KINDS as readonly PartKind[]).includes(part.kind);
/** What goes into an M.2 socket: a drive, or a card made for one. */
export const isModule = ({ part }: PlannedUnit): boolean =>
  part.kind === 'drive' ? part.size === 'm2' : isCard(part) && part.bus === 'm2';
/** How long a module is, or what lies in a socket for one. */
export const moduleLengthMm = ({ part }: PlannedUnit): number => ('lengthMm' in part ? part.lengthMm : 80);

/** Kinds that have places so far; cables, sticks of paste and the like lie in the small parts. */
const PLACED: ReadonlySet<PartKind> = new Set<PartKind>([
  'chassis',
  'adapter',
  'board',
  'supply',
  'processor',
  'cooler',
  'memory',
  'riser',
  ...CARD_KINDS,
  'drive',
  'fan',
]);
/** A converter sits on the main plug of its board and takes no place of its own. */
export const hasPlaces = ({ part }: PlannedUnit): boolean =>
  PLACED.has(part.kind) && !(part.kind === 'supply' && part.form === 'dc-converter');
