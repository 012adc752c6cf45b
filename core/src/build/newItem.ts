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
  const units = Array.from({ length: count }, (_, i) => ({
    id: `u${first + 1 + i}` as UnitId,
    mark: `${letter}${i + 1}`,
    ...(more.role ? { role: more.role } : {}),
  }));
  const listed = catalogue.sheets[sheet]?.price;
  const price: Price | undefined = listed && { ...listed, per: 'unit', taxIncluded: true };
  const puts = more.spots?.length
    ? Object.fromEntries(more.spots.slice(0, count).map((spot, i) => [units[i]!.id, spot]))
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
