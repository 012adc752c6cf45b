import { memberAt } from '../lists';
import type { Layout, Seat } from '../build/layout';
import { fewLast, memoWeak } from '../memoLast';
import type { Part, PartOf } from '../parts/resolve';
import type { PartKind } from '../parts/vocabulary';
import type { PlannedUnit } from '../machine/units';

/** All that seating and wiring read of a drive. Sheets of one series share it: their drives are dealt alike. */
export const DRIVE_SHAPE = [
  'kind',
  'medium',
  'size',
  'heightMm',
  'lengthMm',
  'interface',
  'lanes',
  'gbPerLane',
  'pcieGen',
] as const satisfies readonly (keyof PartOf<'drive'>)[];

/** Whether two parts are dealt the same: the same part, or two drives of one shape. */
export function partsAlike(a: Part, b: Part): boolean {
  if (a === b) return true;
  return (
    a.kind === 'drive' &&
    b.kind === 'drive' &&
    a.builtIn.length === 0 &&
    b.builtIn.length === 0 &&
    DRIVE_SHAPE.every((field) => a[field] === b[field])
  );
}

/** Whether the solver would deal two lists of units the same: ids, roles and what it reads of each part are equal. */
export function dealtAlike(a: readonly PlannedUnit[], b: readonly PlannedUnit[]): boolean {
  return (
    a.length === b.length &&
    a.every((one, i) => {
      const other = memberAt(b, i);
      return one === other || (one.id === other.id && one.role === other.role && partsAlike(one.part, other.part));
    })
  );
}

/** Whether two layouts are one, by identity of what edits share and by value of the seats. */
export function layoutsAlike(a: Layout, b: Layout): boolean {
  if (a === b) return true;
  if (
    a.wires !== b.wires ||
    a.dormant !== b.dormant ||
    a.plugs !== b.plugs ||
    JSON.stringify(a.modes) !== JSON.stringify(b.modes)
  )
    return false;
  const ids = Object.keys(a.at);
  return ids.length === Object.keys(b.at).length && ids.every((id) => seatsAlike(a.at[id], b.at[id]));
}

const seatsAlike = (one: Seat | undefined, other: Seat | undefined): boolean =>
  one === other ||
  (!!one &&
    !!other &&
    one.how === other.how &&
    one.span === other.span &&
    one.spot.host === other.spot.host &&
    one.spot.key === other.spot.key &&
    one.spot.n === other.spot.n);

/** What takes no bay, slot or port from drives and cards: these are dealt the same with and without it. */
const APART: ReadonlySet<PartKind> = new Set<PartKind>([
  'supply',
  'processor',
  'cooler',
  'memory',
  'fan',
  'cable',
  'powerAdapter',
  'sundry',
  'ups',
]);

/** The units that bays, slots and ports are dealt to, and their hosts. */
export const dealtUnits = memoWeak((units: readonly PlannedUnit[]): readonly PlannedUnit[] =>
  units.filter(({ part }) => !APART.has(part.kind)),
);

/** Whether two layouts give these units the same seats, and the same cables and modes. */
export const dealtSeatsAlike = (units: readonly PlannedUnit[], a: Layout, b: Layout): boolean =>
  a === b ||
  (a.wires === b.wires &&
    a.dormant === b.dormant &&
    (a.modes === b.modes || JSON.stringify(a.modes) === JSON.stringify(b.modes)) &&
    units.every(({ id }) => seatsAlike(a.at[id], b.at[id])));

type Asked = { readonly units: readonly PlannedUnit[]; readonly layout: Layout };
const askedAlike = (one: Asked, other: Asked) =>
  layoutsAlike(one.layout, other.layout) && dealtAlike(one.units, other.units);

/** Keeps the last few answers about units and a layout and gives them again for units dealt alike in a layout alike. */
export function memoAlike<R>(
  f: (units: readonly PlannedUnit[], layout: Layout) => R,
): (units: readonly PlannedUnit[], layout: Layout) => R {
  const kept = fewLast<Asked, R>(askedAlike);
  return (units, layout) => {
    const known = kept.find({ units, layout });
    if (known) return known.result;
    const result = f(units, layout);
    kept.keep({ units, layout }, result);
    return result;
  };
}
