import { LIMITS } from '../parts/limits';
import type { Item, Price } from '../build/build';
import { itemCost, type MoneyLine } from '../figures/cost/money';
import { Ledger } from '../figures/quantity';
import type { Currencies } from '../parts/currency';

/** One price a part is offered for, and what all of it costs by that, shipping and tax in it, in major units. */
export type OfferTold = {
  readonly price: Price;
  /** Which of the offers set aside; null for the price that counts. */ readonly at: number | null;
  /** Null in a currency of which no rate is known. */ readonly total: number | null;
};

/** The price that counts and those set aside, the cheapest first; what has no rate stands last. */
export function offersOf(line: MoneyLine, money: Currencies): readonly OfferTold[] {
  const { price, offers = [] } = line.item;
  const told = (one: Price, at: number | null): OfferTold => ({
    price: one,
    at,
    total: itemCost({ ...line, item: { ...line.item, price: one } }, money, new Ledger(false))?.value ?? null,
  });
  return [...(price ? [told(price, null)] : []), ...offers.map(told)].sort(
    (a, b) => (a.total ?? Infinity) - (b.total ?? Infinity),
  );
}

type Offered = Pick<Item, 'price' | 'offers'>;

/** The price that counts is set aside as an offer; null where there is none, it is there already, or there are many. */
export function setAside({ price, offers = [] }: Offered): Required<Pick<Item, 'offers'>> | null {
  const isThere = offers.some((one) => JSON.stringify(one) === JSON.stringify(price));
  return !price || isThere || offers.length >= LIMITS.offers ? null : { offers: [...offers, price] };
}

/** An offer counts from now on; the price that did is set aside in its place. */
export function takeOffer({ price, offers = [] }: Offered, at: number): Offered | null {
  const taken = offers[at];
  if (!taken) return null;
  const others = offers.filter((_, i) => i !== at);
  const isThere = others.some((one) => JSON.stringify(one) === JSON.stringify(price));
  return { price: taken, offers: price && !isThere ? [...others, price] : others };
}
