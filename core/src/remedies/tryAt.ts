import type { Assessor, AssessOptions } from '../assess';
import type { Build } from '../build/build';
import type { Edit } from '../build/edits';
import { printSpot, type SpotRef } from '../build/layout';
import { isFound } from '../parts/factSearch';
import { addItemEdit, moreUnitsEdit } from '../build/newItem';
import { closureOf, type Catalogue } from '../parts/catalogue';
import type { SheetId, UnitId } from '../parts/ids';
import type { Sheet } from '../parts/sheet';
import { resolve, type Part } from '../parts/resolve';
import { PART_KINDS } from '../parts/vocabulary';
import { mismatch, type Mismatch } from '../machine/accepts';
import { groupAt } from '../machine/spotAt';
import { refsOf, type SpotGroup } from '../machine/spots';
import { sittersBySpot } from '../machine/sitters';
import { unitsById, type PlannedUnit } from '../machine/units';
import { weigh, type Base, type Owned, type Standing, type Weighed } from './weigh';

export type TryRow =
  | { readonly goes: true; readonly sheet: SheetId; readonly weighed: Weighed }
  | { readonly goes: false; readonly sheet: SheetId; readonly name: string; readonly why: Mismatch | string };

/** With `owned` only those sheets are tried, as parts that cost nothing. */
export type TryAsk = {
  readonly spot: SpotRef;
  readonly count?: number;
  readonly replace?: boolean;
  readonly search?: string;
  readonly owned?: Readonly<Record<string, Owned>>;
};

/** The group a spot stands for, also on the floor and the table; null when there is no such place. */
export function spotGroup(units: readonly PlannedUnit[], spot: SpotRef): SpotGroup | null {
  if (spot.host === 'table' || (spot.host === 'floor' && spot.key === 'chassis')) {
    if (spot.host === 'table' && spot.key === 'any')
      return { type: 'table', kind: 'any', host: 'table', key: 'any', label: 'The table', count: 1 };
    const kind = PART_KINDS.find((one) => one === spot.key);
    if (!kind) return null;
    return spot.host === 'floor'
      ? { type: 'floor', kind, host: 'floor', key: spot.key, label: 'The floor', count: 1 }
      : { type: 'table', kind, host: 'table', key: spot.key, label: 'The table', count: 1 };
  }
  return groupAt(unitsById(units), spot);
}

/** Free places of the same group as a spot, itself first. */
export function freeAlike(base: Standing, spot: SpotRef): SpotRef[] {
  const { units, layout } = base.assessment;
  const group = spotGroup(units, spot);
  if (!group || group.type === 'table' || group.type === 'floor') return [spot];
  const sitting = sittersBySpot(units, layout);
  const others = refsOf(group).filter(
    (ref) => printSpot(ref) !== printSpot(spot) && !isTaken(sitting.get(printSpot(ref))),
  );
  return [spot, ...others];
}
const isTaken = (unit: PlannedUnit | undefined) => !!unit && !(unit.builtIn && !unit.builtIn.fixed);

/** The edits that put `count` of a sheet at a spot and its free neighbours; they join an item of the same sheet. */
export function putEdits(
  base: Standing,
  catalogue: Catalogue,
  sheet: SheetId,
  spot: SpotRef,
  count = 1,
  owned?: Owned,
): Edit[] {
  return putEditsAt(base.build, catalogue, sheet, spotsFor(base, spot, count), count, owned);
}

/** The places `count` parts put at a spot come to: none of their own on the table and the floor. */
function spotsFor(base: Standing, spot: SpotRef, count: number): SpotRef[] {
  return spot.host === 'table' || spot.host === 'floor' ? [] : freeAlike(base, spot).slice(0, count);
}

function putEditsAt(
  build: Build,
  catalogue: Catalogue,
  sheet: SheetId,
  spots: readonly SpotRef[],
  count: number,
  owned?: Owned,
): Edit[] {
  const like = build.items.find(
    (item) =>
      item.sheet === sheet &&
      item.stage === build.stage &&
      (owned ? item.deal === 'owned' && item.stockId === owned.stockId : item.deal === 'buy' && !item.price?.from),
  );
  if (!like) {
    const add = addItemEdit(build, catalogue, sheet, count, { spots, ...(owned ? { deal: 'owned' } : {}) });
    return [owned ? { ...add, item: { ...add.item, ...owned } } : add];
  }
  return [moreUnitsEdit(build, like, count, spots)];
}

/** The edit that puts another sheet in the place of an item's. */
export function replaceEdit(
  build: Build,
  catalogue: Catalogue,
  unit: UnitId,
  sheet: SheetId,
  owned?: Owned,
): Edit | null {
  const item = build.items.find((one) => one.units.some((own) => own.id === unit));
  const listed = catalogue.sheets[sheet]?.price;
  return item
    ? {
        type: 'item.replace',
        item: item.id,
        sheet,
        ...closureOf(catalogue, sheet),
        ...(listed ? { price: { ...listed, per: 'unit' as const, taxIncluded: true } } : {}),
        ...(owned ? { owned } : {}),
      }
    : null;
}

/**
 * Every part of a catalogue for one spot, one row at a time, so that a caller can stop: first those
 * that do not go, each with its one reason, then each that goes, weighed. `candidates` are some of
 * the catalogue's sheets; what they have built in is found in the whole of it.
 */
export function* tryAt(
  base: Base,
  ask: TryAsk,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
  candidates: Iterable<Sheet> = Object.values(catalogue.sheets),
): Generator<TryRow> {
  const { units, layout } = base.assessment;
  const group = spotGroup(units, ask.spot);
  if (!group) return;
  const sitter = ask.replace ? sittersBySpot(units, layout).get(printSpot(ask.spot)) : undefined;
  const spots = spotsFor(base, ask.spot, ask.count ?? 1);
  const going: Part[] = [];
  for (const sheet of candidates) {
    const archetype = catalogue.archetypes[sheet.archetype];
    if (!archetype || (ask.owned && !ask.owned[sheet.id]) || !isFound(sheet, archetype, ask.search ?? '')) continue;
    const part = resolve(sheet, archetype);
    const why = mismatch(part, group);
    if (!why) going.push(part);
    else if (why.code !== 'otherKind') yield { goes: false, sheet: part.id, name: part.name, why };
  }
  for (const part of going) {
    if (sitter?.part.id === part.id) continue;
    const replaced = sitter?.item ? replaceEdit(base.build, catalogue, sitter.id, part.id, ask.owned?.[part.id]) : null;
    const edits = replaced
      ? [replaced]
      : putEditsAt(base.build, catalogue, part.id, spots, ask.count ?? 1, ask.owned?.[part.id]);
    const weighed = weigh(base, edits, assessor, options);
    yield weighed.ok
      ? { goes: true, sheet: part.id, weighed }
      : { goes: false, sheet: part.id, name: part.name, why: weighed.words };
  }
}

const SUBJECT: Partial<Record<Mismatch['code'], string>> = {
  holes: 'Board holes',
  size: 'Size',
  form: 'Form',
  socket: 'Socket',
  memoryForm: 'Module form',
  memoryType: 'Memory type',
  length: 'Length',
  protocol: 'Interface',
  key: 'M.2 key',
  bus: 'Bus',
  width: 'Card width',
  connector: 'Connector',
  fixed: 'Built in',
};

/** The one reason in a short sentence. */
export function mismatchWords(why: Mismatch | string): string {
  return typeof why === 'string' ? why : `${SUBJECT[why.code] ?? 'Kind'} ${why.have}; this place takes ${why.want}`;
}
