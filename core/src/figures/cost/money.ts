import { memberAt } from '../../lists';
import type { Item } from '../../build/build';
import type { Need } from '../../needs/cables';
import type { SmallNeed } from '../../needs/small';
import type { PlannedUnit } from '../../machine/units';
import type { FigureContext } from '../context';
import type { Ledger, Quantity } from '../quantity';
import { minorPerMajor } from '../../parts/currency';

/** A price that does not say when it was one may have moved by this share. */
const UNDATED = 0.1;

export type MoneyLine = { readonly item: Item; readonly units: readonly PlannedUnit[] };

/** The items of the kit in order, each with its units of the stage. */
export function moneyLines(units: readonly PlannedUnit[]): MoneyLine[] {
  const lines = new Map<string, { item: Item; units: PlannedUnit[] }>();
  for (const unit of units) {
    if (!unit.item) continue;
    const line = lines.get(unit.item.id) ?? { item: unit.item, units: [] };
    line.units.push(unit);
    lines.set(unit.item.id, line);
  }
  return [...lines.values()];
}

/**
 * What an item costs now in minor units of the build's currency: its price with shipping and tax,
 * else the typical price of its archetype. Owned costs nothing; null where it cannot be counted:
 * another currency or no price at all.
 */
export function itemCost(line: MoneyLine, currency: string, ledger: Ledger): Quantity | null {
  const { item, units } = line;
  const { part } = memberAt(units, 0);
  const count = item.count ?? units.length;
  const label = count > 1 ? `${count} × ${part.name}` : part.name;
  if (item.deal === 'owned') return null;
  const { price } = item;
  if (price && price.currency !== currency) return null;
  if (price) {
    const goods = price.per === 'unit' ? price.minor * count : price.minor;
    const taxed = price.taxIncluded ? goods : goods * (1 + (price.taxPct ?? 0) / 100);
    const paid = (taxed + (price.shippingMinor ?? 0)) / minorPerMajor(currency);
    const range = price.at ? undefined : { lo: paid * (1 - UNDATED), hi: paid * (1 + UNDATED) };
    return ledger.times(label, ledger.given(`${label}: price`, paid, currency, range), 1);
  }
  if (!part.price || part.price.currency !== currency) return null;
  const typical = part.price.minor / minorPerMajor(currency);
  return ledger.times(label, ledger.fact(part, 'price', typical, 'price'), count);
}

/**
 * What the cables to buy of one kind cost, typically; null where there are none, or the currency is not that of their
 * prices.
 */
export function cableCost(need: Need, currency: string, ledger: Ledger): Quantity | null {
  if (need.toBuy === 0 || currency !== 'EUR') return null;
  const each = need.cable.typicalMinor / 100;
  return ledger.times(
    `${need.toBuy} × ${need.cable.name}`,
    ledger.given(`${need.cable.name}: typical price`, each, currency, { lo: each * 0.75, hi: each * 1.25 }),
    need.toBuy,
  );
}

/**
 * What small parts in no box cost, typically; null where there are none, or the currency is not that of their prices.
 */
export function smallCost({ what, toBuy, typicalMinor }: SmallNeed, currency: string, ledger: Ledger): Quantity | null {
  if (toBuy === 0 || currency !== 'EUR') return null;
  const each = typicalMinor / 100;
  return ledger.times(
    toBuy > 1 ? `${toBuy} × ${what}` : what,
    ledger.given(`${what}: typical price`, each, currency, { lo: each * 0.75, hi: each * 1.25 }),
    toBuy,
  );
}

/** Money to spend at this stage, in the build's currency: what is bought, and the cables and small parts it needs. */
export function costNow(context: FigureContext, ledger: Ledger): Quantity | null {
  const items = moneyLines(context.units).flatMap((line) => itemCost(line, context.currency, ledger) ?? []);
  const cables = context.needs.flatMap((need) => cableCost(need, context.currency, ledger) ?? []);
  const small = context.small.flatMap((need) => smallCost(need, context.currency, ledger) ?? []);
  if (moneyLines(context.units).length === 0) return null;
  const sum = ledger.sum(
    'Price',
    context.currency,
    [...items, ...cables, ...small],
    'what this stage buys; owned parts are 0',
  );
  return context.copies > 1
    ? { ...ledger.times(`${context.copies} machines`, sum, context.copies), note: `${context.copies} machines` }
    : sum;
}
