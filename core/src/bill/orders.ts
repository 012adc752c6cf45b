import type { Bill, BillLine } from './bill';

/** When what is bought is here, what is to be ordered first, and what is bought at one's own risk. */
export type Orders = {
  /** Lines to buy of which delivery is said, the longest first. */ readonly said: readonly BillLine[];
  /** Days until the last of them is here. */ readonly days: number;
  /** Lines to buy of which nobody says how long they take. */ readonly unsaid: number;
  /** Of a private seller or without warranty, and not tested. */ readonly risky: readonly BillLine[];
  /** What may not be what it says it is. */ readonly doubtful: readonly BillLine[];
};

const daysOf = ({ price }: BillLine): number => price?.deliveryDays ?? -1;

/** What a bill says of orders; a used part of a private seller that nobody tested comes back to nobody. */
export function ordersOf({ lines }: Pick<Bill, 'lines'>): Orders {
  const bought = lines.filter(({ deal }) => deal === 'buy');
  const said = bought.filter((line) => daysOf(line) >= 0).sort((a, b) => daysOf(b) - daysOf(a));
  return {
    said,
    days: said[0] ? daysOf(said[0]) : 0,
    unsaid: bought.length - said.length,
    risky: bought.filter(
      ({ price }) => price && price.tested !== true && (price.seller === 'private' || price.warrantyMonths === 0),
    ),
    doubtful: bought.filter(({ price }) => price?.doubtful === true),
  };
}
