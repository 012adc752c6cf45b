import { memberAt } from '../lists';
import type { Layout } from '../build/layout';
import { fewLast } from '../memoLast';
import type { Part, PartOf } from '../parts/resolve';
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
  return (
    ids.length === Object.keys(b.at).length &&
    ids.every((id) => {
      const [one, other] = [a.at[id]!, b.at[id]];
      return (
        one === other ||
        (!!other &&
          one.how === other.how &&
          one.span === other.span &&
          one.spot.host === other.spot.host &&
          one.spot.key === other.spot.key &&
          one.spot.n === other.spot.n)
      );
    })
  );
}

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
