import type { Layout } from '../build/layout';
import { boxOf, seatsOf } from '../machine/hosts';
import { fewLast } from '../memoLast';
import { isKind, ofKind, type PlannedUnit, type UnitOf } from '../machine/units';
import { factOf } from '../parts/resolve';
import type { End } from './plugLoads';

type Fan = UnitOf<'fan'>;
/** A header of a board, or a hub with a plug of its own; `most` fans hang on it. */
export type FanOutlet = {
  readonly of: PlannedUnit;
  /** Which header of the board it is, and how that steers; null for a hub, which passes on what it is told. */
  readonly header: {
    readonly n: number;
    readonly pwm: boolean;
    readonly byVolts: boolean | undefined;
  } | null;
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
    const headers = board.part.fanHeaders
      .flatMap(({ count, ...each }) => Array.from({ length: count }, () => each))
      .map(({ maxA, pwm, byVolts }, h) => ({
        of: board as PlannedUnit,
        header: { n: h + 1, pwm, byVolts },
        carriesA: maxA,
        most: Infinity,
      }));
    if (!box || headers.length === 0) return [];
    const own = (i === 0 ? hubs : []).map((unit) => ({
      of: unit as PlannedUnit,
      header: null,
      carriesA: unit.part.ratedA ?? HUB.ratedA,
      most: unit.part.fans ?? HUB.fans,
    }));
    const fans = fansOn(units, layout, box);
    const { on, isBest } = deal(
      fans.map((fan) => ({ hasA: fanA(fan, end), pwm: fan.part.pwm })),
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

/** How an outlet turns a fan down: by its fourth wire, its volts or not at all; null where a sheet leaves it open. */
export function steeredBy(
  fan: { readonly pwm: boolean },
  header: FanOutlet['header'],
): 'pwm' | 'volts' | 'full' | null {
  if (!header) return fan.pwm ? 'pwm' : null;
  if (fan.pwm && header.pwm) return 'pwm';
  if (!header.pwm || header.byVolts) return 'volts';
  return header.byVolts === false ? 'full' : null;
}

type Dealt = { readonly on: readonly number[]; readonly isBest: boolean };
type Load = { readonly hasA: number; readonly pwm: boolean };
type Bin = { readonly carriesA: number; readonly most: number; readonly header: FanOutlet['header'] };

/**
 * Loads, the largest first, on bins so that the most by which one is past its limit is least, then with the fewest on
 * one bin, then with the most fans steered by what they are made for. Branch and bound; of bins in the same state one
 * is tried.
 */
function dealAfresh(loads: readonly Load[], bins: readonly Bin[]): Dealt {
  const hasA = bins.map(() => 0);
  const count = bins.map(() => 0);
  const on: number[] = [];
  let best: { readonly on: readonly number[]; readonly score: readonly [number, number, number] } | null = null;
  let steps = 0;
  /** Whether what is so far is no better than the best, whatever follows: all three only grow. */
  const isHopeless = (past: number, most: number, unmade: number): boolean => {
    if (!best) return false;
    const [bestPast, bestMost, bestUnmade] = best.score;
    if (Math.abs(past - bestPast) > 1e-9) return past > bestPast;
    return most > bestMost || (most === bestMost && unmade >= bestUnmade);
  };
  const visit = (f: number, past: number, most: number, unmade: number): void => {
    if (++steps > MOST_STEPS) return;
    if (isHopeless(past, most, unmade)) return;
    const load = loads[f];
    if (load === undefined) {
      best = { on: [...on], score: [past, most, unmade] };
      return;
    }
    const seen = new Set<string>();
    // The emptiest first: that finds a good way at once.
    const order = bins
      .map((bin, b) => ({ bin, b, left: bin.carriesA - hasA[b]! }))
      .sort((x, y) => count[x.b]! - count[y.b]! || y.left - x.left);
    for (const { bin, b, left } of order) {
      if (count[b]! >= bin.most) continue;
      const steered = steeredBy(load, bin.header);
      const state = `${left.toFixed(6)}|${bin.most}|${count[b]}|${bin.header?.pwm}|${bin.header?.byVolts}`;
      if (seen.has(state)) continue;
      seen.add(state);
      on.push(b);
      hasA[b]! += load.hasA;
      count[b]! += 1;
      visit(
        f + 1,
        Math.max(past, hasA[b]! - bin.carriesA),
        Math.max(most, count[b]!),
        unmade + Number(steered === 'full' || (load.pwm && steered !== 'pwm')),
      );
      on.pop();
      hasA[b]! -= load.hasA;
      count[b]! -= 1;
    }
  };
  visit(0, 0, 0, 0);
  const found = best as { readonly on: readonly number[] } | null;
  return { on: found?.on ?? [], isBest: steps <= MOST_STEPS };
}

/** Of parts tried in turn few are fans: the same loads on the same bins are dealt once. */
const dealt = fewLast<string, Dealt>((one, other) => one === other);
function deal(loads: readonly Load[], bins: readonly Bin[]): Dealt {
  const asked = JSON.stringify([loads, bins.map(({ carriesA, most, header }) => [carriesA, most, header])]);
  const known = dealt.find(asked);
  if (known) return known.result;
  const result = dealAfresh(loads, bins);
  dealt.keep(asked, result);
  return result;
}
