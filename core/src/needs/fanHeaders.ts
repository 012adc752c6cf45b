import type { Layout } from '../build/layout';
import { boxOf, seatsOf } from '../machine/hosts';
import { isKind, ofKind, type PlannedUnit, type UnitOf } from '../machine/units';
import { factOf } from '../parts/resolve';
import type { End } from './splitters';

type Fan = UnitOf<'fan'>;
/** A header of a board, or a hub with a plug of its own; `most` fans hang on it. */
type FanOutlet = {
  readonly of: PlannedUnit;
  readonly carriesA: number;
  readonly most: number;
  readonly fans: readonly Fan[];
};
/** The fans of a box on the headers of its board, as they carry best. */
export type FanPlan = {
  readonly board: UnitOf<'board'>;
  readonly outlets: readonly FanOutlet[];
  /** Fans past one on each header and those that hubs take: a splitter makes three of a header. */
  readonly short: number;
  /** The outlet that is most past what it carries; null where all are within. */
  readonly over: { readonly outlet: FanOutlet; readonly hasA: number } | null;
  /** Whether no way of dealing is better. */ readonly isBest: boolean;
};

/** Fans and coolers are made for 12 V. */
const VOLTS = 12;
const fanA = ({ part }: Fan, end: End): number => factOf(part, 'maxW')[end] / VOLTS;
/** A hub whose sheet says neither: four fans, on a SATA plug (4.5 A a rail, SATA 3.x). */
const HUB = { fans: 4, ratedA: 4.5 };

/** Ways tried before the best so far stands; a machine's fans are few. */
const MOST_STEPS = 20_000;

/**
 * Deals the fans of every box that has a board with headers: first so that nothing carries more than it may, by one end
 * of what fans take. Fans of a supply, and of a chassis that feeds its own, are not among them.
 */
export function fanPlans(units: readonly PlannedUnit[], layout: Layout, end: End = 'value'): FanPlan[] {
  const seats = seatsOf(layout);
  const hubs = ofKind(units, 'sundry').flatMap((unit) =>
    unit.part.use === 'fanHub' ? Array.from({ length: unit.part.packOf * (unit.item?.count ?? 1) }, () => unit) : [],
  );
  return ofKind(units, 'board').flatMap((board, i): FanPlan[] => {
    const box = boxOf(board.id, seats, units);
    const headers = board.part.fanHeaders.flatMap(({ count, maxA }) =>
      Array.from({ length: count }, () => ({ of: board as PlannedUnit, carriesA: maxA, most: Infinity })),
    );
    if (!box || headers.length === 0) return [];
    const own = (i === 0 ? hubs : []).map((unit) => ({
      of: unit as PlannedUnit,
      carriesA: unit.part.ratedA ?? HUB.ratedA,
      most: unit.part.fans ?? HUB.fans,
    }));
    const fans = fansOn(units, layout, box);
    const { on, isBest } = deal(
      fans.map((fan) => fanA(fan, end)),
      [...headers, ...own],
    );
    const outlets = [...headers, ...own].map((outlet, o): FanOutlet => ({
      ...outlet,
      fans: fans.filter((_, f) => on[f] === o),
    }));
    const past = outlets.map((outlet) => {
      const hasA = outlet.fans.reduce((sum, fan) => sum + fanA(fan, end), 0);
      return { outlet, hasA, by: hasA - outlet.carriesA };
    });
    const worst = past.reduce((most, one) => (one.by > most.by ? one : most));
    const places = headers.length + own.reduce((sum, { most }) => sum + most, 0);
    return [
      {
        board,
        outlets,
        short: Math.max(0, fans.length - places),
        over: worst.by > 1e-6 ? { outlet: worst.outlet, hasA: worst.hasA } : null,
        isBest,
      },
    ];
  });
}

/**
 * Fans without a PWM wire in a box whose board is known to steer by PWM alone: nothing slows them down. What a sheet
 * leaves open is taken to steer by volts too, as most boards do.
 */
export function unsteeredFans(units: readonly PlannedUnit[], layout: Layout): ReadonlySet<string> {
  const seats = seatsOf(layout);
  return new Set(
    ofKind(units, 'board').flatMap((board) => {
      const { fanHeaders } = board.part;
      const box = boxOf(board.id, seats, units);
      if (!box || fanHeaders.length === 0 || fanHeaders.some(({ pwm, byVolts }) => !pwm || byVolts !== false))
        return [];
      return fansOn(units, layout, box).flatMap(({ id, part }) => (part.pwm ? [] : [id as string]));
    }),
  );
}

/** Fans of a box that want a header, those that draw most first. */
function fansOn(units: readonly PlannedUnit[], layout: Layout, box: PlannedUnit): Fan[] {
  const seats = seatsOf(layout);
  const placeOf = (unit: Fan) => layout.at[unit.id]?.spot ?? unit.builtIn?.spot;
  const nameOf = ({ host, key, n }: NonNullable<ReturnType<typeof placeOf>>) => `${host}/${key}.${n ?? 1}`;
  const taken = new Set(
    ofKind(units, 'fan').flatMap((unit) => (layout.at[unit.id] ? [nameOf(layout.at[unit.id]!.spot)] : [])),
  );
  return ofKind(units, 'fan')
    .filter((unit) => {
      const spot = placeOf(unit);
      // A fan of the kit stands in for the one that came with the chassis.
      if (!spot || (unit.builtIn && taken.has(nameOf(spot)))) return false;
      const host = units.find((one) => one.id === spot.host);
      if (!host || isKind(host, 'supply') || boxOf(host.id, seats, units) !== box) return false;
      return !(isKind(host, 'chassis') && host.part.fansFed === 'own');
    })
    .sort((a, b) => fanA(b, 'value') - fanA(a, 'value'));
}

type Bin = { readonly carriesA: number; readonly most: number };

/**
 * Loads, the largest first, on bins so that the most by which one is past its limit is least, then with the fewest on
 * one bin. Branch and bound; of bins in the same state one is tried.
 */
function deal(
  loadsA: readonly number[],
  bins: readonly Bin[],
): { readonly on: readonly number[]; readonly isBest: boolean } {
  const hasA = bins.map(() => 0);
  const count = bins.map(() => 0);
  const on: number[] = [];
  let best: { readonly on: readonly number[]; readonly past: number; readonly most: number } | null = null;
  let steps = 0;
  const visit = (f: number, past: number, most: number): void => {
    if (++steps > MOST_STEPS) return;
    if (best && (past > best.past + 1e-9 || (past > best.past - 1e-9 && most >= best.most))) return;
    const load = loadsA[f];
    if (load === undefined) {
      best = { on: [...on], past, most };
      return;
    }
    const seen = new Set<string>();
    // The emptiest first: that finds a good way at once.
    const order = bins
      .map((bin, b) => ({ bin, b, left: bin.carriesA - hasA[b]! }))
      .sort((x, y) => count[x.b]! - count[y.b]! || y.left - x.left);
    for (const { bin, b, left } of order) {
      if (count[b]! >= bin.most) continue;
      const state = `${left.toFixed(6)}|${bin.most}|${count[b]}`;
      if (seen.has(state)) continue;
      seen.add(state);
      on.push(b);
      hasA[b]! += load;
      count[b]! += 1;
      visit(f + 1, Math.max(past, hasA[b]! - bin.carriesA), Math.max(most, count[b]!));
      on.pop();
      hasA[b]! -= load;
      count[b]! -= 1;
    }
  };
  visit(0, 0, 0);
  const found = best as { readonly on: readonly number[] } | null;
  return { on: found?.on ?? [], isBest: steps <= MOST_STEPS };
}
