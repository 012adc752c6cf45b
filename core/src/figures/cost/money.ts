import { memberAt } from '../../lists';
import type { Build, Item, Price } from '../../build/build';
import type { Need } from '../../needs/cables';
import type { SmallNeed } from '../../needs/small';
import type { PlannedUnit } from '../../machine/units';
import type { FigureContext } from '../context';
import type { Ledger, Quantity } from '../quantity';
import { minorPerMajor, rateOf, type Currencies } from '../../parts/currency';

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
 * Lines of which those bought as one lot have their share of its price as their own: by what each would cost alone, to
 * the minor unit, the rest to the dearest. A lot without a price is no lot; what is owned is not in it.
 */
export function withLots(lines: readonly MoneyLine[], bundles: Build['bundles'] = []): readonly MoneyLine[] {
  const priced = bundles.filter(({ price }) => price !== undefined);
  if (priced.length === 0) return lines;
  const shares = new Map<string, Price>();
  for (const { id, price } of priced) {
    const own = lines.filter(({ item }) => item.bundle === id && item.deal !== 'owned');
    const weights = own.map(aloneMinor);
    const all = weights.reduce((sum, one) => sum + one, 0);
    const dearest = weights.indexOf(Math.max(...weights));
    const parts = (minor: number): number[] => {
      const each = weights.map((one) => Math.floor(minor * (all > 0 ? one / all : 1 / own.length) + 1e-9));
      if (own.length > 0) each[Math.max(0, dearest)]! += minor - each.reduce((sum, one) => sum + one, 0);
      return each;
    };
    const [goods, shipping] = [parts(price!.minor), parts(price!.shippingMinor ?? 0)];
    for (const [i, { item }] of own.entries()) {
      const { shippingMinor: _whole, ...rest } = price!;
      const sent = shipping[i] ?? 0;
      shares.set(item.id, { ...rest, minor: goods[i] ?? 0, per: 'item', ...(sent > 0 ? { shippingMinor: sent } : {}) });
    }
  }
  return lines.map((line) => {
    const price = shares.get(line.item.id);
    return price ? { ...line, item: { ...line.item, price } } : line;
  });
}

/** What a line would cost bought alone: the typical price of its part, or its own. */
function aloneMinor({ item, units }: MoneyLine): number {
  const listed = memberAt(units, 0).part.price ?? item.price;
  return (listed?.minor ?? 0) * (item.count ?? units.length);
}

/**
 * What an item costs now in minor units of the build's currency: its price with shipping and tax,
 * else the typical price of its archetype. Owned costs nothing; null where it cannot be counted:
 * another currency without a rate, or no price at all.
 */
export function itemCost(line: MoneyLine, money: Currencies, ledger: Ledger): Quantity | null {
  const { item, units } = line;
  const { part } = memberAt(units, 0);
  const count = item.count ?? units.length;
  const label = count > 1 ? `${count} × ${part.name}` : part.name;
  if (item.deal === 'owned') return null;
  const { price } = item;
  const listed = price ?? part.price;
  const rate = listed ? rateOf(money, listed.currency) : null;
  if (!listed || rate === null) return null;
  const at = rate === 1 ? '' : `, 1 ${listed.currency} being ${rate} ${money.currency}`;
  if (price) {
    const goods = price.per === 'unit' ? price.minor * count : price.minor;
    const taxed = price.taxIncluded ? goods : goods * (1 + (price.taxPct ?? 0) / 100);
    const paid = ((taxed + (price.shippingMinor ?? 0)) / minorPerMajor(price.currency)) * rate;
    const range = price.at ? undefined : { lo: paid * (1 - UNDATED), hi: paid * (1 + UNDATED) };
    return ledger.times(label, ledger.given(`${label}: price${at}`, paid, money.currency, range), 1);
  }
  const typical = (listed.minor / minorPerMajor(listed.currency)) * rate;
  return ledger.times(`${label}${at}`, ledger.fact(part, 'price', typical, 'price'), count);
}

/** What a line would cost to buy anew, at what is typical of its part; 0 where that is not known. */
export function anewCost(line: MoneyLine, money: Currencies, ledger: Ledger): number {
  const { price: _paid, ...item } = line.item;
  return itemCost({ ...line, item: { ...item, deal: 'buy' } }, money, ledger)?.value ?? 0;
}

/** Typical prices of cables and small parts are kept in this currency. */
const TYPICAL_IN = 'EUR';

/** So many of one thing at what it costs, typically; null where none are bought, or their currency has no rate. */
function typically(what: string, toBuy: number, minor: number, money: Currencies, ledger: Ledger): Quantity | null {
  const rate = rateOf(money, TYPICAL_IN);
  if (toBuy === 0 || rate === null) return null;
  const each = (minor / minorPerMajor(TYPICAL_IN)) * rate;
  const range = { lo: each * 0.75, hi: each * 1.25 };
  return ledger.times(
    toBuy > 1 ? `${toBuy} × ${what}` : what,
    ledger.given(`${what}: typical price`, each, money.currency, range),
    toBuy,
  );
}

/** What the cables to buy of one kind cost. */
export const cableCost = ({ cable, toBuy }: Need, money: Currencies, ledger: Ledger): Quantity | null =>
  typically(cable.name, toBuy, cable.typicalMinor, money, ledger);

/** What small parts in no box cost. */
export const smallCost = (
  { what, toBuy, typicalMinor }: SmallNeed,
  money: Currencies,
  ledger: Ledger,
): Quantity | null => typically(what, toBuy, typicalMinor, money, ledger);

/** Money to spend at this stage, in the build's currency: what is bought, and the cables and small parts it needs. */
export function costNow(context: FigureContext, ledger: Ledger): Quantity | null {
  const lines = withLots(moneyLines(context.units), context.bundles);
  const items = lines.flatMap((line) => itemCost(line, context, ledger) ?? []);
  const cables = context.needs.flatMap((need) => cableCost(need, context, ledger) ?? []);
  const small = context.small.flatMap((need) => smallCost(need, context, ledger) ?? []);
  if (lines.length === 0) return null;
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

/** Currencies of what is bought, other than the build's own, and those a rate was given for. */
export function otherCurrencies(build: Build): readonly string[] {
  const priced = build.items.flatMap((item) => {
    const sheet = build.sheets[item.sheet];
    const typical = sheet && (sheet.price ?? build.archetypes[sheet.archetype]?.price);
    return item.deal === 'owned' ? [] : ((item.price ?? typical)?.currency ?? []);
  });
  return [...new Set([...priced, ...Object.keys(build.rates ?? {})])].filter((one) => one !== build.currency).sort();
}
