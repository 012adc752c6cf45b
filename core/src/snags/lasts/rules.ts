import { groupedBy } from '../../lists';
import { boxOf, seatsOf } from '../../machine/hosts';
import { ofKind, type PlannedUnit, type UnitOf } from '../../machine/units';
import type { PartOf } from '../../parts/resolve';
import { drivesOn } from '../../wiring/drivesOn';
import { byPart, placesOf, type Situation } from '../situation';
import type { Found } from '../words';

type Drive = UnitOf<'drive'>;

/** Disks in a box with more disks than they are made to stand beside. */
export function pastRatedBays(situation: Situation): Found<'lasts.ratedBays'>[] {
  const { units, layout } = situation;
  const seats = seatsOf(layout);
  const disks = ofKind(units, 'drive').filter(({ part, id }) => part.medium === 'disk' && layout.at[id]);
  const byBox = new Map<PlannedUnit, Drive[]>();
  for (const disk of disks) {
    const box = boxOf(disk.id, seats, units);
    if (box) byBox.set(box, [...(byBox.get(box) ?? []), disk]);
  }
  return [...byBox].flatMap(([box, inside]) =>
    byPart(inside).flatMap((like): Found<'lasts.ratedBays'>[] => {
      const { ratedBays, name } = like[0].part;
      if (ratedBays === null || inside.length <= ratedBays) return [];
      return [
        {
          severity: 'caution',
          at: placesOf(like),
          gap: { have: inside.length, limit: ratedBays, gap: ratedBays - inside.length, unit: 'drives' },
          facts: { count: like.length, drive: name, chassis: box.part.name },
        },
      ];
    }),
  );
}

/** Five years of turning, what most makers warrant. */
const MANY_HOURS = 43_800;

/** Owned drives that have run long, or that their owner does not trust. */
export function wornDrives(situation: Situation): Found<'lasts.worn'>[] {
  const worn = ofKind(situation.units, 'drive').filter(
    ({ item }) => (item?.hours ?? 0) > MANY_HOURS || item?.condition === 'doubtful' || item?.condition === 'worn',
  );
  const byItem = groupedBy(worn, ({ item }) => item?.id);
  return [...byItem.values()].map((like): Found<'lasts.worn'> => {
    const [{ item, part }] = like;
    const hours = (item?.hours ?? 0) > MANY_HOURS ? (item?.hours ?? 0) : 0;
    return {
      severity: 'caution',
      at: placesOf(like),
      facts: { count: like.length, drive: part.name, hours, condition: item?.condition ?? '' },
    };
  });
}

/** A controller whose write cache loses its power with the machine. */
export function unprotectedCache(situation: Situation): Found<'lasts.writeBack'>[] {
  return ofKind(situation.units, 'controller').flatMap((unit): Found<'lasts.writeBack'>[] => {
    const count = drivesOn(situation, unit.id).length;
    return unit.part.cacheProtected === false && count > 0
      ? [{ severity: 'caution', at: placesOf([unit]), facts: { card: unit.part.name, count } }]
      : [];
  });
}

/** USB boxes whose bridge is of a weak kind, or hides its drives. */
export function bridges(situation: Situation): Found<'lasts.bridge'>[] {
  return byPart(ofKind(situation.units, 'enclosure')).flatMap((like): Found<'lasts.bridge'>[] => {
    const part = like[0].part as PartOf<'enclosure'>;
    const fault = part.weakBridge
      ? 'weak'
      : part.seenAs === 'one'
        ? 'one'
        : part.link === 'usb' && part.recovers === false
          ? 'lost'
          : null;
    return fault
      ? [{ severity: fault === 'one' ? 'note' : 'caution', at: placesOf(like), facts: { box: part.name, fault } }]
      : [];
  });
}

/** Parts to buy that their maker sells no more: used ones, or what is left on some shelf. */
export function notSold({ units, asOf }: Situation): Found<'lasts.notSold'>[] {
  const now = Number(asOf.slice(0, 4));
  const gone = units.filter(
    ({ item, builtIn, part: { sheet } }) =>
      item?.deal === 'buy' &&
      !builtIn &&
      (item.condition === undefined || item.condition === 'new') &&
      sheet.soldUntilYear !== undefined &&
      sheet.soldUntilYear < now,
  );
  return [...groupedBy(gone, ({ item }) => item?.id).values()].map((like): Found<'lasts.notSold'> => ({
    severity: 'note',
    at: placesOf(like),
    facts: { part: like[0].part.name, count: like.length, year: like[0].part.sheet.soldUntilYear ?? now },
  }));
}

/** Years after which makers expect a part to fail more often: their warranties, and electrolytes of batteries. */
const MANY_YEARS = { drive: 5, supply: 10, ups: 4, fan: 8 } as const;

/** Owned parts past the years they are made for; the battery of a UPS is what ages in it. */
export function agedParts({ units, asOf }: Situation): Found<'lasts.aged'>[] {
  const now = Number(asOf.slice(0, 4));
  // What is not sold new any more is at least as old as that.
  const yearsOf = ({ item, builtIn, part }: PlannedUnit) => {
    const year = item?.year ?? (item?.deal === 'owned' ? part.sheet.soldUntilYear : undefined);
    return year === undefined || builtIn ? 0 : now - year;
  };
  const aged = units.filter((unit) => {
    const most = (MANY_YEARS as Readonly<Record<string, number>>)[unit.part.kind];
    return most !== undefined && yearsOf(unit) >= most;
  });
  return [...groupedBy(aged, ({ item }) => item?.id).values()].map((like): Found<'lasts.aged'> => {
    const [first] = like;
    return {
      severity: 'note',
      at: placesOf(like),
      facts: {
        part: like.length > 1 ? `${like.length} × ${first.part.name}` : first.part.name,
        count: like.length,
        years: yearsOf(first),
        battery: first.part.kind === 'ups' ? 'yes' : '',
      },
    };
  });
}
