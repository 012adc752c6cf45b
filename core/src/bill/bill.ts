import { memberAt } from '../lists';
import { offersOf, type OfferTold } from './offers';
import type { Assessment } from '../assess';
import type { Build, Item, Price } from '../build/build';
import { anewCost, itemCost, cableCost, moneyLines, smallCost, withLots, type MoneyLine } from '../figures/cost/money';
import { marksOf } from '../build/marks';
import { plannedUnits } from '../machine/units';
import { minorPerMajor, type Currencies } from '../parts/currency';
import type { PartKind } from '../parts/vocabulary';
import { Ledger, type Quantity } from '../figures/quantity';

/** Lines stand together as they are bought: what holds drives, what reckons, what feeds and cools. */
export const BILL_GROUPS = ['drives', 'chassis', 'board', 'cards', 'power', 'small'] as const;
export type BillGroup = (typeof BILL_GROUPS)[number];

const GROUP_OF: Readonly<Record<PartKind, BillGroup>> = {
  drive: 'drives',
  chassis: 'chassis',
  adapter: 'chassis',
  enclosure: 'chassis',
  board: 'board',
  processor: 'board',
  cooler: 'board',
  memory: 'board',
  controller: 'cards',
  expander: 'cards',
  networkCard: 'cards',
  accelerator: 'cards',
  carrier: 'cards',
  riser: 'cards',
  supply: 'power',
  fan: 'power',
  ups: 'power',
  powerAdapter: 'power',
  cable: 'small',
  sundry: 'small',
};

/**
 * One line of the bill. `each` and `total` are in major units of the currency; null where a price is not known or is of
 * another currency.
 */
export type BillLine = {
  readonly group: BillGroup;
  /** The item of the kit; null for what the machine needs besides. */ readonly item: Item['id'] | null;
  readonly mark: string;
  readonly what: string;
  readonly maker: string;
  readonly kind: string;
  readonly count: number;
  readonly deal: 'buy' | 'owned' | 'here';
  readonly each: number | null;
  readonly total: number | null;
  readonly basis: string;
  readonly note: string;
  /** Where the price was seen, and when (ISO date), where that is known. */
  readonly from: string | null;
  readonly at: string | null;
  /** The lot it is bought in. */ readonly lot: string | null;
  /** The price as it was put down, of one or of all. */ readonly price: Price | null;
  /** That price and others it was offered for, the cheapest first; empty where there are no others. */
  readonly offers: readonly OfferTold[];
  /** The same as they were put down, without the price that counts. */ readonly aside: readonly Price[];
};
export type Bill = {
  readonly currency: string;
  readonly lines: readonly BillLine[];
  /** Sum of what is bought now: the money shown on its tape. */ readonly total: number;
  readonly groups: readonly { readonly group: BillGroup; readonly total: number }[];
  /** Lines to buy without a price that counts. */ readonly unpriced: number;
  /** What owned parts would cost to buy, as far as that is known. */ readonly ownedWorth: number;
  /** What later stages buy, without the small parts and cables they will need. */
  readonly later: readonly {
    readonly stage: number;
    readonly what: readonly string[];
    readonly total: number;
    readonly unpriced: number;
  }[];
};

type Billed = Pick<BillLine, 'each' | 'total'>;
const billed = (cost: Quantity | null, count: number): Billed =>
  cost ? { each: cost.value / count, total: cost.value } : { each: null, total: null };
const FREE: Billed = { each: 0, total: 0 };

function itemLine(line: MoneyLine, money: Currencies, lots: ReadonlyMap<string, string>, ledger: Ledger): BillLine {
  const { item, units } = line;
  const { part } = memberAt(units, 0);
  const count = item.count ?? units.length;
  const cost = itemCost(line, money, ledger);
  const isOwned = item.deal === 'owned';
  const foreign = !isOwned && item.price && item.price.currency !== money.currency ? item.price : null;
  return {
    group: GROUP_OF[part.kind],
    item: item.id,
    mark: marksOf(units),
    what: part.name,
    maker: part.maker ?? '',
    kind: part.kind,
    count,
    deal: item.deal,
    ...(isOwned ? FREE : billed(cost, count)),
    basis: isOwned ? 'owned' : item.price ? 'listed' : cost ? 'typical' : 'no price',
    note: foreign
      ? `${foreign.currency} ${foreign.minor / minorPerMajor(foreign.currency)} ` +
        (foreign.per === 'item' ? 'in all' : 'each') +
        (cost ? '' : ', not in the sum')
      : '',
    from: item.price?.from ?? null,
    at: item.price?.at ?? null,
    lot: (item.bundle && !isOwned && lots.get(item.bundle)) || null,
    price: item.price ?? null,
    offers: item.offers?.length && !isOwned ? offersOf(line, money) : [],
    aside: item.offers ?? [],
  };
}

const PLAIN = {
  item: null,
  mark: '',
  maker: '',
  from: null,
  at: null,
  lot: null,
  price: null,
  offers: [],
  aside: [],
} as const;

/**
 * Every item of the stage, every cable the wiring needs and every small part in no box, with what this stage buys of it
 * for all copies of the machine; what owned parts would cost, and what later stages buy.
 */
export function billOf(build: Build, assessment: Pick<Assessment, 'units' | 'needs' | 'small'>): Bill {
  const ledger = new Ledger(false);
  const { currency, bundles } = build;
  const money = { currency, rates: build.rates ?? {} };
  const lots = new Map(bundles.flatMap(({ id, name, price }) => (price ? [[id, name] as const] : [])));
  const kit = moneyLines(assessment.units);
  const owned = kit.filter(({ item }) => item.deal === 'owned');
  const items = withLots(kit, bundles).map((line) => itemLine(line, money, lots, ledger));
  const cables = assessment.needs.needs.flatMap((need): BillLine[] => {
    const own = {
      ...PLAIN,
      group: 'small' as const,
      what: need.cable.name,
      kind: 'cable',
      note: 'the wiring needs it',
    };
    const { fromBoxes: here, toBuy } = need;
    return [
      ...(here > 0 ? [{ ...own, ...FREE, count: here, deal: 'here' as const, basis: 'in a box' }] : []),
      ...(toBuy > 0
        ? [
            {
              ...own,
              ...billed(cableCost(need, money, ledger), toBuy),
              count: toBuy,
              deal: 'buy' as const,
              basis: 'typical',
            },
          ]
        : []),
    ];
  });
  const small = assessment.small
    .filter(({ toBuy }) => toBuy > 0)
    .map((need): BillLine => ({
      ...PLAIN,
      group: 'small',
      what: need.what,
      kind: 'sundry',
      count: need.toBuy,
      deal: 'buy',
      ...billed(smallCost(need, money, ledger), need.toBuy),
      basis: 'typical',
      note: need.why,
    }));
  const { copies } = build;
  const lines = [...items, ...cables, ...small].map((line) => ({
    ...line,
    count: line.count * copies,
    total: line.total && line.total * copies,
  }));
  const total = (from: readonly BillLine[]): number => from.reduce((all, line) => all + (line.total ?? 0), 0);
  return {
    currency,
    lines,
    total: total(lines),
    groups: BILL_GROUPS.map((group) => ({ group, total: total(lines.filter((line) => line.group === group)) })),
    unpriced: lines.filter((line) => line.deal === 'buy' && line.total === null).length,
    ownedWorth: owned.reduce((sum, line) => sum + anewCost(line, money, ledger), 0) * copies,
    later: laterStages(build, money, lots, ledger),
  };
}

const NOTHING = { minor: 0, shippingMinor: 0 };

function laterStages(
  build: Build,
  money: Currencies,
  lots: ReadonlyMap<string, string>,
  ledger: Ledger,
): Bill['later'] {
  return build.stages.flatMap((_, stage) => {
    if (stage <= build.stage) return [];
    const all = moneyLines(plannedUnits({ ...build, stage }));
    // A lot is paid for when the first of it is bought.
    const paid = new Set(
      all.flatMap(({ item }) => (item.stage < stage && item.deal === 'buy' ? (item.bundle ?? []) : [])),
    );
    const lines = withLots(
      all.filter(({ item }) => item.stage === stage),
      build.bundles.map((lot) =>
        lot.price && paid.has(lot.id) ? { ...lot, price: { ...lot.price, ...NOTHING } } : lot,
      ),
    ).map((line) => itemLine(line, money, lots, ledger));
    const bought = lines.filter(({ deal }) => deal === 'buy');
    return [
      {
        stage,
        what: lines.map(({ count, what }) => (count > 1 ? `${count} × ${what}` : what)),
        total: bought.reduce((sum, line) => sum + (line.total ?? 0), 0) * build.copies,
        unpriced: bought.filter(({ total }) => total === null).length,
      },
    ];
  });
}
