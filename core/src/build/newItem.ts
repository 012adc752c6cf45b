import { memberAt } from '../lists';
import { closureOf, type Catalogue } from '../parts/catalogue';
import type { ItemId, SheetId, UnitId } from '../parts/ids';
import type { Build, Item, Price } from './build';
import type { EditOf } from './edits';
import type { SpotRef } from './layout';
import { markLetter } from './marks';

/** The edit that adds `count` units of a catalogue sheet, with ids and marks from the build's counter. */
export function addItemEdit(
  build: Pick<Build, 'counter' | 'stage'>,
  catalogue: Catalogue,
  sheet: SheetId,
  count: number,
  more: { spots?: readonly SpotRef[]; deal?: Item['deal']; role?: Item['units'][number]['role'] } = {},
): EditOf<'item.add'> {
  const letter = markLetter(build.counter.letter);
  const first = build.counter.next;
  const unit = (i: number): Item['units'][number] => ({
    id: `u${first + 1 + i}` as UnitId,
    mark: `${letter}${i + 1}`,
    ...(more.role ? { role: more.role } : {}),
  });
  const units: Item['units'] = [unit(0), ...Array.from({ length: Math.max(0, count - 1) }, (_, i) => unit(i + 1))];
  const listed = catalogue.sheets[sheet]?.price;
  const price: Price | undefined = listed && { ...listed, per: 'unit', taxIncluded: true };
  const puts = more.spots?.length
    ? Object.fromEntries(more.spots.slice(0, count).map((spot, i) => [unit(i).id, spot]))
    : undefined;
  return {
    type: 'item.add',
    item: {
      id: `i${first}` as ItemId,
      sheet,
      units,
      stage: build.stage,
      deal: more.deal ?? 'buy',
      ...(price ? { price } : {}),
      ...(catalogue.sheets[sheet]?.soldUsed && more.deal !== 'owned' ? { condition: 'good' as const } : {}),
    },
    ...closureOf(catalogue, sheet),
    ...(puts ? { puts } : {}),
  };
}

/** The edit that adds `count` more units to an item, marked on from its last, in places where some are given. */
export function moreUnitsEdit(
  build: Pick<Build, 'counter'>,
  item: Item,
  count: number,
  spots: readonly SpotRef[] = [],
): EditOf<'units.add'> {
  const letter = /^[A-Z]+/.exec(item.units[0].mark)![0];
  const top = Math.max(...item.units.map((unit) => Number(/\d+$/.exec(unit.mark)![0])));
  const role = item.units.at(-1)!.role;
  const units = Array.from({ length: count }, (_, i) => ({
    id: `u${build.counter.next + i}` as UnitId,
    mark: `${letter}${top + 1 + i}`,
    ...(role ? { role } : {}),
  }));
  return {
    type: 'units.add',
    item: item.id,
    units,
    ...(spots.length ? { puts: Object.fromEntries(spots.map((ref, i) => [memberAt(units, i).id, ref])) } : {}),
  };
}

const STAYS = { solved: 0, put: 1, held: 2 } as const;

/**
 * The edit by which an item has `count` units: more of them, or fewer; those without a place go first, then those the
 * wiring placed, the last marked first. None where it has so many.
 */
export function countEdit(
  build: Build,
  item: Item,
  count: number,
): EditOf<'units.add'> | EditOf<'units.remove'> | null {
  const more = count - item.units.length;
  if (more === 0 || count < 1) return null;
  if (more > 0) return moreUnitsEdit(build, item, more);
  const stay = (id: UnitId): number => {
    const how = build.layout.at[id]?.how;
    return how === undefined ? -1 : STAYS[how];
  };
  const going = item.units
    .map((unit, i) => ({ unit, i }))
    .sort((a, b) => stay(a.unit.id) - stay(b.unit.id) || b.i - a.i)
    .slice(0, -more);
  return { type: 'units.remove', units: going.map(({ unit }) => unit.id) };
}
