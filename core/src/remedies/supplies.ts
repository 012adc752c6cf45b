import type { AssessOptions, Assessor } from '../assess';
import type { Catalogue } from '../parts/catalogue';
import type { SheetId, UnitId } from '../parts/ids';
import { plannedUnits, unitsById } from '../machine/units';
import type { Ranged } from '../figures/quantity';
import { tryAt } from './tryAt';
import type { Base, Weighed } from './weigh';

/** Another supply for the load of a box: what it saves a year in kWh and money. */
export type SupplyOffer = Weighed & {
  readonly sheet: SheetId;
  readonly name: string;
  readonly savesKwh: Ranged;
  readonly savesMinor: Ranged;
};

const MOST_OFFERS = 3;

/**
 * Supplies on sale that go where one is and surely lose less in a year of this machine, the best first: none that
 * blocks anything or has fewer modules. Two supplies err apart, so what one saves has both their ranges. Yields
 * between weighings so that a caller can stop.
 */
export function* supplyOffers(
  base: Base,
  supply: UnitId,
  catalogue: Catalogue,
  assessor: Assessor,
  options: AssessOptions,
): Generator<'weighing', readonly SupplyOffer[]> {
  const seat = base.build.layout.at[supply]?.spot;
  const unit = unitsById(base.assessment.units).get(supply);
  const now = assessor.yearLoss(base.build, supply);
  if (!seat || unit?.part.kind !== 'supply' || !now) return [];
  const offers: SupplyOffer[] = [];
  const candidates = Object.values(catalogue.sheets).filter(({ kind }) => kind === 'supply');
  for (const row of tryAt(base, { spot: seat, replace: true }, catalogue, assessor, options, candidates)) {
    yield 'weighing';
    if (!row.goes) continue;
    const { weighed } = row;
    if ([...weighed.causes, ...weighed.worsens].some(({ severity }) => severity === 'blocker')) continue;
    const part = unitsById(plannedUnits(weighed.after)).get(supply)?.part;
    const then = assessor.yearLoss(weighed.after, supply);
    if (part?.kind !== 'supply' || !then || part.modules < unit.part.modules) continue;
    const less = (was: Ranged, is: Ranged): Ranged => {
      const value = was.value - is.value;
      const half = Math.hypot((was.hi - was.lo) / 2, (is.hi - is.lo) / 2);
      return { value, lo: value - half, hi: value + half };
    };
    const savesKwh = less(now.kwh, then.kwh);
    if (savesKwh.lo <= 0) continue;
    offers.push({
      ...weighed,
      sheet: row.sheet,
      name: part.name,
      savesKwh,
      savesMinor: less(now.costMinor, then.costMinor),
    });
  }
  return offers.sort((a, b) => b.savesKwh.value - a.savesKwh.value).slice(0, MOST_OFFERS);
}
